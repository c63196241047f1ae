import type { Strain, Blank } from '../kind/blank.ts';
import { borderOf, meshArea, vertexCount, type Mesh } from '../../geometry/mesh/mesh.ts';
import { blankBase, type BlankBase, type BlankRun } from './blank.ts';
import { bestDarted, dartedOf } from './dartDepth.ts';
import { faceMesh, meshOf, type DrapedTarget } from './draped.ts';
import { limitsOf } from './limits.ts';

/** Vertices of a blank: a quick one for every keystroke, a fine one for the knife. */
export const BLANK_VERTICES = { quick: 160, fine: 2600 } as const;

/** How fine a blank's mesh is. */
export type Fineness = keyof typeof BLANK_VERTICES;

/** A finer imported mesh is shown from above until its blank has been laid. */
export const QUICK_MOST = 500;

/** A blank that has not been laid yet: its border seen from above, round a middle, without strain. */
function seenBlank(whole: Mesh): Blank {
  const rim = borderOf(whole) ?? [];
  const middle = [0, 1, 2].map(
    (axis) =>
      rim.reduce((sum, vertex) => sum + (whole.positions[3 * vertex + axis] as number), 0) / Math.max(1, rim.length),
  );
  const places = rim.flatMap((vertex) => [0, 1, 2].map((axis) => whole.positions[3 * vertex + axis] as number));
  const mesh: Mesh = {
    positions: Float64Array.from([...places, ...middle]),
    triangles: Uint32Array.from(rim.flatMap((_, index) => [index, (index + 1) % rim.length, rim.length])),
  };
  const count = vertexCount(mesh);
  const uv = Float64Array.from({ length: 2 * count }, (_, at) => mesh.positions[3 * (at >> 1) + (at % 2)] as number);
  const strain: Strain = {
    stretch: new Float64Array(count),
    gather: new Float64Array(count),
    thickness: new Float64Array(count).fill(1),
    most: { stretch: 0, gather: 0, thin: 1, thick: 1 },
    gathers: 'elsewhere',
    flatArea: meshArea(mesh),
  };
  const border = rim.map((_, index) => index);
  return {
    mesh,
    uv,
    border,
    cuts: [],
    strain,
    distortion: NaN,
    iterations: 0,
    converged: false,
    fine: false,
    missed: [],
  };
}

/** The neutral surface of a draped target laid flat without its darts, fine enough for the knife. */
export function fineBase(target: DrapedTarget, run: BlankRun = {}): BlankBase {
  return blankBase(faceMesh(target, 'neutral', BLANK_VERTICES.fine), run);
}

/** The fine blank of a draped target, cut from its {@link fineBase}. */
export function fineBlank(base: BlankBase, target: DrapedTarget, run: BlankRun = {}): Blank {
  const reading = { thickness: target.slab.wall, limits: limitsOf(target) };
  return { ...bestDarted(base, target.form.darts ?? [], { reading, run }), fine: true };
}

/**
 * The blank of a draped target: its neutral surface meshed, flattened with the least symmetric Dirichlet energy, and with
 * darts flattened again with the cuts open (geometry: drape, hump and slump blanks).
 *
 * @throws RangeError when the surface cannot be flattened without folds
 */
export function layBlank(target: DrapedTarget, fineness: Fineness, run: BlankRun = {}): Blank {
  const { form, slab } = target;
  const darts = form.darts ?? [];
  const half = (from: number, share: number): BlankRun => ({
    ...(run.going && { going: run.going }),
    step: (done) => run.step?.(from + share * done),
  });
  if (fineness === 'quick' && form.kind === 'mesh' && form.vertices.length > QUICK_MOST) return seenBlank(meshOf(form));
  const [first, rest] = [half(0, darts.length > 0 ? 0.5 : 1), half(0.5, 0.5)];
  if (fineness === 'fine' || form.kind === 'mesh') return fineBlank(fineBase(target, first), target, rest);
  const base = blankBase(faceMesh(target, 'neutral', BLANK_VERTICES.quick), first);
  return { ...dartedOf(base, darts, { thickness: slab.wall, run: rest }), fine: false };
}
