import type { DevelopedForm } from '../piece/kinds/kind.ts';
import { DEFAULT_STIFFNESS, type Target } from '../piece/target.ts';
import { standSide, tippingOf, type Tipping } from '../stand/stand.ts';
import { checkBend } from './bend.ts';
import type { Bench } from './bench.ts';
import type { Check } from './check.ts';
import { checkFit } from './fit.ts';
import { checkSlabSize } from './slabSize.ts';

/** A stand that may lean no more than this further is not to be trusted on something that moves (degrees). A rule of the bench. */
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
      ? ['The weight stands ', { mm: -room }, ` past the ${over} roll. Lean it less, or make the rolls larger.`]
      : ['The weight stands ', { mm: room }, ` within the ${over} roll: it may tilt `, { degrees: angle }, ' further.'],
  };
}

/** Advice on a scroll stand: tipping both ways, the bend of its rolls, the slab. */
export function checkStand(target: Target, developed: DevelopedForm, bench: Bench): Check[] {
  const { form, slab, clay } = target;
  if (form.kind !== 'stand') return [];
  const tipping = tippingOf(standSide(form, slab.wall * (1 - clay.shrinkage)));
  const large = checkSlabSize(developed.parts, bench.slab, null);
  return [
    checkTip('back', tipping.back),
    checkTip('front', tipping.front),
    checkBend({
      thickness: slab.wall,
      neutralRadius: developed.bendRadius,
      neutralFraction: slab.neutralFraction,
      stiffness: clay.stiffness ?? DEFAULT_STIFFNESS,
    }),
    large,
    ...checkFit(target),
  ].filter((check) => check !== null);
}
