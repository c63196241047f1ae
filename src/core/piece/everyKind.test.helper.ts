import type { PlanOutline } from '../target/plan.ts';
import type { Form, Target } from '../target/target.ts';
import { level } from './targets.test.helper.ts';
import { seeded } from '../seeded.ts';

const MADE = ['taper', 'stack', 'oval', 'facet', 'box', 'loft', 'gores'] as const;

/** Random targets that can be made, of the kinds in turn (but for straight cylinders, all): every join, face and state. */
export function targetsOfEveryKind(
  seed: number,
  count: number,
  {
    kinds = MADE,
    seams = 'plain',
  }: { readonly kinds?: readonly (typeof MADE)[number][]; readonly seams?: 'plain' | 'all' } = {},
): Target[] {
  const random = seeded(seed);
  const between = (least: number, greatest: number) => least + random() * (greatest - least);
  const one = <T>(values: readonly T[]): T => values[Math.floor(random() * values.length)] as T;
  const plan = (size: number): PlanOutline =>
    one<PlanOutline>([
      { kind: 'circle', diameter: size, at: [between(-9, 9), between(-9, 9)] },
      { kind: 'ellipse', length: size, width: size * between(0.6, 1) },
      { kind: 'rounded', length: size, width: size * between(0.6, 1), corner: size * between(0.15, 0.29) },
      { kind: 'polygon', sides: one([3, 4, 5, 8]), acrossFlats: size, corner: size * between(0.15, 0.29) },
    ]);
  /** Seams that add something to the wall. */
  const added = (): Target['seam'][] => [
    { kind: 'lap', overlap: between(0, 15), panels: one([1, 2]) },
    { kind: 'half-lap', overlap: between(0, 15), panels: one([1, 2]) },
    { kind: 'cut-in-place', margin: between(0, 15), panels: one([1, 2]) },
  ];
  const make: Record<(typeof MADE)[number], () => Form> = {
    taper: () => ({ kind: 'taper', rim: between(60, 200), foot: between(60, 200), height: between(40, 250) }),
    stack: () => ({
      kind: 'stack',
      profile: [
        [0, between(60, 120)],
        [between(40, 80), between(80, 160)],
        [between(120, 200), between(60, 120)],
      ],
    }),
    oval: () => ({ kind: 'oval', length: between(110, 200), width: between(90, 110), height: between(30, 90) }),
    facet: () => ({
      kind: 'facet',
      sides: 3 + Math.floor(random() * 10),
      rim: between(70, 140),
      foot: between(70, 140),
      height: between(60, 120),
      fold: one(['separate', 'strip']),
    }),
    box: () => ({ kind: 'box', length: between(60, 200), width: between(60, 120), height: between(30, 90) }),
    loft: () => ({
      kind: 'loft',
      rim: plan(between(100, 160)),
      foot: plan(between(100, 160)),
      height: between(60, 120),
    }),
    gores: () =>
      random() < 0.5
        ? {
            kind: 'gores',
            strips: 5 + Math.floor(random() * 12),
            ball: between(125, 145),
            foot: between(70, 85),
            height: between(50, 85),
          }
        : {
            kind: 'gores',
            strips: 5 + Math.floor(random() * 12),
            profile: [
              [0, between(60, 100)],
              [between(45, 70), between(110, 160)],
              [between(120, 160), between(60, 120)],
            ],
          },
  };
  return Array.from({ length: count }, (_, index) =>
    level(make[kinds[index % kinds.length] as keyof typeof make](), {
      clay: { shrinkage: between(0, 0.2) },
      slab: {
        wall: between(3, 7),
        base: between(3, 7),
        neutralFraction: between(0.3, 0.7),
        faceUp: one(['inside', 'outside']),
      },
      size: { state: one(['fired', 'wet']), face: one(['outside', 'inside']) },
      seam: one<Target['seam']>([
        { kind: 'bevel', angle: 45, panels: 1 },
        { kind: 'butt', panels: one([1, 2]) },
        ...(seams === 'all' ? added() : []),
      ]),
      base: one<Target['base']>([
        { join: 'under', trim: 0 },
        { join: 'inside', trim: 0 },
        { join: 'mitre', trim: 0 },
        { join: 'none', trim: 0 },
        { join: 'skirt', overlap: 3, trim: 2 },
      ]),
    }),
  );
}
