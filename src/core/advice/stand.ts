import { FIRED_MASS_FRACTION, firedLength } from '../units/shrinkage.ts';
import type { DevelopedForm } from '../forms/kind/kind.ts';
import { DEFAULT_STIFFNESS, type Target } from '../target/target.ts';
import { DEFAULT_FRICTION } from '../target/standForm.ts';
import { loadedMiddle, restOf, standSide, tippingOf, type Rest, type Tipping } from '../forms/stand/stand.ts';
import { checkBend } from './bend.ts';
import type { Bench } from './bench.ts';
import type { Check } from './check.ts';
import { checkFit } from './fit.ts';
import { checkSlabSize } from './slabSize.ts';

/** A stand with less than this left before it tips is not safe on anything that moves (degrees). A rule of the bench. */
export const SAFE_TIP = 8;

function checkTip(over: 'back' | 'front', { room, angle }: Tipping): Check {
  const tips = room < 0;
  const care = !tips && angle < SAFE_TIP;
  const way = over === 'back' ? 'backward' : 'forward';
  return {
    code: `tip-${over}`,
    level: tips ? 'stop' : care ? 'care' : 'note',
    title: tips ? `Tips ${way}` : care ? `Near tipping ${way}` : `Does not tip ${way}`,
    phrase: tips
      ? [
          'With the stand’s own, the weight lies ',
          { mm: -room },
          ` past the ${over} roll. Lean it less, make the slot narrower or the rolls larger.`,
        ]
      : [
          'With the stand’s own, the weight lies ',
          { mm: room },
          ` within the ${over} roll: it may tilt `,
          { degrees: angle },
          ' further.',
        ],
  };
}

/** A device that comes to rest by more than this from its set lean gets advice (degrees). */
const SLID = 1;

/** With this much of its weight on the back roll (fraction) a device hardly stands on its foot. A rule of the bench. */
const HARDLY_STANDS = 0.75;

/** Where the device comes to rest in its slot. */
function checkRest({ lean, held, overRoll }: Rest, meant: number, friction: number): Check {
  const code = 'stand-rest';
  const figures = ['It comes to rest at ', { degrees: lean }, ` back from upright, meant ${meant}°`] as const;
  if (overRoll >= 1)
    return {
      code,
      level: 'stop',
      title: 'It falls over the back roll',
      phrase: [
        'It would lean ',
        { degrees: lean },
        ', where its weight lies past the back roll and its foot lifts. Make the slot narrower, lean it less, or take a larger back roll.',
      ],
    };
  if (overRoll >= HARDLY_STANDS)
    return {
      code,
      level: 'care',
      title: 'It hardly stands on its foot',
      phrase: [...figures, ': most of its weight hangs on the back roll.'],
    };
  if (held === 'upright')
    return {
      code,
      level: 'care',
      title: 'It stands up by itself',
      phrase: [...figures, ': it leans too little to lie against the back roll.'],
    };
  if (held === 'as-set' || lean - meant <= SLID) {
    return {
      code,
      level: 'note',
      title: 'It stays as it is set',
      phrase: [...figures, `: its foot does not slide (friction ${friction}).`],
    };
  }
  const by = held === 'friction' ? 'until friction holds it' : 'until it meets the front roll';
  return {
    code,
    level: 'care',
    title: 'It slides and leans further back',
    phrase: [
      ...figures,
      `: its foot slides forward ${by} (friction ${friction}). Make the slot narrower, or lean it less.`,
    ],
  };
}

/** Advice on a scroll stand: where the device rests, tipping both ways, the bend of its rolls, the slab. */
export function checkStand(target: Target, developed: DevelopedForm, bench: Bench): Check[] {
  const { form, slab, clay } = target;
  if (form.kind !== 'stand') return [];
  const side = standSide(form, firedLength(slab.wall, clay.shrinkage));
  const rest = restOf(form, side);
  const own =
    (developed.parts.reduce((sum, part) => sum + part.volume, 0) / 1000) * clay.wetDensity * FIRED_MASS_FRACTION;
  const tipping = tippingOf(
    side,
    loadedMiddle(form, side, { middle: rest.middle, mass: { stand: own, device: form.device.mass } }),
  );
  return [
    checkRest(rest, form.lean, form.friction ?? DEFAULT_FRICTION),
    checkTip('back', tipping.back),
    checkTip('front', tipping.front),
    checkBend({
      thickness: slab.wall,
      neutralRadius: developed.bendRadius,
      neutralFraction: slab.neutralFraction,
      stiffness: clay.stiffness ?? DEFAULT_STIFFNESS,
    }),
    checkSlabSize(developed.parts, bench.slab, null),
    ...checkFit(target),
  ].filter((check) => check !== null);
}
