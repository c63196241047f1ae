import { tracedEdge } from '../../forms/kind/tracedSteps.ts';
import { develop } from '../../piece/develop.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { bounds } from '../../geometry/outline/outline.ts';
import { cutBase } from './cutter.ts';
import { followInHand, pieceInHand } from './inHand.ts';
import type { InHand } from '../../target/inHand.ts';

const begun = (inHand: InHand, more: Partial<Target> = {}): Target => {
  const target: Target = { ...newTarget('Cup'), inHand, ...more };
  const made = pieceInHand(target);
  if (made?.kind !== 'made') throw new Error('makes no piece');
  return made.target;
};
const SHEET: InHand = { kind: 'sheet', around: 297, up: 105 };
const ARC: InHand = { kind: 'arc' };
const CUTTER: InHand = { kind: 'cutter', across: 95 };
const arcCup = () =>
  begun(ARC, { owned: { inner: 180, outer: 280, sweep: 70 }, form: { kind: 'taper', rim: 100, foot: 70, height: 90 } });
const cutterCup = () => begun(CUTTER, { form: { kind: 'cylinder', diameter: 95, height: 100 } });

/** Other ways to make the same: thickness, seam, base, shrinkage, the face that lies up. */
const CHANGES: readonly (readonly [string, (target: Target) => Target])[] = [
  ['a thicker wall', (target) => ({ ...target, slab: { ...target.slab, wall: 8 } })],
  ['a thinner base', (target) => ({ ...target, slab: { ...target.slab, base: 4 } })],
  ['a lap of 18', (target) => ({ ...target, seam: { kind: 'lap', overlap: 18, panels: 1 } })],
  ['a base inside', (target) => ({ ...target, base: { join: 'inside', trim: 0 } })],
  ['another clay', (target) => ({ ...target, clay: { ...target.clay, shrinkage: 0.09 } })],
  ['sizes over the inside', (target) => ({ ...target, size: { state: 'fired', face: 'inside' } })],
];

function follow(before: Target, next: Target): Target {
  const followed = followInHand(before, next);
  if (!('target' in followed)) throw new Error(followed.faults[0]?.rule);
  return followed.target;
}
const box = (target: Target) => bounds(develop(target).parts[0]?.outline ?? []);

describe.each(CHANGES)('paper first: with %s', (_, change) => {
  it('the wall is still the sheet in hand', () => {
    const cup = begun(SHEET);
    const next = follow(cup, change(cup));
    const wall = box(next);
    expect([wall.maxX - wall.minX, wall.maxY - wall.minY]).toEqual([expect.closeTo(297, 6), expect.closeTo(105, 6)]);
  });

  it('the wall is still traced with the template in hand', () => {
    const cup = arcCup();
    const [wall] = develop(follow(cup, change(cup))).parts;
    if (!wall) throw new Error('no wall');
    const radii = (['foot', 'rim'] as const).map((edge) => tracedEdge(wall, edge).radius);
    expect(radii).toEqual([expect.closeTo(180, 4), expect.closeTo(280, 4)]);
  });

  it('the base is still cut by the cutter in hand', () => {
    const cup = cutterCup();
    expect(cutBase(develop(follow(cup, change(cup))).parts)).toBeCloseTo(95, 1);
  });
});

describe('what is in hand', () => {
  it('refuses the sizes that it sets, and leaves the others free', () => {
    const cup = begun(SHEET);
    const wider = followInHand(cup, { ...cup, form: { kind: 'cylinder', diameter: 120, height: 90 } });
    expect(wider).toEqual({
      faults: [expect.objectContaining({ path: 'inHand', rule: 'is set by the sheet in your hand: let it go first' })],
    });
    const tall = cutterCup();
    const taller = { ...tall, form: { ...tall.form, height: 140 } } as Target;
    expect(follow(tall, taller).form).toMatchObject({ height: 140 });
  });

  it.each([
    ['sheet', () => begun(SHEET)],
    ['template', arcCup],
    ['cutter', cutterCup],
  ])('refuses another form, and names the %s that must go first', (tool, cup) => {
    const oval = followInHand(cup(), { ...cup(), form: { kind: 'oval', length: 90, width: 70, height: 80 } });
    expect('faults' in oval && oval.faults[0]?.rule).toBe(
      `does not make this form: let the ${tool} in your hand go first`,
    );
  });

  it('that is let go sets nothing any more', () => {
    const cup = begun(SHEET);
    const { inHand, ...rest } = cup;
    const free: Target = { ...rest, form: { kind: 'cylinder', diameter: 120, height: 90 } };
    expect(inHand).toBe(SHEET);
    expect(followInHand(cup, free)).toEqual({ target: free });
  });

  it('that can make no piece of a slab says so', () => {
    const cup = begun(SHEET);
    const thick = followInHand(cup, {
      ...cup,
      seam: { kind: 'lap', overlap: 200, panels: 1 },
      slab: { ...cup.slab, wall: 40 },
    });
    expect('faults' in thick && thick.faults).toHaveLength(1);
  });
});
