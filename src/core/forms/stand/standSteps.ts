import { radians } from '../../numbers.ts';
import { standSide, stripOf } from './stand.ts';
import type { Target } from '../../target/target.ts';
import type { Explained } from '../kind/kind.ts';
import type { FigureId, Step } from '../kind/step.ts';

/** How the length of a stand's strip came about: two whole turns and the floor between. */
function stripSteps({ form, slab, clay }: Target): Step[] {
  if (form.kind !== 'stand') return [];
  const strip = stripOf(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  const rolls = (['back', 'front'] as const).map((end) => ({ end, radius: strip.rollOuter[end] / 2 }));
  const alike = rolls[0]?.radius === rolls[1]?.radius;
  const each = (alike ? rolls.slice(0, 1) : rolls).flatMap(({ end, radius }): Step[] => {
    const name = alike ? 'a roll' : `the ${end} roll`;
    const neutral = radius - slab.wall + slab.neutralFraction * slab.wall;
    return [
      {
        rule: `neutral radius of ${name} = wet outer radius − wall × (1 − neutral fraction)`,
        worked: [{ mmPlain: radius }, ' − ', { mmPlain: slab.wall }, ` × (1 − ${slab.neutralFraction})`],
        gives: [{ mm: neutral }],
      },
      {
        rule: `${name} = 2 π × neutral radius`,
        worked: ['2 π × ', { mmPlain: neutral }],
        gives: [{ mm: strip.rollLengths[end] }],
      },
    ];
  });
  return [
    ...each,
    {
      rule: 'strip = both rolls + the floor between their middles',
      worked: [
        { mmPlain: strip.rollLengths.back },
        ' + ',
        { mmPlain: strip.rollLengths.front },
        ' + ',
        { mmPlain: strip.floor },
      ],
      gives: [{ mm: strip.length }],
    },
  ];
}

/** How wide the slot is: the leaning device and its room, level at the middles of the rolls. */
function slotSteps({ form, slab, clay }: Target): Step[] {
  if (form.kind !== 'stand') return [];
  const side = standSide(form, slab.wall * (1 - clay.shrinkage));
  const { back, front } = side.radii;
  const lean = radians(form.lean);
  const before = form.device.thickness + form.clearance + front - (front - side.strip) * Math.sin(lean);
  const behind = back + (back - side.strip) * Math.sin(lean);
  const fired: Step = {
    rule: 'slot, fired = (from the foot to the middles of both rolls, square to the device) ÷ cos(lean) − both radii',
    worked: [
      '(',
      { mmPlain: behind },
      ' + ',
      { mmPlain: before },
      ') ÷ cos ',
      { degrees: form.lean },
      ' − ',
      { mmPlain: back },
      ' − ',
      { mmPlain: front },
    ],
    gives: [{ mm: side.slot }],
  };
  const wet: Step = {
    rule: 'wet slot = fired slot ÷ (1 − shrinkage)',
    worked: [{ mmPlain: side.slot }, ` ÷ (1 − ${clay.shrinkage})`],
    gives: [{ mm: side.slot / (1 - clay.shrinkage) }],
  };
  return [fired, wet];
}

/** How the strip and the slot of a stand came about. */
export function explainStand(figure: FigureId, { target }: Explained): Step[] {
  if (figure === 'slot') return slotSteps(target);
  return figure === 'cutLength' ? stripSteps(target) : [];
}
