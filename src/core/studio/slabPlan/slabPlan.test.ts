import polygonClipping from 'polygon-clipping';
import { DEFAULT_HANDLE } from '../../target/handle.ts';
import { nest } from '../../geometry/nest/nest.ts';
import type { Placement } from '../../geometry/nest/nestJob.ts';
import { alongEdge, edgeAt, type Outline } from '../../geometry/outline/outline.ts';
import { develop } from '../../piece/develop.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import { footprintOf } from './footprint.ts';
import { laidBox, laidFaults } from './laidSlab.ts';
import { lumpPlan } from './lump.ts';
import { LEAST_OFFCUT, offcutsOf } from './offcuts.ts';
import { offcutUses } from './offcutUses.ts';
import { planSlabs, type PlanRun } from './planSlabs.ts';
import { DEFAULT_PLAN, planGroups, planSum, type PlanRules } from './slabPlan.ts';

type Ring = [number, number][];

/** An outline as points, arcs by chords that bow by less than 0.01 mm, turned about its own origin and moved. */
function ringOf(outline: Outline, { x, y, turn }: Pick<Placement, 'x' | 'y' | 'turn'> = { x: 0, y: 0, turn: 0 }): Ring {
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return outline.flatMap((_, index) => {
    const { length, radius } = edgeAt(outline, index);
    const steps = Number.isFinite(radius) ? Math.ceil(length / Math.sqrt(8 * radius * 0.01)) : 1;
    return Array.from({ length: steps }, (__, step): [number, number] => {
      const [u, v] = alongEdge(outline, index, step / steps);
      return [c * u - s * v + x, s * u + c * v + y];
    });
  });
}

const overlap = (one: Ring, other: Ring) =>
  polygonClipping.intersection([one], [other]).reduce((sum, polygon) => {
    const ring = polygon[0] ?? [];
    return (
      sum +
      Math.abs(
        ring.reduce((twice, [x, y], index) => {
          const [u, v] = ring[(index + 1) % ring.length] ?? [x, y];
          return twice + x * v - u * y;
        }, 0),
      ) /
        2
    );
  }, 0);

function inside([x, y]: readonly [number, number], ring: Ring): boolean {
  return ring.reduce((odd, [x0, y0], index) => {
    const [x1, y1] = ring.at(index - 1) ?? [x0, y0];
    return y0 > y !== y1 > y && x < ((x1 - x0) * (y - y0)) / (y1 - y0) + x0 ? !odd : odd;
  }, false);
}

function toRing([x, y]: readonly [number, number], ring: Ring): number {
  return ring.reduce((least, [x0, y0], index) => {
    const [x1, y1] = ring.at(index - 1) ?? [x0, y0];
    const square = (x1 - x0) ** 2 + (y1 - y0) ** 2;
    const share = square === 0 ? 0 : Math.max(0, Math.min(1, ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / square));
    return Math.min(least, Math.hypot(x - x0 - share * (x1 - x0), y - y0 - share * (y1 - y0)));
  }, Infinity);
}

/** Runs that look at the clock a number of times, so that a test is the same every time. */
function runFor(looks: number, seed: number): PlanRun {
  let left = looks;
  return { random: seeded(seed), before: (share) => (left -= 1) > looks * (1 - share) };
}

const RULES: PlanRules = { ...DEFAULT_PLAN, length: 900, width: 500 };

