import { area, edgeLength, type Outline } from '../../geometry/outline/outline.ts';
import type { Part } from '../../parts/part/part.ts';
import { develop } from '../../piece/develop.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';
import { raise, standingBody } from '../../raise/raise.ts';
import { seeded } from '../../seeded.ts';
import type { Form, Target } from '../../target/target.ts';
import { checkTarget } from '../checkTarget.ts';
import { kindOf } from '../kinds.ts';

const BALL: Form = { kind: 'gores', strips: 8, ball: 180, foot: 70, height: 120 };
const VASE: Form = {
  kind: 'gores',
  strips: 10,
  profile: [
    [0, 80],
    [60, 140],
    [110, 90],
    [130, 100],
  ],
};
const gores = targetsOfEveryKind(301, 80, { kinds: ['gores'] }).filter((target) => checkTarget(target).length === 0);
const strip = (target: Target) => develop(target).parts.find(({ id }) => id === 'gore') as Part;
/** Its traced line is the neutral surface's own. */
const onNeutral = (target: Target): Target => ({
  ...target,
  slab: { ...target.slab, neutralFraction: 0, faceUp: 'inside' },
});
const along = (outline: Outline, from: number, to: number) =>
  Array.from({ length: to - from }, (_, index) => edgeLength(outline, from + index)).reduce((sum, one) => sum + one, 0);

