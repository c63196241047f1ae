import { develop } from '../../piece/develop.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { kindOf } from '../../forms/kinds.ts';
import { atScale } from '../../studio/reverse/scaled.ts';
import { solveCapacity } from '../../studio/reverse/solveCapacity.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { isDraped, type DrapedTarget } from '../../forms/mould/draped.ts';
import { bounds } from '../../geometry/outline/outline.ts';
import { wallBy, wallPoints, withWallPoint } from '../../forms/mould/drawnWall.ts';
import { mouldSurface } from '../../forms/mould/mouldSurface.ts';
import { formedSize, mouldFor } from './neededMould.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { fromSections } from '../../forms/mould/sections.ts';

const draped = (form: Omit<MouldForm, 'kind' | 'margin'>): DrapedTarget => {
  const target: Target = { ...newTarget('m'), form: { kind: 'mould', margin: 20, ...form } };
  if (!isDraped(target)) throw new TypeError('not draped');
  return target;
};
const TRAY = draped({
  rim: { kind: 'rounded', length: 320, width: 210, corner: 50 },
  foot: { kind: 'rounded', length: 260, width: 150, corner: 30 },
  depth: 32,
  wall: 'straight',
  side: 'hump',
  cloth: 0.5,
});
const BOWL = draped({ rim: { kind: 'circle', diameter: 200 }, depth: 90, wall: 'dome', side: 'hump' });

describe('both ways between a mould and its piece', () => {
  it.each([
    ['length', 300],
    ['width', 150],
    ['height', 44],
  ] as const)('a wanted %s of %d is met to a hundredth', (size, wanted) => {
    for (const target of [TRAY, { ...TRAY, form: { ...TRAY.form, side: 'slump' } } as DrapedTarget]) {
      const found = mouldFor(target, size, wanted);
      if (!isDraped(found)) throw new TypeError('not draped');
      expect(formedSize(found, size)).toBeCloseTo(wanted, 2);
      expect(checkTarget(found)).toEqual([]);
    }
  });

  it('the face that touches has the mould’s own size, fired', () => {
    const slump = { ...TRAY, form: { ...TRAY.form, side: 'slump', cloth: 0 } } as DrapedTarget;
    expect(formedSize(slump, 'length')).toBeCloseTo(320 * 0.88, 6);
    const { mouth } = kindOf({ ...TRAY, form: { ...TRAY.form, cloth: 0 } } as DrapedTarget).standing({
      ...TRAY,
      form: { ...TRAY.form, cloth: 0 },
    } as DrapedTarget);
    expect(mouth[0] * 0.88).toBeCloseTo(320 * 0.88, 6);
  });
});

describe('moulds at another scale', () => {
  it('keep margin, cloth and angles, and cut their darts by the same share', () => {
    const { form } = atScale({ ...TRAY, form: { ...TRAY.form, darts: [{ at: 32, depth: 60 }] } } as DrapedTarget, 0.5);
    expect(form).toMatchObject({ depth: 16, margin: 20, cloth: 0.5, darts: [{ at: 32, depth: 30 }] });
    expect(form.kind === 'mould' && form.rim).toMatchObject({ length: 160, width: 105, corner: 25 });
  });

  it('are solved for what they hold', () => {
    const solved = solveCapacity(TRAY, 1500, 'height');
    if (solved.kind !== 'solved') throw new Error(solved.rule);
    expect(develop(solved.target).finished.capacityBrim).toBeCloseTo(1500, 0);
    expect(solved.target.form.kind === 'mould' && solved.target.form.depth).toBe(32);
  });
});

describe('pieces from sections', () => {
  it.each([
    ['bowl over a hump', BOWL],
    ['bowl in a hollow', draped({ ...(BOWL.form as MouldForm), side: 'slump' })],
    ['tray', TRAY],
  ])('a %s is developed from its foot and bands as wide as the mould', (_, target) => {
    const made = fromSections(target);
    if (!made) throw new Error('no sections');
    expect(checkTarget(made)).toEqual([]);
    const { hollow, across, floor, height } = kindOf(made).standing(made);
    const [, left = 0, right = 0] = hollow.at(-1) ?? [];
    const form = target.form as MouldForm;
    const rim = form.rim.kind === 'circle' ? form.rim.diameter : form.rim.kind === 'rounded' ? form.rim.length : NaN;
    expect(form.side === 'hump' ? right - left : across[0]).toBeCloseTo(rim, 6);
    expect(height - (form.side === 'hump' ? floor : 0)).toBeGreaterThan(0.6 * form.depth);
    expect(develop(made).parts.length).toBeGreaterThan(1);
  });
});

describe('what is left on and what the mould is', () => {
  const tray: MouldForm = {
    kind: 'mould',
    rim: { kind: 'circle', diameter: 220 },
    foot: { kind: 'circle', diameter: 150 },
    depth: 30,
    wall: 'curved',
    side: 'slump',
    margin: 15,
  };
  const target = (form: MouldForm): DrapedTarget => ({ ...newTarget('tray'), form }) as DrapedTarget;

  it('a flange makes piece and blank wider, is weighed, and its bend is marked', () => {
    const [plain, flanged] = [target(tray), target({ ...tray, flange: 8 })];
    expect(formedSize(flanged, 'length') - formedSize(plain, 'length')).toBeCloseTo(16 * 0.88, 9);
    expect(formedSize(flanged, 'height')).toBe(formedSize(plain, 'height'));
    const [one, other] = [develop(plain), develop(flanged)];
    const wide = (made: typeof one) => {
      const { minX, maxX } = bounds(made.parts[0]?.outline ?? []);
      return maxX - minX;
    };
    expect(wide(other) - wide(one)).toBeCloseTo(16, 1);
    // The ring of the flange, laid flat round a rim of that girth.
    const ring = Math.PI * 8 * (wide(one) - 30 + 8) * 6;
    const grams = (other.finished.mass.wet - one.finished.mass.wet) / target(tray).clay.wetDensity;
    expect((grams * 1000) / ring).toBeCloseTo(1, 1);
    expect(other.parts[0]?.marks.some((mark) => 'name' in mark && mark.name === 'fold')).toBe(true);
    expect(one.parts[0]?.marks.some((mark) => 'name' in mark && mark.name === 'fold')).toBe(false);
  });

  it('a mould of soft clay is told to stiffen first', () => {
    const codes = (state: 'soft' | 'dry') =>
      develop(target({ ...tray, own: { shrinkage: 0.05, casts: 1, state } })).checks.map(({ code }) => code);
    expect(codes('soft')).toContain('mould-soft');
    expect(codes('dry')).not.toContain('mould-soft');
  });

  it('a wall by other points keeps its line, and a dragged point goes where it is put', () => {
    const drawn = wallBy(tray, 9);
    expect(drawn.profile).toHaveLength(9);
    const [before, after] = [mouldSurface(tray).profile, mouldSurface(drawn).profile];
    for (const share of [0, 0.25, 0.5, 0.75, 1]) {
      expect(after(share).out).toBeCloseTo(before(share).out, 2);
      expect(after(share).up).toBeCloseTo(before(share).up, 2);
    }
    const put = withWallPoint(drawn, 4, { across: 200, up: 9 });
    expect(wallPoints(put)[3]).toMatchObject({ index: 4 });
    expect(wallPoints(put)[3]?.across).toBeCloseTo(200, 9);
    expect(wallPoints(put)[3]?.up).toBeCloseTo(9, 9);
    expect(wallPoints(wallBy(tray, 25))).toEqual([]);
  });
});