describe('nesting, by a polygon library of its own', () => {
  it('lays no part over another and none off the slab, in 25 random jobs', () => {
    const random = seeded(71);
    for (let job = 0; job < 25; job += 1) {
      const parts = Array.from({ length: 2 + Math.floor(3 * random()) }, (_, index) => {
        const radius = 20 + 50 * random();
        const wide = 30 + 90 * random();
        const tall = 30 + 90 * random();
        const outlines: Outline[] = [
          [
            [-radius, 0, 1],
            [radius, 0, 1],
          ],
          [
            [0, 0, 0],
            [wide, 0, 0],
            [wide, tall, 0],
            [0, tall, 0],
          ],
          [
            [0, 0, -0.2],
            [wide, 0, 0],
            [wide, tall, 0.2],
            [0, tall, 0],
          ],
        ];
        const turns = (['any', 'half', 'none'] as const)[Math.floor(3 * random())] ?? 'any';
        return {
          id: `${index}`,
          count: 1 + Math.floor(3 * random()),
          turns,
          outline: outlines[Math.floor(3 * random())] as Outline,
        };
      });
      const width = 260 + 200 * random();
      let left = 12;
      const nested = nest({ width, gap: 3, parts }, { random: seeded(job), going: () => (left -= 1) > 0 });
      const rings = (nested?.placements ?? []).map((placement) =>
        ringOf(parts.find(({ id }) => id === placement.id)?.outline ?? [], placement),
      );
      expect(rings.length).toBe(parts.reduce((sum, { count }) => sum + count, 0));
      rings.forEach((ring, i) => {
        const long = nested?.used ?? 0;
        const isOn = ([x, y]: Ring[number]) => x >= -1e-6 && x <= width + 1e-6 && y >= -1e-6 && y <= long + 1e-6;
        expect(ring.filter((point) => !isOn(point))).toEqual([]);
        rings.slice(i + 1).forEach((other) => expect(overlap(ring, other)).toBe(0));
      });
    }
  });

  it('keeps what is locked where it is, and lays the rest round it', () => {
    const disc: Outline = [
      [-40, 0, 1],
      [40, 0, 1],
    ];
    const fixed = [{ id: 'disc', x: 120, y: 150, turn: 0 }];
    let left = 60;
    const nested = nest(
      { width: 240, gap: 4, parts: [{ id: 'disc', count: 6, outline: disc, turns: 'any' }], fixed },
      { random: seeded(3), going: () => (left -= 1) > 0 },
    );
    expect(nested?.placements.filter(({ x, y }) => x === 120 && y === 150)).toHaveLength(1);
    const rings = (nested?.placements ?? []).map((placement) => ringOf(disc, placement));
    rings.forEach((ring, i) => rings.slice(i + 1).forEach((other) => expect(overlap(ring, other)).toBe(0)));
    expect(nested?.used).toBeLessThan(6 * 84);
  });
});

describe('footprints', () => {
  it('hold both faces of every part of random pieces, but for what they say', () => {
    for (const target of targetsOfEveryKind(72, 36)) {
      for (const part of develop(target).parts) {
        const { outline, over } = footprintOf(part);
        const whole = ringOf(outline);
        const points = [...ringOf(part.outline), ...ringOf(part.underside)];
        expect(points.filter((point) => !inside(point, whole) && !(toRing(point, whole) <= over + 0.05))).toEqual([]);
        expect(over).toBeLessThan(1.2 * part.thickness);
      }
    }
  });
});

describe('a slab plan', () => {
  const cup = level({ kind: 'taper', rim: 112, foot: 74, height: 78 }, { slab: { wall: 5, base: 5 } });
  const pieces = [
    { key: 'tumbler', target: newTarget('Rack tumbler'), count: 6 },
    { key: 'cup', target: cup, count: 5 },
  ];
  const groups = planGroups(pieces, RULES);
  const told: number[] = [];
  const { slabs, unfit } = planSlabs(groups, {
    rules: RULES,
    locked: [],
    run: {
      ...runFor(70, 1),
      better: (better) => told.push(better.reduce((sum, { length }) => sum + length, 0)),
    },
  });

  it('keeps thicknesses apart, and has every copy of every part once', () => {
    expect(groups.map(({ thickness }) => thickness)).toEqual([6, 5]);
    expect(unfit).toEqual([]);
    for (const { thickness, parts } of groups) {
      const laid = slabs.filter((slab) => slab.thickness === thickness).flatMap(({ placements }) => placements);
      for (const part of parts) expect(laid.filter(({ id }) => id === part.id)).toHaveLength(part.count);
      expect(laid).toHaveLength(parts.reduce((sum, { count }) => sum + count, 0));
    }
  });

  it('keeps to the slab that can be rolled, its gap and its margin', () => {
    for (const slab of slabs) {
      const group = groups.find(({ thickness }) => thickness === slab.thickness);
      const outlines = new Map(group?.parts.map(({ id, outline }) => [id, outline]));
      const room = { width: RULES.width - 30, length: RULES.length - 30, gap: RULES.gap };
      expect(laidFaults(slab.placements, outlines, room)).toEqual({ crowded: new Set(), off: new Set() });
      const box = laidBox(slab.placements, outlines);
      expect(slab.length).toBeCloseTo(box.maxY + 30, 6);
      expect(slab.width).toBeLessThanOrEqual(RULES.width + 1e-6);
    }
  });

  it('lays walls along the roll, end for end, and any way when that is asked', () => {
    const walls = slabs.flatMap(({ placements }) => placements).filter(({ id }) => id.endsWith('wall'));
    for (const { turn } of walls) expect(Math.abs((turn + 1e-6) % 180)).toBeLessThan(1e-3);
    const [free] = planGroups(pieces, { ...RULES, alongRoll: false });
    expect(free?.parts.every(({ turns }) => turns === 'any')).toBe(true);
  });

  it('weighs its parts by their volume, its slabs by their size, and the trim between', () => {
    const sum = planSum(slabs, groups, 1.95);
    const parts = 6 * newParts(newTarget('x')) + 5 * newParts(cup);
    expect(sum.parts).toBeCloseTo(parts, 6);
    const clay = slabs.reduce((all, { length, width, thickness }) => all + length * width * thickness, 0);
    expect(sum.slabs).toBeCloseTo((clay / 1000) * 1.95, 6);
    expect(sum.trim).toBeCloseTo(sum.slabs - sum.parts, 6);
  });

  it('names a part that is larger than any slab', () => {
    const crock = level({ kind: 'cylinder', diameter: 400, height: 300 });
    const large = planGroups([{ key: 'crock', target: { ...crock, name: 'Crock' }, count: 1 }], RULES);
    expect(planSlabs(large, { rules: RULES, locked: [], run: runFor(20, 5) }).unfit).toEqual(['Crock, Wall']);
  });

  it('begins with a plan that is no worse than skylines of boxes, and only grows better', () => {
    expect(told.length).toBeGreaterThan(1);
    told.slice(1).forEach((length, index) => expect(length).toBeLessThanOrEqual((told[index] ?? 0) + 1e-6));
  });
});

