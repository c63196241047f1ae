import { seeded } from '../../seeded.ts';
import { AIR_SPEEDS, COVERS, evaporation, faceAir, ROOM, saturation, type Air } from './air.ts';
import {
  activityOf,
  balanceAt,
  diffusivityAt,
  DRY_DENSITY,
  lengthLeft,
  PLASTIC,
  SHRINKAGE_ENDS,
} from './dryingClay.ts';
import { dryLayer, momentAt } from './diffusion.ts';
import { dryPart, dryPlainly, type DryingPart } from './partDrying.ts';
import { learnFactor, type DryingMark, type Found } from './factor.ts';
import { windowOf } from './windowOf.ts';

const HOUR = 3600;
const WALL: DryingPart = { thickness: 6, faces: 'one', cover: 'open' };

/** Crank's series for a layer that is open on one side: mean, open face and closed face at a time (s). */
function series(at: { D: number; k: number; L: number; from: number; to: number }, time: number): number[] {
  const biot = (at.k * at.L) / at.D;
  const sums = [0, 0, 0];
  for (let n = 1; n <= 600; n += 1) {
    let [low, high] = [(n - 1) * Math.PI, (n - 0.5) * Math.PI];
    for (let step = 0; step < 200; step += 1) {
      const middle = (low + high) / 2;
      if (middle * Math.tan(middle) > biot) high = middle;
      else low = middle;
    }
    const root = (low + high) / 2;
    const share =
      ((4 * Math.sin(root)) / (2 * root + Math.sin(2 * root))) * Math.exp((-root * root * at.D * time) / at.L ** 2);
    [Math.sin(root) / root, Math.cos(root), 1].forEach(
      (shape, index) => (sums[index] = (sums[index] ?? 0) + share * shape),
    );
  }
  return sums.map((sum) => at.to + (at.from - at.to) * sum);
}

describe('water in a slab', () => {
  it.each([
    ['slow to leave', { D: 4e-9, k: 2e-8, L: 0.006, from: 0.27, to: 0.01 }, 60],
    ['even', { D: 1e-9, k: 1e-7, L: 0.005, from: 0.25, to: 0 }, 24],
    ['fast to leave', { D: 1e-9, k: 1e-6, L: 0.006, from: 0.25, to: 0.01 }, 20],
    ['a face in balance at once', { D: 5e-10, k: 1e-4, L: 0.01, from: 0.3, to: 0.05 }, 100],
  ])('follows the series where it is %s', (_, at, hours) => {
    const model = { diffusivity: at.D, transfer: at.k, initial: at.from, equilibrium: at.to };
    const one = dryPlainly({ thickness: 1000 * at.L, faces: 'one' }, model, hours);
    const both = dryPlainly({ thickness: 2000 * at.L, faces: 'both' }, model, hours);
    for (const share of [0.002, 0.01, 0.05, 0.2, 0.5, 1]) {
      const [mean = 0, surface = 0, core = 0] = series(at, share * hours * HOUR);
      for (const course of [one, both]) {
        const found = course.at(share * hours);
        const room = 0.01 * (at.from - at.to);
        expect(Math.abs(found.mean - mean)).toBeLessThan(Math.min(room, 0.01 * (mean - at.to) + 1e-6));
        expect(Math.abs(found.surface - surface)).toBeLessThan(room);
        expect(Math.abs(found.core - core)).toBeLessThan(room);
      }
    }
  });

  it.each([1e-9, 1e-8, 1e-6])('leaves at a constant rate while its surface is wet (%d m2/s)', (D) => {
    const rate = 1e-8;
    const material = { initial: 0.27, diffusivity: () => D, lengthLeft: () => 1 };
    const moments = dryLayer({ thickness: 0.005, material, faces: [() => rate, null] }, 10 * HOUR);
    for (const hour of [1, 4, 10])
      expect(momentAt(moments, hour * HOUR).mean).toBeCloseTo(0.27 - (rate * hour * HOUR) / 0.005, 8);
  });

  it('dries thin wet clay as fast as its air takes the water, within a hundredth', () => {
    const thin = dryPart({ thickness: 2, faces: 'one', cover: 'cloth' }, ROOM, { hours: 40 });
    const rate = evaporation(faceAir(ROOM, 'cloth'), 1);
    for (const moisture of [0.26, 0.24, 0.2]) {
      const left = (0.27 - moisture) * DRY_DENSITY * 0.002;
      const hours = left / rate / HOUR;
      // The face shrinks meanwhile: half of it in the mean.
      expect(thin.at(hours / ((1 + lengthLeft(moisture) ** 2) / 2)).mean).toBeCloseTo(moisture, 3);
    }
  });

  it('is neither made nor lost, for 60 parts in any air', () => {
    const random = seeded(5);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
    for (let index = 0; index < 60; index += 1) {
      const part: DryingPart = {
        thickness: 2 + 18 * random(),
        faces: pick(['one', 'both']),
        cover: pick(COVERS),
        support: pick(['board', 'cloth', 'plaster']),
      };
      const air: Air = { temperature: 5 + 30 * random(), humidity: 0.98 * random(), speed: pick(AIR_SPEEDS) };
      const hours = 10 ** (3 * random());
      const course = dryPart(part, air, { hours });
      const [first, last] = [course.at(0), course.at(hours)];
      expect(Math.abs(first.mean - last.mean - course.lost)).toBeLessThan(1e-9);
      expect(last.mean).toBeGreaterThan(Math.min(balanceAt(air.humidity), 0.09) - 1e-6);
      expect(last.surface).toBeLessThanOrEqual(last.core + 1e-6);
    }
  });
});

