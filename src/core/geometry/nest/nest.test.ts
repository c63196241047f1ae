import { alongEdge, edgeAt, type Outline } from '../outline/outline.ts';
import { arcSector } from '../outline/arcSector.test.helper.ts';
import { circle, rectangle } from '../outline/shapes.ts';
import { seeded } from '../../seeded.ts';
import { nest } from './nest.ts';
import type { Nested, NestJob, NestPart } from './nestJob.ts';
import { distanceTo, nestShape } from './nestShape.ts';
import type { Point } from '../point.ts';

/** An outline as many points, placed by the nest's own rule: turned about its origin, then moved. */
function placed(outline: Outline, { x, y, turn }: { x: number; y: number; turn: number }): Point[] {
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return outline.flatMap((_, index) =>
    Array.from(
      { length: Math.ceil(edgeAt(outline, index).length / 1.5) },
      (__, step, all = Math.ceil(edgeAt(outline, index).length / 1.5)): Point => {
        const [u, v] = alongEdge(outline, index, step / all);
        return [c * u - s * v + x, s * u + c * v + y];
      },
    ),
  );
}

function inside([x, y]: Point, polygon: readonly Point[]): boolean {
  let odd = false;
  polygon.forEach(([x0, y0], index) => {
    const [x1, y1] = polygon.at(index - 1) as Point;
    if (y0 > y !== y1 > y && x < ((x1 - x0) * (y - y0)) / (y1 - y0) + x0) odd = !odd;
  });
  return odd;
}

function toSegment([x, y]: Point, [a, b]: Point, [c, d]: Point): number {
  const square = (c - a) ** 2 + (d - b) ** 2;
  const f = square === 0 ? 0 : Math.max(0, Math.min(1, ((x - a) * (c - a) + (y - b) * (d - b)) / square));
  return Math.hypot(x - a - f * (c - a), y - b - f * (d - b));
}

/** Faults of a layout, found with nothing that the nester uses: parts nearer than the gap, one in another, or off the slab. */
function faultsOf(job: NestJob, nested: Nested): string[] {
  const all = nested.placements.map((placement) => {
    const part = job.parts.find(({ id }) => id === placement.id) as NestPart;
    return { id: placement.id, points: placed(part.outline, placement) };
  });
  const wrong: string[] = [];
  // Points on arcs stand 1.5 mm apart: chords lie this much inside.
  const bow = 0.02;
  all.forEach(({ id, points }, i) => {
    if (points.some(([x, y]) => x < -1e-6 || y < -1e-6 || x > job.width + 1e-6 || y > nested.used + 1e-6))
      wrong.push(`${id} is off the slab`);
    const [minX, maxX] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
    const [minY, maxY] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
    all.forEach((other, j) => {
      if (i === j) return;
      const near = other.points.filter(
        ([x, y]) =>
          x > minX - job.gap - 1 && x < maxX + job.gap + 1 && y > minY - job.gap - 1 && y < maxY + job.gap + 1,
      );
      for (const point of near) {
        if (inside(point, points)) wrong.push(`${other.id} lies in ${id}`);
        const far = points.reduce(
          (least, at, k) => Math.min(least, toSegment(point, points.at(k - 1) as Point, at)),
          Infinity,
        );
        if (far < job.gap - bow) wrong.push(`${id} is ${far} from ${other.id}`);
      }
    });
  });
  return wrong;
}

/** Runs for a number of looks at the clock, so that a test is the same every time. */
function runFor(looks: number, seed = 1) {
  let left = looks;
  return { random: seeded(seed), going: () => (left -= 1) > 0 };
}

const ARCS: NestJob = {
  width: 500,
  gap: 4,
  parts: [
    { id: 'arc', count: 4, outline: arcSector(180, 290, 55), turns: 'any' },
    { id: 'disc', count: 5, outline: circle(75), turns: 'any' },
  ],
};

