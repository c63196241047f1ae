import { priceOf, roomShare, type CostOf } from './priceOf.ts';

const COST: CostOf = {
  count: 12,
  faulty: 2,
  clay: { wet: 600, away: 50 },
  bag: { price: 20, grams: 10_000 },
  firings: [{ name: 'Firing of 2 November', price: 9.3, share: 0.5 }],
  minutes: 180,
  hour: 15,
};

it('adds clay, the share of the firing and time, by hand', () => {
  // 7,200 g of 10,000 g for 20; half of 9.30; three hours at 15.
  const { lines, total, each, eachSound, isWhole, lost, back } = priceOf(COST);
  expect(lines.map(({ sum }) => sum)).toEqual([expect.closeTo(14.4, 9), expect.closeTo(4.65, 9), 45]);
  expect(total).toBeCloseTo(64.05, 9);
  expect([each, eachSound]).toEqual([expect.closeTo(64.05 / 12, 9), expect.closeTo(6.405, 9)]);
  expect({ isWhole, lost, back }).toEqual({ isWhole: true, lost: 1200, back: 600 });
});

it.each<readonly [string, Partial<CostOf>, number, boolean]>([
  ['a bag has no price', { bag: null }, 49.65, false],
  ['the revision is not known', { clay: null }, 49.65, false],
  ['the firing has no price', { firings: [{ name: 'one', price: null, share: 1 }] }, 59.4, false],
  ['an hour has no price', { hour: null }, 19.05, false],
  ['no minutes were noted', { minutes: 0, hour: null }, 19.05, true],
  [
    'it was in two firings',
    {
      firings: [
        { name: 'a', price: 10, share: 0.2 },
        { name: 'b', price: 20, share: 0.1 },
      ],
    },
    63.4,
    true,
  ],
])('where %s, the sum says whether it is whole', (_, change, total, isWhole) => {
  const price = priceOf({ ...COST, ...change });
  expect(price.total).toBeCloseTo(total, 9);
  expect(price.isWhole).toBe(isWhole);
});

it('has no price for a sound piece where there is none', () => {
  expect(priceOf({ ...COST, faulty: 12 }).eachSound).toBeNull();
});

describe('shares of a firing', () => {
  it.each([
    [
      'by their volumes',
      [
        { count: 6, room: 100 },
        { count: 2, room: 300 },
      ],
      [0.5, 0.5],
    ],
    [
      'the unknown as the mean',
      [
        { count: 2, room: 100 },
        { count: 2, room: null },
      ],
      [0.5, 0.5],
    ],
    [
      'alike where nothing is known',
      [
        { count: 3, room: null },
        { count: 1, room: null },
      ],
      [0.75, 0.25],
    ],
  ])('%s, and together the whole', (_, all, wanted) => {
    expect(all.map((one) => roomShare(all, one))).toEqual(wanted.map((share) => expect.closeTo(share, 12) as number));
  });

  it('of nothing is none', () => expect(roomShare([], { count: 0, room: null })).toBe(0));
});
