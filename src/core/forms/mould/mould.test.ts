import { develop, developWhole } from '../../piece/develop.ts';
import { checkTarget } from '../checkTarget.ts';
import { area, bounds, edges, validateOutline } from '../../geometry/outline/outline.ts';
import { meshTrouble } from '../../geometry/mesh/checkMesh.ts';
import { meshArea, offsetMesh } from '../../geometry/mesh/mesh.ts';
import { restShapes } from '../../geometry/flatten/restShapes.ts';
import { bent, sampled } from './arcs.test.helper.ts';
import { layBlank } from './layBlank.ts';
import { faceMesh, type DrapedTarget } from './draped.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { circle, ellipse, mould, TRAY } from './moulds.test.helper.ts';
import { roundBlank } from './roundMould.ts';

const CAP = mould({ rim: circle(240), depth: 40, wall: 'dome' });

const EVERY: readonly (readonly [string, DrapedTarget])[] = [
  ['cap', CAP],
  ['cap in a hollow', mould({ rim: circle(240), depth: 40, wall: 'dome', side: 'slump' })],
  ['cone with a floor', mould({ rim: circle(240), foot: circle(140), depth: 40, wall: 'straight' })],
  [
    'curved oval in a hollow',
    mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 28, wall: 'curved', side: 'slump' }),
  ],
  ['S-shaped', mould({ rim: circle(260), foot: circle(110), depth: 24, wall: 's' })],
  ['tray', TRAY],
  [
    'sharp tray in a hollow',
    mould({
      rim: { kind: 'polygon', sides: 4, acrossFlats: 220, corner: 0 },
      foot: { kind: 'polygon', sides: 4, acrossFlats: 180, corner: 0 },
      depth: 26,
      wall: 'straight',
      side: 'slump',
    }),
  ],
  [
    'drawn',
    mould({
      rim: circle(220),
      foot: circle(120),
      depth: 30,
      wall: 'drawn',
      profile: [
        [0, 0],
        [0.5, 0.2],
        [0.9, 0.7],
        [1, 1],
      ],
    }),
  ],
  [
    'six sides, off its middle',
    mould({
      rim: { kind: 'polygon', sides: 6, acrossFlats: 200, corner: 20 },
      foot: { kind: 'circle', diameter: 110, at: [12, -6] },
      depth: 30,
      wall: 'straight',
    }),
  ],
];

/** Volume of the solid between two parallel faces of a mesh whose neutral surface is given, each vertex as thick as it was left. */
function formedVolume(target: DrapedTarget, thickness: Float64Array, mesh: ReturnType<typeof faceMesh>): number {
  const { wall: t, neutralFraction: k } = target.slab;
  const step = 0.01;
  const [out, into] = [offsetMesh(mesh, step), offsetMesh(mesh, -step)];
  const [a, b, c] = [meshArea(into), meshArea(mesh), meshArea(out)];
  // Area of a parallel face at a distance d is a quadratic in d (Steiner): integrated through the slab.
  const slope = (c - a) / (2 * step);
  const bend = (c - 2 * b + a) / (step * step);
  const mean = weighed(thickness, mesh) * t;
  const [low, high] = [-(1 - k) * mean, k * mean];
  return b * (high - low) + (slope * (high ** 2 - low ** 2)) / 2 + (bend * (high ** 3 - low ** 3)) / 6;
}

function weighed(values: Float64Array, mesh: ReturnType<typeof faceMesh>): number {
  const { triangles, areas, area: whole } = restShapes(mesh);
  return areas.reduce(
    (sum, own, index) =>
      sum +
      (own / whole) *
        [0, 1, 2].reduce((all, side) => all + (values[triangles[3 * index + side] as number] as number) / 3, 0),
    0,
  );
}

