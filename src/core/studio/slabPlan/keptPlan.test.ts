import { checkPlan, PLAN_LIMITS, type KeptPlan, type KeptSlab } from './keptPlan.ts';

const slabOf = (parts: number): KeptSlab => ({
  thickness: 6,
  placements: Array.from(
    { length: parts },
    (_, copy) => ({ part: 'wall', copy, x: 0, y: 0, turn: 0 }) as unknown as KeptSlab['placements'][number],
  ),
});
const PLAN: KeptPlan = {
  name: 'Six tumblers',
  design: 'd1',
  pieces: [{ design: 'd1', count: 6 }],
  gap: 8,
  margin: 10,
  alongRoll: true,
  slabs: [slabOf(6), slabOf(6)],
};

describe('a kept slab plan', () => {
  it.each<readonly [string, Partial<KeptPlan>]>([
    ['as it is', {}],
    ['before it is laid out', { slabs: [] }],
    ['without gap or margin', { gap: 0, margin: 0 }],
    ['as large as can be', { slabs: [slabOf(PLAN_LIMITS.placements)] }],
  ])('is taken %s', (_, change) => {
    expect(checkPlan({ ...PLAN, ...change })).toEqual([]);
  });

  it.each<readonly [string, Partial<KeptPlan>]>([
    ['name', { name: '' }],
    ['pieces', { pieces: [] }],
    ['pieces', { pieces: Array.from({ length: PLAN_LIMITS.pieces + 1 }, () => ({ design: 'd', count: 1 })) }],
    [
      'pieces.1.count',
      {
        pieces: [
          { design: 'a', count: 1 },
          { design: 'b', count: 0 },
        ],
      },
    ],
    ['pieces.0.count', { pieces: [{ design: 'a', count: PLAN_LIMITS.count.greatest + 1 }] }],
    ['gap', { gap: -1 }],
    ['gap', { gap: NaN }],
    ['margin', { margin: PLAN_LIMITS.margin.greatest + 1 }],
    ['slabs', { slabs: [slabOf(PLAN_LIMITS.placements), slabOf(1)] }],
  ])('is refused at %s', (path, change) => {
    expect(checkPlan({ ...PLAN, ...change }).map((fault) => fault.path)).toEqual([path]);
  });
});