describe('times to dry', () => {
  const hoursTo = (part: Partial<DryingPart>, air: Partial<Air> = {}) =>
    Object.values(dryPart({ ...WALL, ...part }, { ...ROOM, ...air }, { hours: 10_000 }).reached).map(
      (hour) => hour ?? Infinity,
    );
  const rises = (rows: readonly (readonly number[])[]) =>
    rows
      .slice(1)
      .every((row, index) =>
        row.every(
          (hour, at) =>
            hour >= (rows[index]?.[at] as number) && (hour > (rows[index]?.[at] as number) || hour === Infinity),
        ),
      );

  it.each<[string, readonly (readonly number[])[]]>([
    ['thickness', [3, 5, 6, 8, 10, 20].map((thickness) => hoursTo({ thickness }))],
    ['cover', COVERS.map((cover) => hoursTo({ cover }))],
    ['cover before a fan', COVERS.map((cover) => hoursTo({ cover }, { speed: 'fan' }))],
    ['humidity', [0, 0.2, 0.5, 0.7, 0.9].map((humidity) => hoursTo({}, { humidity }))],
    ['stiller air', [...AIR_SPEEDS].reverse().map((speed) => hoursTo({}, { speed }))],
    ['cold', [35, 25, 15, 5].map((temperature) => hoursTo({}, { temperature }))],
    ['fewer open faces', (['both', 'one'] as const).map((faces) => hoursTo({ faces }))],
  ])('grow with %s', (_, rows) => {
    expect(rises(rows)).toBe(true);
    for (const row of rows) expect([...row].sort((one, other) => one - other)).toEqual(row);
  });

  it('are those that potters know, to a factor of two', () => {
    const { opens, closes, leatherHard, dry } = dryPart(WALL, ROOM, { hours: 1000 }).reached;
    expect(opens).toBeGreaterThan(0.5);
    expect(opens).toBeLessThan(4);
    expect(closes).toBeLessThan(16);
    expect(leatherHard).toBeLessThan(30);
    expect(dry).toBeLessThan(100);
    expect(dryPart({ ...WALL, faces: 'both' }, { ...ROOM, speed: 'fan' }, { hours: 100 }).reached.opens).toBeLessThan(
      0.5,
    );
  });

  it('are longer by the factor that was learned, with the same water at the end of each', () => {
    const [one, slow] = [dryPart(WALL, ROOM, { hours: 50 }), dryPart(WALL, ROOM, { hours: 65, slower: 1.3 })];
    expect(slow.reached.closes).toBeCloseTo(1.3 * (one.reached.closes ?? 0), 6);
    expect(slow.lost).toBeCloseTo(one.lost, 9);
    expect(slow.at(26).mean).toBeCloseTo(one.at(20).mean, 9);
  });

  it('say when there is no such state', () => {
    expect(dryPart({ ...WALL, cover: 'damp-box' }, ROOM, { hours: 24 }).reached).toEqual({
      opens: null,
      closes: null,
      leatherHard: null,
      dry: null,
    });
  });
});