describe('the distance to an outline', () => {
  const random = seeded(9);
  it.each([
    ['a rectangle', rectangle(60, 40)],
    ['a disc', circle(50)],
    ['a sector', arcSector(80, 120, 200)],
  ] as const)('of %s is the least to its line, negative inside', (_, outline) => {
    const shape = nestShape(outline);
    const line = placed(outline, { x: 0, y: 0, turn: 0 });
    const found = { value: 0, gx: 0, gy: 0 };
    for (let times = 0; times < 300; times += 1) {
      const point: Point = [(random() - 0.4) * 260, (random() - 0.4) * 260];
      distanceTo(shape, [point[0] - shape.middle[0], point[1] - shape.middle[1]], found);
      const least = line.reduce(
        (best, at, k) => Math.min(best, toSegment(point, line.at(k - 1) as Point, at)),
        Infinity,
      );
      expect(Math.abs(Math.abs(found.value) - least)).toBeLessThan(0.02);
      if (least > 0.05) expect(found.value < 0).toBe(inside(point, line));
      expect(Math.hypot(found.gx, found.gy)).toBeCloseTo(1, 6);
    }
  });
});

describe('nesting', () => {
  it('never overlaps, leaves the gap and stays on the slab, for random parts of every turning', () => {
    const random = seeded(21);
    for (let times = 0; times < 6; times += 1) {
      const turns = (['any', 'half', 'none'] as const)[times % 3] ?? 'any';
      const job: NestJob = {
        width: 320 + 200 * random(),
        gap: 6 * random(),
        parts: [
          {
            id: 'wall',
            count: 2 + (times % 2),
            outline: arcSector(60 + 60 * random(), 150 + 40 * random(), 30 + 70 * random()),
            turns,
          },
          { id: 'panel', count: 3, outline: rectangle(30 + 60 * random(), 40 + 80 * random()), turns },
          { id: 'base', count: 3, outline: circle(40 + 50 * random()), turns },
        ],
      };
      const given: Nested[] = [];
      const nested = nest(job, { ...runFor(16, times), better: (one) => void given.push(one) });
      if (!nested) throw new Error('the parts lie on the slab');
      for (const one of given) expect(faultsOf(job, one)).toEqual([]);
      expect(nested.placements).toHaveLength(8 + (times % 2));
      // Each layout told of is shorter than the one before, and none is longer than the boxes on a skyline.
      given.slice(1).forEach((one, index) => expect(one.used).toBeLessThan((given[index]?.used ?? 0) + 1e-6));
      for (const { turn } of nested.placements) {
        if (turns === 'none') expect(turn).toBe(0);
        if (turns === 'half') expect([0, 180]).toContain(Math.round(turn) % 360);
      }
    }
  });

  it('is shorter than boxes on a skyline where arcs lie into one another', () => {
    const boxes = nest(ARCS, runFor(0));
    const nested = nest(ARCS, runFor(90, 3));
    expect(nested?.used).toBeLessThan(0.97 * (boxes?.used ?? 0));
    expect(faultsOf(ARCS, nested as Nested)).toEqual([]);
    const clay = ARCS.parts.reduce(
      (sum, { count, outline }) =>
        sum +
        count * Math.abs(outline.length === 2 ? (Math.PI * 75 * 75) / 4 : (Math.PI * (290 ** 2 - 180 ** 2) * 55) / 360),
      0,
    );
    expect(nested?.utilisation).toBeCloseTo(clay / (500 * (nested?.used ?? 1)), 9);
  });

  it('lays rectangles on a skyline as tight as they go', () => {
    const job: NestJob = {
      width: 210,
      gap: 10,
      parts: [{ id: 'panel', count: 4, outline: rectangle(100, 50), turns: 'half' }],
    };
    expect(nest(job, runFor(3))?.used).toBeLessThan(110 + 1e-6);
    const one = nest({ ...job, parts: [{ id: 'one', count: 1, outline: circle(60), turns: 'any' }] }, runFor(3));
    expect(one?.used).toBeLessThan(60 + 1e-6);
  });

  it('says when a part is wider than the slab', () => {
    expect(nest({ ...ARCS, width: 100 }, runFor(3))).toBeNull();
  });
});