describe('moulds and their blanks', () => {
  it.each(EVERY)('lay a %s flat: sound, at rest, its clay kept', (_, target) => {
    expect(checkTarget(target)).toEqual([]);
    const mesh = faceMesh(target, 'neutral', 1200);
    expect(meshTrouble(mesh)).toBeNull();
    const blank = layBlank(target, 'fine');
    expect(blank.converged).toBe(true);
    expect(blank.strain.most.gather).toBeLessThan(0.35);
    // Area times thickness left over the formed surface is the flat blank's own area.
    const formed = restShapes(blank.mesh).area;
    expect(formed * weighed(blank.strain.thickness, blank.mesh)).toBeCloseTo(blank.strain.flatArea, -2);
    const volume = formedVolume(target, blank.strain.thickness, blank.mesh);
    expect(Math.abs(volume / (blank.strain.flatArea * target.slab.wall) - 1)).toBeLessThan(0.005);
    const [part] = develop(target, undefined, blank).parts;
    expect(validateOutline(part?.outline ?? [])).toEqual([]);
    expect(Math.abs(area(part?.outline ?? []) / blank.strain.flatArea - 1)).toBeLessThan(2e-3);
  });

  it.each([
    [240, 40, 6, 0.5],
    [180, 80, 5, 0.5],
    [300, 60, 8, 0.3],
  ])('give a cap of %d by %d its three radii by the formulas of a sphere', (rim, depth, t, k) => {
    const sphere = (rim * rim) / (8 * depth) + depth / 2 + k * t;
    const angle = Math.acos(1 - depth / (sphere - k * t));
    const form = { kind: 'mould', rim: circle(rim), depth, wall: 'dome', side: 'hump', margin: 0 } as const;
    const round = roundBlank(form, k * t);
    expect(round.lengthTrue).toBeCloseTo(sphere * angle, 4);
    expect(round.areaTrue).toBeCloseTo(sphere * Math.sqrt(2 * (1 - Math.cos(angle))), 4);
    expect(round.girthExcess).toBeCloseTo(2 * Math.PI * sphere * (angle - Math.sin(angle)), 3);
    expect(round.rim).toBeLessThan(round.areaTrue);
    expect(round.areaTrue).toBeLessThan(round.lengthTrue);
  });

  it('turn round a hump’s floor edge on an arc and mitre in a hollow', () => {
    const form = {
      kind: 'mould',
      rim: circle(240),
      foot: circle(140),
      depth: 40,
      wall: 'straight',
      margin: 0,
    } as const;
    const slope = Math.atan(50 / 40);
    const slant = Math.hypot(50, 40);
    const hump = roundBlank({ ...form, side: 'hump' }, 3);
    expect(hump.lengthTrue).toBeCloseTo(70 + 3 * (Math.PI / 2 - slope) + slant, 6);
    // Into the hollow the floor's edge draws in by d tan((90 - a) / 2) and the wall begins as much later.
    const back = 3 * Math.tan((Math.PI / 2 - slope) / 2);
    const slump = roundBlank({ ...form, side: 'slump' }, -3);
    expect(slump.lengthTrue).toBeCloseTo(70 - back + slant - back, 6);
  });

  it('cut a round cap’s blank round, between its rim and its length, and as large as its area', () => {
    const { outline } = developWhole(CAP).parts[0] as { outline: Parameters<typeof area>[0] };
    const radii = sampled(outline, 400).map(([x, y]) => Math.hypot(x, y));
    const [least, greatest] = [Math.min(...radii), Math.max(...radii)];
    expect(greatest / least - 1).toBeLessThan(2e-3);
    const round = roundBlank(CAP.form as MouldForm, 3);
    expect(least).toBeGreaterThan(round.rim);
    expect(greatest).toBeLessThan(round.lengthTrue);
  });

  it('add a margin of the same width all round', () => {
    const plain = developWhole(TRAY).parts[0];
    const wide = developWhole(mould({ ...(TRAY.form as MouldForm), margin: 25 })).parts[0];
    const rim = sampled(plain?.outline ?? [], 600);
    for (const [x, y] of sampled(wide?.outline ?? [], 300)) {
      const far = Math.min(...rim.map(([u, v]) => Math.hypot(x - u, y - v)));
      expect(Math.abs(far - 25)).toBeLessThan(0.4);
    }
  });

  it('mirror the blank when the outside lies up, leans reversed', () => {
    const form = { ...(TRAY.form as MouldForm), darts: [{ at: 31.9, depth: 60 }] };
    const inside = developWhole(mould(form)).parts[0];
    const outside = developWhole({ ...mould(form), slab: { ...TRAY.slab, faceUp: 'outside' } }).parts[0];
    const [a, b] = [bounds(inside?.outline ?? []), bounds(outside?.outline ?? [])];
    expect(b.maxX).toBeCloseTo(-a.minX, 6);
    expect(area(outside?.outline ?? [])).toBeCloseTo(area(inside?.outline ?? []), 6);
    const leanOf = (part: typeof inside, edge: string) => part?.leans.find((lean) => lean.edge === edge)?.lean;
    expect(leanOf(inside, 'dart-left')).toBe(-45);
    expect(leanOf(outside, 'dart-right')).toBe(45);
    const dart = inside?.leans.find(({ edge }) => edge === 'dart-left');
    const length = edges(inside?.outline ?? [])
      .slice(dart?.from, dart?.to)
      .reduce((sum, edge) => sum + edge.length, 0);
    expect(length).toBeGreaterThan(50);
  });
});

describe('refusals of moulds', () => {
  it.each([
    ['a rim inside its foot', { foot: circle(300) }, 'form.foot'],
    ['a dome past the half sphere', { wall: 'dome', foot: undefined, depth: 130 }, 'form.depth'],
    ['a dome with a floor', { wall: 'dome' }, 'form.foot'],
    ['a drawn wall without a line', { wall: 'drawn' }, 'form.profile'],
    [
      'a line that turns back',
      {
        wall: 'drawn',
        profile: [
          [0, 0],
          [0.8, 0.2],
          [0.5, 0.6],
          [1, 1],
        ],
      },
      'form.profile.2',
    ],
    ['a negative margin', { margin: -1 }, 'form.margin'],
    ['a dart deeper than any slab', { darts: [{ at: 10, depth: 5000 }] }, 'form.darts.0.depth'],
  ] as const)('name %s', (_, change, path) => {
    const base = { rim: circle(240), foot: circle(140), depth: 40, wall: 'straight' } as const;
    const { foot, ...rest } = { ...base, ...change } as MouldForm;
    const faults = checkTarget(mould(foot ? { ...rest, foot } : rest));
    expect(faults.map((fault) => fault.path)).toContain(path);
  });

  it('refuse a handle on a piece from a mould', () => {
    expect(
      checkTarget({ ...CAP, lid: { kind: 'flat', clearance: 1, depth: 8, over: 0 } as never }).length,
    ).toBeGreaterThan(0);
  });
});

describe('few arcs', () => {
  it.each([[0.02], [0.2], [1.1]])('stand for a bent line within the tolerance', (turn) => {
    const points = bent(200, turn, 90);
    const { worst, count } = ((): { worst: number; count: number } => bent.fit(points))();
    expect(worst).toBeLessThan(0.3);
    expect(count).toBeLessThan(30);
  });
});
