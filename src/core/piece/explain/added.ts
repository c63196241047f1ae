import { additionsOf } from '../../forms/additions.ts';
import type { Target } from '../../target/target.ts';
import type { Step } from '../../forms/kind/step.ts';
import { ROUNDING } from '../../numbers.ts';

/** Steps to a strap, or to a pulled handle, as it is cut or drawn out. */
export function handleSteps(target: Target): Step[] {
  const made = additionsOf(target).handle;
  const { handle, clay, slab } = target;
  if (!made || !handle) return [];
  const wet = made.curve.length / (1 - clay.shrinkage);
  return [
    {
      rule: 'the middle line of the handle as it stands, wet = fired ÷ (1 − shrinkage)',
      worked: [{ mmPlain: made.curve.length }, ` ÷ (1 − ${clay.shrinkage})`],
      gives: [{ mm: wet }],
    },
    ...(Math.abs(made.neutral - wet) > ROUNDING
      ? [
          {
            rule: 'the neutral line lies beside the middle one: + (k − 0.5) × thickness × turn',
            worked: [
              { mmPlain: wet },
              ` + (${slab.neutralFraction} − 0.5) × `,
              { mmPlain: handle.thickness },
              ` × ${made.curve.turning.toFixed(4)}`,
            ],
            gives: [{ mm: made.neutral }],
          } as const,
        ]
      : []),
    {
      rule: 'plus both ends, to be scored and blended in',
      worked: [{ mmPlain: made.neutral }, ' + 2 × ', { mmPlain: handle.ends }],
      gives: [{ mm: made.cut }],
    },
  ];
}

/** Steps to the plate of a lid. */
export function lidSteps(target: Target): Step[] {
  const made = additionsOf(target).lid;
  const { lid, clay, slab } = target;
  if (!made || !lid) return [];
  const wet = (mm: number) => mm / (1 - clay.shrinkage);
  const gives = [{ mm: made.across }];
  if (lid.kind === 'flat') {
    const past = wet(lid.overhang);
    const rule = 'as wide as the rim outside, wet, and past it on both sides';
    return [{ rule, worked: [{ mmPlain: made.across - 2 * past }, ' + 2 × ', { mmPlain: past }], gives }];
  }
  const room = wet(lid.clearance);
  return [
    {
      rule: 'the widest place that the cap passes, wet, and on both sides the room and the side’s thickness',
      worked: [
        { mmPlain: made.across - 2 * (room + slab.wall) },
        ' + 2 × (',
        { mmPlain: room },
        ' + ',
        { mmPlain: slab.wall },
        ')',
      ],
      gives,
    },
  ];
}

/** Steps to the flange of a lid, or the side of a cap, once round. */
export function flangeSteps(target: Target): Step[] {
  const made = additionsOf(target).lid;
  if (!made) return [];
  return [
    {
      rule: 'once round the neutral line of the flange or side, which lies (1 − k) × wall inside its outer face',
      worked: ['outer face ', { mmPlain: made.free + 2 * target.slab.wall }, ' across'],
      gives: [{ mm: made.girth }],
    },
  ];
}
