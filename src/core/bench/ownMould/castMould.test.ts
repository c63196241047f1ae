import { planReach } from '../../parts/plan/plan.ts';
import { kindOf } from '../../forms/kinds.ts';
import type { Form, Target } from '../../target/target.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { castsOf, hoursToStiffen, modelOf, mouldOfPiece, type NextMould } from './castMould.ts';
import type { DrapedTarget } from '../../forms/mould/draped.ts';
import type { MouldForm } from '../../target/mouldForm.ts';

const RIMS: MouldForm['rim'][] = [
  { kind: 'circle', diameter: 220 },
  { kind: 'rounded', length: 260, width: 180, corner: 50 },
  { kind: 'polygon', sides: 6, acrossFlats: 220, corner: 40 },
];
const FEET: MouldForm['rim'][] = [
  { kind: 'circle', diameter: 150 },
  { kind: 'rounded', length: 190, width: 110, corner: 15 },
  { kind: 'polygon', sides: 6, acrossFlats: 150, corner: 5 },
];
const piece = (change: Partial<MouldForm> = {}): DrapedTarget =>
  level({
    kind: 'mould',
    rim: RIMS[0],
    foot: FEET[0],
    depth: 40,
    wall: 'straight',
    side: 'hump',
    margin: 20,
    ...change,
  } as Form) as DrapedTarget;
const next = (target: DrapedTarget, change: Partial<NextMould> = {}) => {
  const found = mouldOfPiece(target, { face: 'outside', state: 'bisque', shrunk: 0.06, ...change });
  if (found.kind === 'impossible') throw new Error(found.rule);
  return found;
};
const across = (target: Target) => kindOf(target).standing(target);

const CASES = (['hump', 'slump'] as const).flatMap((side) =>
  (['straight', 'curved', 's'] as const).flatMap((wall) =>
    RIMS.map((rim, index) => [side, wall, rim.kind, index] as const),
  ),
);

describe('a piece as the next mould', () => {
  it.each(CASES)('from a %s with a %s wall on a %s has the face of the piece, shrunk', (side, wall, _, index) => {
    const first = piece({ side, wall, rim: RIMS[index], foot: FEET[index] } as Partial<MouldForm>);
    const { across: outside, mouth, height } = across(first);
    for (const face of ['inside', 'outside'] as const) {
      const { target, off } = next(first, { face });
      if (target.form.kind !== 'mould') throw new Error('no mould');
      const size = planReach(target.form.rim) / 0.94;
      expect(off).toBeLessThan(0.1);
      // The rim of the face as the standing piece has it; a slanting rim's edges are its own.
      expect(Math.abs(size - (face === 'inside' ? mouth[0] : outside[0]))).toBeLessThan(first.slab.wall);
      expect(Math.abs(target.form.depth / 0.94 - height)).toBeLessThan(first.slab.wall + 1);
      expect(target.form.side).toBe(face === 'inside' ? 'slump' : 'hump');
    }
  });

  it('of a dome is the ball about the same middle, one slab larger or smaller', () => {
    const dome: MouldForm = {
      kind: 'mould',
      rim: { kind: 'circle', diameter: 200 },
      depth: 40,
      wall: 'dome',
      side: 'slump',
      margin: 0,
    };
    const ball = (form: Form) =>
      form.kind === 'mould' && form.rim.kind === 'circle'
        ? form.rim.diameter ** 2 / (8 * form.depth) + form.depth / 2
        : NaN;
    const { target } = next(level(dome) as DrapedTarget, { face: 'inside', shrunk: 0 });
    expect(ball(target.form)).toBeCloseTo(ball(dome) - 6, 6);
    expect(next(level(dome) as DrapedTarget, { face: 'outside', shrunk: 0.1 }).target.form).toMatchObject({
      depth: expect.closeTo(36, 9) as number,
      side: 'hump',
    });
  });

  it('is cast again from its own cast, each by its own thickness, and the model is found back', () => {
    const first = piece({ side: 'slump' });
    const second = next(first, { face: 'inside' }).target as DrapedTarget;
    const thin = { ...second, slab: { ...second.slab, wall: 4 } };
    const third = next(thin, { face: 'inside' }).target.form as MouldForm;
    expect(third.own && castsOf(third.own)).toEqual([
      { thickness: 6, face: 'inside' },
      { thickness: 4, face: 'inside' },
    ]);
    const model = modelOf(third);
    expect(model.depth).toBeCloseTo(40, 1);
    expect(model.rim).toMatchObject({ diameter: expect.closeTo(220, 1) as number });
    // The floor's edge, which the slab inside took sharp, comes back rounded: its floor ends where the inner one did.
    const floor = (form: MouldForm) => (form.foot?.kind === 'circle' ? form.foot.diameter : NaN);
    expect(floor(model)).toBeGreaterThan(140);
    expect(floor(model)).toBeLessThan(150);
  });

  it.each([
    [0.06, 1, 1.0638297872],
    [0.12, 1, 1.1363636364],
    [0.06, 2, 1.1317338162],
  ])('a model for clay that shrinks %d, %d times by the same face, is %d as large', (shrinkage, casts, factor) => {
    const form = piece({ own: { shrinkage, casts } }).form as MouldForm;
    expect(modelOf(form).depth / form.depth).toBeCloseTo(factor, 9);
    expect(modelOf(form).rim).toMatchObject({ diameter: expect.closeTo(220 * factor, 6) as number });
  });

  it('takes about two days to stiffen, and longer when it is thick', () => {
    expect(hoursToStiffen({ shrinkage: 0.06, casts: 1 })).toBe(48);
    expect(hoursToStiffen({ shrinkage: 0.06, casts: 1, wall: 9 })).toBe(72);
  });
});