const newParts = (target: Parameters<typeof develop>[0]) => develop(target).finished.mass.wet;

describe('off-cuts', () => {
  it('are rectangles of free clay: clear of every part, on the slab, not over one another', () => {
    const disc: Outline = [
      [-40, 0, 1],
      [40, 0, 1],
    ];
    const placements = [
      { id: 'a', x: 60, y: 60, turn: 0 },
      { id: 'a', x: 240, y: 200, turn: 0 },
    ];
    const offcuts = offcutsOf(placements, new Map([['a', disc]]), { width: 300, length: 260, gap: 5 });
    expect(offcuts.length).toBeGreaterThan(1);
    const rings = offcuts.map(({ x, y, width, length }): Ring => [
      [x, y],
      [x + width, y],
      [x + width, y + length],
      [x, y + length],
    ]);
    rings.forEach((ring, i) => {
      for (const placement of placements) expect(overlap(ring, ringOf(disc, placement))).toBe(0);
      rings.slice(i + 1).forEach((other) => expect(overlap(ring, other)).toBe(0));
      expect(Math.max(...ring.map(([x]) => x))).toBeLessThanOrEqual(300);
      expect(Math.max(...ring.map(([, y]) => y))).toBeLessThanOrEqual(260);
    });
    for (const { width, length } of offcuts) expect(Math.min(width, length)).toBeGreaterThanOrEqual(LEAST_OFFCUT);
  });

  it('gives off-cuts to a spare base, a strap, then test bars, as many as lie in them', () => {
    const cut = (width: number, length: number) => ({ x: 0, y: 0, width, length });
    const mug: Target = {
      ...newTarget('Mug'),
      form: { kind: 'cylinder', diameter: 84, height: 110 },
      handle: DEFAULT_HANDLE,
    };
    const [group] = planGroups([{ key: 'mug', target: mug, count: 1 }], RULES);
    const parts = (group?.parts ?? []).map(({ name, part, outline }) => ({ name, part, outline }));
    // The base is 95.5 across; a strap is about 118 by 27.
    const cuts = [cut(200, 210), cut(60, 260), cut(95, 200), cut(70, 90), cut(95, 100)];
    expect(offcutUses(cuts, parts, 5)).toEqual([
      { name: 'Base', count: 4 },
      { name: 'Handle', count: 4 },
      { name: 'test bars', count: 3 },
      null,
      null,
    ]);
  });
});

describe('the lump and its passes', () => {
  it.each([
    [{ length: 320, width: 220, thickness: 6 }, [14, 10, 8, 6, 5]],
    [{ length: 820, width: 490, thickness: 5 }, []],
    [{ length: 200, width: 200, thickness: 10 }, [8, 6]],
    [{ length: 150, width: 400, thickness: 4 }, [20, 15, 10, 7, 5, 4]],
  ])('keeps its clay through every pass, ends as the slab %j', (slab, offered) => {
    const { length, width, thickness, passes } = lumpPlan(slab, offered);
    const volume = slab.length * slab.width * slab.thickness;
    expect(length * width * thickness).toBeCloseTo(volume, 4);
    let before = thickness;
    for (const pass of passes) {
      expect(pass.length * pass.width * pass.to).toBeCloseTo(volume, 4);
      expect(pass.from).toBe(before);
      expect(pass.to).toBeGreaterThanOrEqual(0.6 * pass.from - 1e-9);
      before = pass.to;
    }
    expect(passes.at(-1)).toMatchObject({
      to: slab.thickness,
      length: expect.closeTo(slab.length, 6),
      width: expect.closeTo(slab.width, 6),
    });
  });

  it('of a slab as thick as the lump needs no rolling', () => {
    expect(lumpPlan({ length: 100, width: 80, thickness: 30 }, []).passes).toEqual([]);
  });
});