describe('gores', () => {
  it('of a straight side are the pieces of a cone, whatever the base, seam, face and neutral surface', () => {
    const random = seeded(302);
    const between = (low: number, high: number) => low + random() * (high - low);
    for (const like of gores) {
      const [foot, rim, height] = [between(70, 140), between(70, 140), between(60, 120)];
      const { strips } = like.form as typeof BALL & { strips: number };
      const profile = [
        [0, foot],
        [0.4 * height, foot + 0.4 * (rim - foot)],
        [height, rim],
      ] as const;
      const cut: Target = { ...like, rim: 'level', form: { kind: 'gores', strips, profile } };
      const cone: Target = {
        ...cut,
        form: { kind: 'taper', foot, rim, height },
        seam: { ...cut.seam, panels: strips },
      };
      const [mine, theirs] = [develop(cut), develop(cone)];
      // Over the inside the foot is measured on the floor, so that the middle point is no longer on the line.
      if (cut.size.face === 'inside') continue;
      const [one, other] = [mine.parts[0], theirs.parts[0]];
      expect(mine.numbers.edgeGather).toBeCloseTo(0, 9);
      for (const key of ['slant', 'girthFoot', 'girthRim', 'baseDiameter', 'baseTopDiameter', 'bevelRun'] as const)
        expect(mine.numbers[key] ?? 0).toBeCloseTo(theirs.numbers[key] ?? 0, 6);
      expect(one?.count).toBe(strips);
      expect(one?.volume).toBeCloseTo(other?.volume ?? NaN, 4);
      for (const face of ['outline', 'underside'] as const)
        expect(area(one?.[face] ?? [])).toBeCloseTo(area(other?.[face] ?? []), 4);
      expect(one?.leans.map(({ edge, lean }) => [edge, lean.toFixed(6)])).toEqual(
        other?.leans.map(({ edge, lean }) => [edge, lean.toFixed(6)]),
      );
      expect(mine.finished.capacityBrim).toBeCloseTo(theirs.finished.capacityBrim, 4);
    }
  });

  it.each([5, 8, 16])('of a ball, %i of them, have the width and the place of every level circle', (strips) => {
    const target = onNeutral(level({ ...BALL, strips } as Form, { size: { state: 'wet' } }));
    const { outline } = strip(target);
    const radius = 90 - target.slab.wall;
    const rim = outline.length / 2;
    const middle = (outline[0]?.[0] ?? 0) / 2 + (outline[1]?.[0] ?? 0) / 2;
    // The polyconic map of a ball, from its widest level: x = r cot p sin(l sin p), y = r p + r cot p (1 - cos(l sin p)).
    const half = Math.PI / strips;
    const places = (p: number) => {
      const turned = half * Math.sin(p);
      const cot = Math.abs(p) < 1e-9 ? 0 : radius / Math.tan(p);
      return [Math.abs(p) < 1e-9 ? radius * half : cot * Math.sin(turned), radius * p + cot * (1 - Math.cos(turned))];
    };
    const up = Math.asin((120 - Math.sqrt(90 ** 2 - 35 ** 2)) / radius);
    const lift = (outline[rim]?.[1] ?? 0) - (places(up)[1] as number);
    for (const [x, y] of outline.slice(1, rim + 1)) {
      let [low, high] = [-1.5, up + 0.01];
      for (let step = 0; step < 60; step += 1) {
        const p = (low + high) / 2;
        if ((places(p)[1] as number) + lift < y) low = p;
        else high = p;
      }
      expect(x - middle).toBeCloseTo(places(low)[0] as number, 6);
    }
  });

  it('hold what a ball holds between its floor and its rim', () => {
    const target = level(BALL, { size: { state: 'wet' } });
    const { hollowVolume, floor } = kindOf(target).standing(target);
    const centre = Math.sqrt(90 ** 2 - 35 ** 2);
    const r = 90 - target.slab.wall;
    const solid = (z: number) => Math.PI * (r * r * (z - centre) - (z - centre) ** 3 / 3);
    expect(hollowVolume).toBeCloseTo(solid(120) - solid(floor), 3);
  });

  it('tell by how much the flat edge is longer than the side of the piece, and gather less the more strips there are', () => {
    for (const target of gores.map(onNeutral)) {
      const { numbers } = develop(target);
      const { outline } = strip(target);
      const edge = along(outline, 1, outline.length / 2);
      expect(edge).toBeCloseTo((numbers.slant ?? NaN) + (numbers.edgeExcess ?? NaN), 2);
      // Both edges of every strip are alike, so that they join edge to edge.
      expect(along(outline, outline.length / 2 + 1, outline.length)).toBeCloseTo(edge, 6);
    }
    const gather = (strips: number) => develop(level({ ...VASE, strips } as Form)).numbers.edgeGather ?? NaN;
    expect(gather(16) / gather(8)).toBeLessThan(1 / 3);
    expect(gather(8)).toBeGreaterThan(0.02);
  });

  it('weigh no less than the wall that stands, and no more than their edges gather', () => {
    for (const found of gores) {
      const target: Target = {
        ...found,
        base: { join: 'none', trim: 0 },
        seam: { kind: 'butt', panels: 1 },
        slab: { ...found.slab, neutralFraction: 0.5 },
      };
      if (checkTarget(target).length > 0) continue;
      const { outer, hollowVolume } = kindOf(target).standing(target);
      const filled = outer.slice(1).reduce((sum, [z, , r], index) => {
        const [below = 0, , small = 0] = outer[index] ?? [];
        return sum + (Math.PI * (z - below) * (r * r + r * small + small * small)) / 3;
      }, 0);
      const { numbers } = develop(target);
      const flat = (strip(target).volume * strip(target).count) / (filled - hollowVolume);
      expect(flat).toBeGreaterThan(0.995);
      expect(flat).toBeLessThan(1.005 + (numbers.edgeGather ?? 0));
    }
  });

  it.each<[string, Form, string, RegExp]>([
    ['a foot wider than the ball', { ...BALL, foot: 190 } as Form, 'form.foot', /narrower than the ball/],
    ['a rim past the top', { ...BALL, height: 200 } as Form, 'form.height', /past the top/],
    ['a wall that lies flat', { ...BALL, foot: 12 } as Form, 'form.height', /more than 80/],
    ['too few strips', { ...BALL, strips: 4 } as Form, 'form.strips', /from 5 to 16/],
    ['half a strip', { ...BALL, strips: 7.5 } as Form, 'form.strips', /whole number/],
    [
      'a profile in the air',
      {
        kind: 'gores',
        strips: 8,
        profile: [
          [5, 80],
          [90, 90],
        ],
      },
      'form.profile.0.0',
      /start at/,
    ],
    [
      'a profile that turns back',
      {
        kind: 'gores',
        strips: 8,
        profile: [
          [0, 80],
          [90, 90],
          [80, 70],
        ],
      },
      'form.profile.2.0',
      /higher/,
    ],
    [
      'a first point in the base',
      {
        kind: 'gores',
        strips: 8,
        profile: [
          [0, 80],
          [4, 90],
          [80, 70],
        ],
      },
      'form.profile.1.0',
      /base/,
    ],
    [
      'a neck that the wall fills',
      {
        kind: 'gores',
        strips: 8,
        profile: [
          [0, 60],
          [60, 9],
          [120, 60],
        ],
      },
      'slab.wall',
      /nothing inside/,
    ],
    [
      'a curve tighter than the slab',
      {
        kind: 'gores',
        strips: 8,
        profile: [
          [0, 60],
          [40, 100],
          [44, 104],
          [48, 100],
          [90, 60],
        ],
      },
      'slab.wall',
      /tightest/,
    ],
  ])('refuse %s', (_, form, path, rule) => {
    const [fault] = checkTarget(level(form));
    expect(fault?.path).toBe(path);
    expect(fault?.rule).toMatch(rule);
  });

  it('stand edge to edge on the round, and lie flat before', () => {
    for (const found of gores) {
      const target: Target = { ...found, seam: { kind: 'butt', panels: 1 } };
      const body = standingBody(target);
      const { section, height } = kindOf(target).standing(target);
      const standing = raise(body, 1).filter(({ part }) => part === 'gore');
      const [gaps, off]: [number[], number[]] = [[], []];
      standing.forEach(({ ribbons }, index) => {
        const next = standing[(index + 1) % standing.length];
        for (const [at, { face, one }] of ribbons.entries()) {
          if (face !== 'outside') continue;
          const [mine, theirs] = [one.at(-1), next?.ribbons[at]?.one[0]];
          gaps.push(Math.hypot(...[0, 1, 2].map((axis) => (mine?.[axis] ?? NaN) - (theirs?.[axis] ?? NaN))));
          // The lower line of each row lies on the outer face; the foot's is cut where both faces meet the base.
          if (at > 0) off.push(...one.map(([x, y, z]) => Math.hypot(x, y) - section(Math.min(z, height)).outer.h(0)));
        }
      });
      expect(Math.max(...gaps)).toBeLessThan(1e-6);
      expect(Math.max(...off.map(Math.abs))).toBeLessThan(1e-4);
      const flat = raise(body, 0).filter(({ part }) => part === 'gore');
      const heights = flat.flatMap(({ ribbons }) =>
        ribbons.flatMap(({ face, one }) =>
          one.map(([, , z]) => {
            const upper = (face === 'inside') === (target.slab.faceUp === 'inside');
            return face === 'inside' || face === 'outside' ? z - (upper ? target.slab.wall : 0) : 0;
          }),
        ),
      );
      expect(Math.max(...heights.map(Math.abs))).toBeLessThan(1e-6);
    }
  });

  it('keep their middle and every level line as long on the whole way up', () => {
    for (const target of gores.slice(0, 12)) {
      const bent: Target = { ...onNeutral(target), seam: { kind: 'butt', panels: 1 }, base: { join: 'none', trim: 0 } };
      const body = standingBody(bent);
      const long = (f: number) => {
        const [strip] = raise(body, f).filter(({ part }) => part === 'gore');
        // The inside is the neutral surface here; its rows run from the foot up, and each ribbon begins with the upper one.
        const rows = (strip?.ribbons ?? []).filter(({ face }) => face === 'inside').map(({ one }) => one);
        const run = (points: readonly (readonly number[])[]) =>
          points
            .slice(1)
            .reduce((sum, p, at) => sum + Math.hypot(...[0, 1, 2].map((k) => (p[k] ?? 0) - (points[at]?.[k] ?? 0))), 0);
        const middle = rows.map((row) => row[(row.length - 1) / 2] as readonly number[]);
        return [run(middle), ...rows.map(run)];
      };
      const standing = long(1);
      for (const f of [0, 0.3, 0.7])
        long(f).forEach((length, at) => expect(Math.abs(length / (standing[at] ?? NaN) - 1)).toBeLessThan(0.004));
    }
  });
});
