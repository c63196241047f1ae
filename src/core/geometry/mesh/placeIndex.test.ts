import { seeded } from '../../seeded.ts';
import { PlaceIndex } from './placeIndex.ts';

const range = (count: number) => Array.from({ length: count }, (_, index) => index);

describe('numbers of places', () => {
  it.each<[string, (random: () => number) => number]>([
    ['whole numbers', (random) => Math.round(40 * (random() - 0.5))],
    ['multiples of 1024', (random) => 1024 * Math.round(40 * (random() - 0.5))],
    ['large whole numbers', (random) => Math.round(1e8 * (random() - 0.5))],
    ['fractions', (random) => Math.round(40 * random()) / 7],
  ])('are those of their texts, in the order in which they are met: %s', (_, chance) => {
    const random = seeded(5);
    const index = new PlaceIndex();
    const known = new Map<string, number>();
    for (const place of range(20_000).map(() => [chance(random), chance(random), chance(random)] as const)) {
      const name = place.join(' ');
      const wanted = known.get(name) ?? known.size;
      known.set(name, wanted);
      if (index.numberOf(...place) !== wanted) throw new Error(`${name} is not ${wanted}`);
    }
    expect(index.count).toBe(known.size);
  });

  it('do not tell 0 and -0 apart', () => {
    const index = new PlaceIndex();
    expect([index.numberOf(0, 0, 0), index.numberOf(-0, 0, -0), index.count]).toEqual([0, 0, 1]);
  });
});
