import { DEFAULT_FEET } from '../target/feet.ts';
import { DEFAULT_HANDLE } from '../target/handle.ts';
import { DEFAULT_LID } from '../target/lid.ts';
import { additionsOf } from '../forms/additions.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Form, Target } from '../target/target.ts';
import { targetWith } from '../piece/targets.test.helper.ts';
import { raiseAdded } from './added.ts';
import type { RaisedPart } from '../forms/kind/body.ts';
import { raise, standingBody } from './raise.ts';
import type { Point3 } from '../geometry/point.ts';

const FORMS: readonly (readonly [string, Form])[] = [
  ['a cylinder', { kind: 'cylinder', diameter: 90, height: 100 }],
  ['a taper', { kind: 'taper', rim: 110, foot: 80, height: 95 }],
  ['an oval', { kind: 'oval', length: 150, width: 100, height: 80 }],
  ['six facets', { kind: 'facet', sides: 6, rim: 110, foot: 90, height: 95, fold: 'separate' }],
];

const mug = (form: Form, more: Partial<Target> = {}): Target => ({ ...targetWith(), rim: 'level', form, ...more });

/** The whole piece on its way: `f` from the table (0) to the standing piece (1). */
function onItsWay(target: Target, f: number): RaisedPart[] {
  const body = standingBody(target);
  return raiseAdded(target, { raised: raise(body, f), flat: raise(body, 0), f });
}

const points = (parts: readonly RaisedPart[]): Point3[] =>
  parts.flatMap(({ ribbons }) => ribbons.flatMap(({ one, other }) => [...one, ...other]));
const named = (parts: readonly RaisedPart[], name: string) => parts.filter(({ part }) => part === name);
const range = (values: readonly number[]) => [Math.min(...values), Math.max(...values)] as const;
/** Enough of a part's points to see whether it lies clear of another. */
const some = (part: RaisedPart) => points([part]).filter((_, index) => index % 5 === 0);
const middle = ([x0, y0, z0]: Point3, [x1, y1, z1]: Point3): Point3 => [(x0 + x1) / 2, (y0 + y1) / 2, (z0 + z1) / 2];

/** Steps along the middle of a strap: halfway between its four edges. */
function strapSteps([handle]: readonly RaisedPart[]): number[] {
  const [outside, inside] = handle?.ribbons ?? [];
  const line = (outside?.one ?? []).map((left, index) =>
    middle(
      middle(left, outside?.other[index] as Point3),
      middle(inside?.one[index] as Point3, inside?.other[index] as Point3),
    ),
  );
  return line.slice(1).map(([x, y, z], index) => {
    const [u, v, w] = line[index] as Point3;
    return Math.hypot(x - u, y - v, z - w);
  });
}

describe.each(FORMS)('what is added to %s, on its way from the table', (_, form) => {
  it('is nothing where nothing is added', () => {
    const target = mug(form);
    const raised = raise(standingBody(target), 0.4);
    expect(raiseAdded(target, { raised, flat: raised, f: 0.4 })).toEqual(raised);
  });

  it('a strap bends and never stretches, lies on the table first, and ends on the wall', () => {
    const target = mug(form, { handle: DEFAULT_HANDLE });
    const made = additionsOf(target).handle;
    const flat = strapSteps(named(onItsWay(target, 0), 'handle'));
    const wet = (made?.curve.length ?? 0) / (1 - target.clay.shrinkage);
    expect(flat.reduce((sum, step) => sum + step, 0) / wet).toBeCloseTo(1, 3);
    for (const f of [0.2, 0.5, 0.8, 1]) {
      const steps = strapSteps(named(onItsWay(target, f), 'handle'));
      expect(Math.max(...steps.map((step, index) => Math.abs(step - (flat[index] ?? NaN))))).toBeLessThan(1e-6);
    }
    const lying = points(named(onItsWay(target, 0), 'handle')).map(([, , z]) => z);
    expect(range(lying)).toEqual([expect.closeTo(0, 6), expect.closeTo(made?.thickness ?? NaN, 6)]);
    const standing = points(named(onItsWay(target, 1), 'handle'));
    const { height } = kindOf(target).standing(target);
    const [least, greatest] = range(standing.map(([, , z]) => z));
    expect(least).toBeGreaterThan(0);
    expect(greatest).toBeLessThan(height);
  });

  it('pads lie on the table, and lift the piece by their thickness', () => {
    const target = mug(form, { feet: DEFAULT_FEET });
    const bare = points(raise(standingBody(target), 1)).map(([, , z]) => z);
    for (const f of [0, 0.5, 1]) {
      const pads = named(onItsWay(target, f), 'foot');
      expect(pads).toHaveLength(DEFAULT_FEET.count);
      for (const pad of pads) {
        expect(range(points([pad]).map(([, , z]) => z))).toEqual([0, DEFAULT_FEET.thickness]);
      }
    }
    const whole = onItsWay(target, 1).filter(({ part }) => part !== 'foot');
    const [least, greatest] = range(points(whole).map(([, , z]) => z));
    expect(least).toBeCloseTo(Math.min(...bare) + DEFAULT_FEET.thickness, 6);
    expect(greatest).toBeCloseTo(Math.max(...bare) + DEFAULT_FEET.thickness, 6);
    const base = points(named(whole, 'base'));
    const reach = Math.max(...base.map(([x, y]) => Math.hypot(x, y)));
    const feet = points(named(onItsWay(target, 1), 'foot'));
    expect(feet.filter(([x, y]) => !(Math.hypot(x, y) < reach))).toEqual([]);
  });

  it.each(['flat', 'cap'] as const)('a %s lid stands on its side first, and on the rim at the end', (kind) => {
    const target = mug(form, { lid: { ...DEFAULT_LID, kind } });
    const { height } = kindOf(target).standing(target);
    const depth = DEFAULT_LID.depth / (1 - target.clay.shrinkage);
    const heights = (f: number) => range(points(named(onItsWay(target, f), 'lid')).map(([, , z]) => z));
    expect(heights(0)).toEqual([expect.closeTo(0, 6), expect.closeTo(depth + target.slab.base, 6)]);
    expect(heights(1)).toEqual([expect.closeTo(height - depth, 6), expect.closeTo(height + target.slab.base, 6)]);
  });

  it('lies clear of the flat parts and of one another', () => {
    const target = mug(form, { handle: DEFAULT_HANDLE, feet: DEFAULT_FEET, lid: DEFAULT_LID });
    const parts = onItsWay(target, 0);
    const added = parts.filter(({ part }) => ['handle', 'foot', 'lid'].includes(part));
    expect(added).toHaveLength(2 + DEFAULT_FEET.count);
    for (const one of added) {
      const mine = some(one);
      for (const other of parts) {
        if (other === one) continue;
        const near = some(other).reduce(
          (least, [x, y]) => mine.reduce((so, [u, v]) => Math.min(so, Math.hypot(x - u, y - v)), least),
          Infinity,
        );
        expect(near).toBeGreaterThan(5);
      }
    }
  });
});
