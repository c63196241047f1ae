import { seeded } from '../../seeded.ts';
import { develop } from '../../piece/develop.ts';
import { additionsOf, handleAngles } from '../../forms/additions.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { DEFAULT_HANDLE, FINGER, type Handle } from '../../target/handle.ts';
import { handleCurve, type HandleWall, type SidePoint } from './handleCurve.ts';

const random = seeded(61);
const between = (low: number, high: number) => low + (high - low) * random();

/** A wall that leans evenly: its radius at the table and the tangent of its lean. */
function leaning(radius: number, rise: number, rim: number): HandleWall {
  return { reachAt: (height) => radius + rise * height, leanAt: () => Math.atan(rise), rim };
}

const WALLS = Array.from({ length: 60 }, () => leaning(between(30, 60), between(-0.15, 0.25), between(95, 140)));
const HANDLES = WALLS.map((): Handle => ({
  ...DEFAULT_HANDLE,
  fingers: 1 + Math.floor(3 * random()),
  clearance: between(1, 5),
  projection: between(34, 48),
  below: between(6, 16),
  crest: between(0.35, 0.6),
}));
const THICK = 4.4;
const CURVES = WALLS.map((wall, index) => handleCurve(HANDLES[index] as Handle, wall, THICK));

function lengthOf(line: readonly SidePoint[]): number {
  return line.slice(1).reduce((sum, [x, z], index) => {
    const [u, v] = line[index] as SidePoint;
    return sum + Math.hypot(x - u, z - v);
  }, 0);
}

describe('a handle seen from the side', () => {
  it('leaves the fingers the room that was asked for, in the least drop that does, to half a mm', () => {
    CURVES.forEach((curve, index) => {
      const [handle, wall] = [HANDLES[index], WALLS[index]] as [Handle, HandleWall];
      const drop = curve.from - curve.to;
      expect(curve.room).toBeGreaterThanOrEqual(handle.clearance);
      const bare = handle.fingers * FINGER + THICK;
      if (drop < bare + 0.5) return;
      expect(handleCurve({ ...handle, drop: drop - 0.5 }, wall, THICK).room).toBeLessThan(handle.clearance);
    });
  });

  it('has its fingers against the wall, one above another, and clear of its inner face by the room it tells', () => {
    CURVES.forEach((curve, index) => {
      const wall = WALLS[index] as HandleWall;
      const gaps = curve.fingers.flatMap(([x, z]) =>
        curve.inner.map(([u, v]) => Math.hypot(u - x, v - z) - FINGER / 2),
      );
      expect(Math.min(...gaps)).toBeCloseTo(curve.room, 9);
      for (const [x, z] of curve.fingers) {
        const away = (x - wall.reachAt(z)) * Math.cos(wall.leanAt(z));
        expect(away).toBeCloseTo(FINGER / 2, 9);
      }
      curve.fingers.slice(1).forEach(([, z], one) => expect(z - (curve.fingers[one]?.[1] ?? 0)).toBeCloseTo(FINGER, 9));
    });
  });

  it('stands out as far as it should, leaves the wall and meets it square, and is as long as its line', () => {
    CURVES.forEach((curve, index) => {
      const [handle, wall] = [HANDLES[index], WALLS[index]] as [Handle, HandleWall];
      const crest = curve.from - handle.crest * (curve.from - curve.to);
      const [reach] = curve.outer.reduce((one, other) =>
        Math.abs(other[1] - crest) < Math.abs(one[1] - crest) ? other : one,
      );
      expect(reach - wall.reachAt(crest)).toBeCloseTo(handle.projection, 6);
      expect(curve.length).toBeCloseTo(lengthOf(curve.middle), 1);
      expect(curve.turning).toBeCloseTo(Math.PI, 6);
      expect(lengthOf(curve.outer) - lengthOf(curve.inner)).toBeCloseTo(THICK * curve.turning, 1);
    });
  });
});

