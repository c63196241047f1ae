import { centreOfMass } from '../../advice/additions.ts';
import { additionsOf } from '../../forms/additions.ts';
import { develop } from '../../piece/develop.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { DEFAULT_FEET } from '../../target/feet.ts';
import { withinFeet } from './feet.ts';

const pot: Target = { ...newTarget('Pot'), form: { kind: 'cylinder', diameter: 88, height: 66 }, feet: DEFAULT_FEET };
const wet = (fired: number) => fired / (1 - pot.clay.shrinkage);

describe('pads under a piece', () => {
  it.each([3, 4, 5, 6])('%i of them stand evenly, their edges the asked way in from the edge of the piece', (count) => {
    const { feet } = additionsOf({ ...pot, feet: { ...DEFAULT_FEET, count } });
    expect(feet).toHaveLength(count);
    for (const [x, y] of feet) expect(Math.hypot(x, y)).toBeCloseTo(wet(44) - wet(4) - wet(9), 9);
    const [[x0, y0] = [0, 0], [x1, y1] = [0, 0]] = feet;
    expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(2 * (wet(44) - wet(13)) * Math.sin(Math.PI / count), 9);
  });

  it('hold what lies within the line from foot to foot: half the radius of a triangle', () => {
    const { feet } = additionsOf(pot);
    expect(withinFeet(feet, [0, 0])).toBeCloseTo((wet(44) - wet(13)) / 2, 9);
    expect(withinFeet(feet, [wet(44), 0])).toBeLessThan(0);
  });

  it('are parts that weigh, and are marked on the base as it lies', () => {
    const { parts, finished } = develop(pot);
    const pad = parts.find(({ id }) => id === 'foot');
    expect([pad?.count, pad?.thickness]).toEqual([3, 6]);
    expect(pad?.volume).toBeCloseTo(Math.PI * wet(9) ** 2 * 6, 9);
    const bare = develop({ ...newTarget('Pot'), form: pot.form });
    expect(finished.mass.wet - bare.finished.mass.wet).toBeCloseTo((3 * (pad?.volume ?? 0) * 1.95) / 1000, 9);
    const crosses = (part: (typeof parts)[number] | undefined) =>
      (part?.marks ?? []).flatMap((mark) => (mark.kind === 'line' && mark.name === 'repeat' ? [mark] : []));
    expect(crosses(parts.find(({ id }) => id === 'base'))).toHaveLength(6);
  });

  it.each([
    ['no base', { base: { join: 'none', trim: 0 } }, 'feet'],
    ['pads that meet', { feet: { ...DEFAULT_FEET, diameter: 60 } }, 'feet.diameter'],
    ['two pads', { feet: { ...DEFAULT_FEET, count: 2 } }, 'feet.count'],
  ])('are refused with %s', (_, change, path) => {
    expect(() => develop({ ...pot, ...change } as Target)).toThrow(path);
  });
});

describe('the centre of mass', () => {
  it('of a straight pot lies on its axis, at the height of wall and base by their volumes', () => {
    const [R, r, H, b] = [wet(44), wet(44) - 6, wet(66), 6];
    const wall = Math.PI * (R * R - r * r) * H;
    const floor = Math.PI * r * r * b;
    const [x, y, z] = centreOfMass(pot);
    expect(Math.hypot(x, y)).toBeLessThan(1e-9);
    expect(z).toBeCloseTo((wall * (H / 2) + floor * (b / 2)) / (wall + floor), 3);
  });

  it('lies between the middles of foot and rim of a bowl off its axis, which falls off its feet when it is far enough', () => {
    const bowl = (x: number): Target => ({
      ...pot,
      form: {
        kind: 'loft',
        foot: { kind: 'circle', diameter: 60 },
        rim: { kind: 'circle', diameter: 120, at: [x, 0] },
        height: 60,
      },
    });
    const [x] = centreOfMass(bowl(30));
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(wet(30));
    const level = (target: Target) => develop(target).checks.find(({ code }) => code === 'feet')?.level;
    expect(level(bowl(0))).not.toBe('stop');
    expect(level(bowl(60))).toBe('stop');
  });

  it('moves towards a handle', () => {
    const mug: Target = { ...pot, form: { kind: 'cylinder', diameter: 84, height: 110 } };
    const handle = {
      kind: 'strap',
      fingers: 2,
      clearance: 3,
      projection: 36,
      below: 12,
      crest: 0.42,
      top: 24,
      bottom: 18,
      thickness: 6,
      ends: 4,
      spares: 0,
    } as const;
    expect(centreOfMass({ ...mug, handle })[0]).toBeGreaterThan(1);
  });
});