describe('what the figures rest on', () => {
  it.each([
    [0, 0.004845],
    [20, 0.01728],
    [30, 0.03036],
  ])('saturated air of %d °C holds the water of the steam tables', (temperature, density) => {
    expect(saturation(temperature)).toBeCloseTo(density, 4);
  });

  it('balances with its air: no water leaves then', () => {
    for (const humidity of [0.2, 0.5, 0.8]) {
      expect(evaporation(faceAir({ ...ROOM, humidity }, 'open'), activityOf(balanceAt(humidity)))).toBeCloseTo(0, 12);
    }
  });

  it('shrinks by about a fifteenth and no further than where grains touch', () => {
    expect(lengthLeft(PLASTIC)).toBe(1);
    expect(1 - lengthLeft(0)).toBeGreaterThan(0.05);
    expect(1 - lengthLeft(0)).toBeLessThan(0.08);
    expect(lengthLeft(0)).toBe(lengthLeft(SHRINKAGE_ENDS));
  });

  it('lets water through less the drier and the colder it is', () => {
    expect(diffusivityAt(20)(0.1)).toBeLessThan(diffusivityAt(20)(0.2));
    expect(diffusivityAt(10)(0.2)).toBeLessThan(diffusivityAt(20)(0.2));
  });
});

describe('the factor that is learned', () => {
  const { reached } = dryPart(WALL, ROOM, { hours: 1000 });
  const hour = (state: 'opens' | 'closes' | 'leatherHard' | 'dry') => reached[state] as number;

  /** Marks of a hand that looks in now and then, true times being 1.3 times the model's, each known to a tenth. */
  function marksOf(random: () => number, count: number): DryingMark[] {
    const bell = () => Math.sqrt(-2 * Math.log(random() || 1e-12)) * Math.cos(2 * Math.PI * random());
    return Array.from({ length: count }, () => {
      const hours = hour('opens') * (0.4 * (hour('dry') / hour('opens')) ** (1.2 * random()));
      const felt = hours / (1.3 * Math.exp(0.1 * bell()));
      const found: Found =
        felt < hour('opens')
          ? 'too-soft'
          : felt < hour('closes')
            ? 'ready'
            : felt < hour('leatherHard')
              ? 'too-stiff'
              : felt < hour('dry')
                ? 'leather-hard'
                : 'dry';
      return { hours, found, reached };
    });
  }

  it.each([8, 20])('lies within its interval in 93 to 98 of 100 runs of %d marks', (count) => {
    const random = seeded(71);
    const runs = Array.from({ length: 100 }, () => learnFactor(marksOf(random, count)));
    const within = runs.filter(({ low, high }) => low <= 1.3 && 1.3 <= high).length;
    expect(within).toBeGreaterThanOrEqual(93);
    expect(within).toBeLessThanOrEqual(98);
  });

  it('is a guess without marks, and surer with each', () => {
    const none = learnFactor([]);
    expect(none.usual).toBeCloseTo(1, 2);
    expect(none.high / none.low).toBeGreaterThan(3);
    const widths = [1, 4, 16, 64].map((count) => {
      const { low, high } = learnFactor(marksOf(seeded(9), count));
      return high / low;
    });
    expect(widths).toEqual([...widths].sort((one, other) => other - one));
  });

  it('moves the window at once by what the hand finds', () => {
    const course = dryPart(WALL, ROOM, { hours: 1000 });
    const before = windowOf(course, learnFactor([]));
    const soft = learnFactor([{ hours: 1.5 * hour('opens'), found: 'too-soft', reached }]);
    const stiff = learnFactor([{ hours: 0.8 * hour('closes'), found: 'too-stiff', reached }]);
    expect(windowOf(course, soft).opens?.usual).toBeGreaterThan(before.opens?.usual ?? 0);
    expect(windowOf(course, stiff).closes?.usual).toBeLessThan(before.closes?.usual ?? 0);
    expect(before.best).toBeGreaterThan(before.opens?.usual ?? 0);
    expect(before.best).toBeLessThan(before.closes?.usual ?? 0);
  });

  it('is not led astray by one wrong mark', () => {
    const good = marksOf(seeded(3), 20);
    const [right, wrong] = [learnFactor(good), learnFactor([...good, { hours: 0.05, found: 'dry', reached }])];
    expect(Math.abs(Math.log(wrong.usual / right.usual))).toBeLessThan(0.02);
  });
});