describe('a strap as a part', () => {
  const mug: Target = {
    ...newTarget('Mug'),
    clay: { shrinkage: 0.12, wetDensity: 1.95 },
    form: { kind: 'cylinder', diameter: 84, height: 110 },
    handle: DEFAULT_HANDLE,
  };

  it.each([0, 0.3, 0.5, 0.8, 1])('is the neutral line at k = %s and both ends long', (k) => {
    const target = { ...mug, slab: { ...mug.slab, neutralFraction: k } };
    const strap = develop(target).parts.find(({ id }) => id === 'handle');
    const { curve } = additionsOf(target).handle ?? {};
    if (!strap || !curve) throw new Error('there is no handle');
    const [inner, outer] = [lengthOf(curve.inner) / 0.88, lengthOf(curve.outer) / 0.88];
    const length = (strap.outline[1]?.[0] ?? 0) - 2 * DEFAULT_HANDLE.ends;
    expect(length).toBeCloseTo(inner + k * (outer - inner), 1);
  });

  it('weighs what its bent solid weighs: the area between its faces times its width', () => {
    const even = { ...DEFAULT_HANDLE, top: 20, bottom: 20, ends: 0 };
    const target = { ...mug, handle: even };
    const { curve, volume } = additionsOf(target).handle ?? {};
    if (!curve || volume === undefined) throw new Error('there is no handle');
    const loop = [...curve.outer, ...[...curve.inner].reverse()];
    const twice = loop.reduce((sum, [x, z], index) => {
      const [u, v] = loop[(index + 1) % loop.length] as SidePoint;
      return sum + x * v - u * z;
    }, 0);
    const solid = (Math.abs(twice) / 2) * 20 * (1 / 0.88) ** 3;
    expect(Math.abs(volume / solid - 1)).toBeLessThan(0.001);
  });

  it('is cut once for each place and each spare, and only those on the piece weigh in it', () => {
    const places = [90, 270].map((at) => ({ kind: 'handle', at }) as const);
    const pair: Target = { ...mug, marks: { places }, handle: { ...DEFAULT_HANDLE, spares: 2 } };
    const strap = develop(pair).parts.find(({ id }) => id === 'handle');
    expect(strap?.count).toBe(4);
    expect(handleAngles(pair)).toEqual([90, 270]);
    const bare: Target = { ...newTarget('Mug'), clay: mug.clay, form: mug.form };
    const more = develop(pair).finished.mass.wet - develop(bare).finished.mass.wet;
    expect(more).toBeCloseTo((2 * (strap?.volume ?? 0) * 1.95) / 1000, 9);
  });

  it('pulled, is a lump by weight and length, and no part', () => {
    const pulled: Target = { ...mug, handle: { ...DEFAULT_HANDLE, kind: 'pulled', ends: 0 } };
    const { parts, lumps, finished } = develop(pulled);
    expect(parts.some(({ id }) => id === 'handle')).toBe(false);
    const [lump] = lumps ?? [];
    const rod = (((Math.PI / 4) * (21 / 0.88) * DEFAULT_HANDLE.thickness * (lump?.length ?? 0)) / 1000) * 1.95;
    expect(lump?.mass).toBeCloseTo(1.5 * rod, 9);
    expect(finished.mass.wet - develop({ ...newTarget('Mug'), form: mug.form }).finished.mass.wet).toBeCloseTo(rod, 9);
  });

  it('is marked on the wall where its ends are joined, so far below the rim', () => {
    const { parts } = develop(mug);
    const wall = parts.find(({ id }) => id === 'wall');
    const { curve } = additionsOf(mug).handle ?? {};
    const top = Math.max(...(wall?.outline ?? []).map(([, y]) => y));
    const ticks = (wall?.marks ?? []).flatMap((mark) =>
      mark.kind === 'line' && mark.name === 'repeat' ? [mark.from[1]] : [],
    );
    expect(ticks).toHaveLength(2);
    expect(top - (ticks[0] ?? 0)).toBeCloseTo((110 - (curve?.from ?? 0)) / 0.88, 9);
    expect((ticks[0] ?? 0) - (ticks[1] ?? 0)).toBeCloseTo(((curve?.from ?? 0) - (curve?.to ?? 0)) / 0.88, 9);
  });

  it('on a box is marked on the sides that it is joined to, so far below the rim', () => {
    const form = { kind: 'box', length: 120, width: 80, height: 110 } as const;
    const at = (angle: number) =>
      develop({ ...mug, rim: 'level', form, marks: { places: [{ kind: 'handle', at: angle }] } }).parts;
    const ticks = (id: string, angle: number) => {
      const part = at(angle).find((one) => one.id === id);
      const top = Math.max(...(part?.outline ?? []).map(([, y]) => y));
      return (part?.marks ?? []).flatMap((mark) =>
        mark.kind === 'line' && mark.name === 'repeat' ? [top - mark.from[1]] : [],
      );
    };
    expect([ticks('long', 0), ticks('short', 90)]).toEqual([[], []]);
    // 12 below the rim to its upper edge, and half its thickness.
    for (const [first] of [ticks('short', 180), ticks('long', 270)]) expect(first).toBeCloseTo(12 / 0.88 + 3, 9);
  });

  it.each([
    ['fingers', 5, 'handle.fingers'],
    ['fingers', 1.5, 'handle.fingers'],
    ['projection', 7, 'handle.projection'],
    ['drop', 130, 'handle.drop'],
    ['crest', 0.95, 'handle.crest'],
    ['thickness', 0, 'handle.thickness'],
  ])('is refused with %s of %s', (key, value, path) => {
    expect(() => develop({ ...mug, handle: { ...DEFAULT_HANDLE, [key]: value } })).toThrow(path);
  });

  it.each([
    ['too little room', { projection: 22, drop: 60 }, 'handle-room', 'care'],
    ['enough room', {}, 'handle-room', 'note'],
    ['a top at the rim', { below: 0 }, 'handle-top', 'care'],
    ['a tight bend', { fingers: 1, projection: 30, thickness: 9 }, 'handle-bend', 'care'],
  ])('is told of: %s', (_, change, code, level) => {
    const { checks } = develop({ ...mug, handle: { ...DEFAULT_HANDLE, ...change } });
    expect(checks.find((check) => check.code === code)?.level).toBe(level);
  });
});
