import type { Cut, LaidMesh, Blank } from '../kind/blank.ts';
import { flatten } from '../../geometry/flatten/flatten.ts';
import { borderOf, vertexCount, type Mesh } from '../../geometry/mesh/mesh.ts';
import { TAU } from '../../numbers.ts';
import { cutMesh, type CutLine } from './cutMesh.ts';
import { finerAbout, spacingOf } from './partTriangles.ts';
import { strainOf } from './strain.ts';

/** Progress of the work, and what stops it. */
export interface BlankRun {
  readonly step?: (share: number) => void;
  readonly going?: () => boolean;
}

/** Turns a layout about its middle so that it lies as the formed piece does, seen from above. */
function aligned(mesh: Mesh, uv: Float64Array): Float64Array {
  const count = uv.length / 2;
  let [mu, mv, mx, my] = [0, 0, 0, 0];
  for (let vertex = 0; vertex < count; vertex += 1) {
    mu += (uv[2 * vertex] as number) / count;
    mv += (uv[2 * vertex + 1] as number) / count;
    mx += (mesh.positions[3 * vertex] as number) / count;
    my += (mesh.positions[3 * vertex + 1] as number) / count;
  }
  let [cos, sin] = [0, 0];
  for (let vertex = 0; vertex < count; vertex += 1) {
    const [u, v] = [(uv[2 * vertex] as number) - mu, (uv[2 * vertex + 1] as number) - mv];
    const [x, y] = [(mesh.positions[3 * vertex] as number) - mx, (mesh.positions[3 * vertex + 1] as number) - my];
    cos += u * x + v * y;
    sin += u * y - v * x;
  }
  const long = Math.hypot(cos, sin) || 1;
  const [c, s] = [cos / long, sin / long];
  return uv.map((_, index) => {
    const vertex = index >> 1;
    const [u, v] = [(uv[2 * vertex] as number) - mu, (uv[2 * vertex + 1] as number) - mv];
    return index % 2 === 0 ? c * u - s * v : s * u + c * v;
  });
}

/** Vertices to each side over which the rim's direction is taken. */
const RIM_REACH = 3;

/** The way of a dart in a layout without darts: from the rim where it is seen at its angle (degrees), square to the rim inward. */
export function dartWay({ mesh, uv, border }: BlankBase, at: number): Pick<CutLine, 'from' | 'way'> {
  const middle = [0, 1].map(
    (axis) => border.reduce((sum, vertex) => sum + (mesh.positions[3 * vertex + axis] as number), 0) / border.length,
  );
  const wanted = (at / 360) * TAU;
  const angleOf = (vertex: number) =>
    Math.atan2(
      (mesh.positions[3 * vertex + 1] as number) - (middle[1] ?? 0),
      (mesh.positions[3 * vertex] as number) - (middle[0] ?? 0),
    );
  const past = (vertex: number) => {
    const by = (angleOf(vertex) - wanted) / TAU;
    return by - Math.round(by);
  };
  let found = 0;
  border.forEach((vertex, index) => {
    const next = border[(index + 1) % border.length] as number;
    if (past(vertex) <= 0 && past(next) > 0 && past(next) - past(vertex) < 0.5) found = index;
  });
  const vertexAt = (index: number) => border[(index + border.length) % border.length] as number;
  const place = (index: number) => [uv[2 * vertexAt(index)] as number, uv[2 * vertexAt(index) + 1] as number] as const;
  const [low, high] = [past(vertexAt(found)), past(vertexAt(found + 1))];
  const f = high > low ? Math.max(0, Math.min(1, -low / (high - low))) : 0;
  const [a, b] = [place(found), place(found + 1)];
  const [p, q] = [place(found - RIM_REACH), place(found + 1 + RIM_REACH)];
  const long = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
  return {
    from: [a[0] + f * (b[0] - a[0]), a[1] + f * (b[1] - a[1])],
    way: [-(q[1] - p[1]) / long, (q[0] - p[0]) / long],
  };
}

/** Radius about a tip within which a fine blank's mesh is refined, in its spacing: the strain is steepest there. */
const FINER_ABOUT = 2.5;

/** Cuts all possible lines into a laid mesh; returns the indices of those that cannot be cut. */
function cutAll(base: LaidMesh, lines: readonly CutLine[], { fine }: { readonly fine: boolean }) {
  const tips = lines.map(({ from, way, length }) => [from[0] + length * way[0], from[1] + length * way[1]] as const);
  let laid = fine ? finerAbout(base, tips, FINER_ABOUT * spacingOf(base)) : base;
  const cuts: Cut[] = [];
  const missed: number[] = [];
  lines.forEach((line, index) => {
    const next = cutMesh(laid, line);
    if (!next || !borderOf(next.mesh)) missed.push(index);
    else {
      laid = next;
      cuts.push(next.cut);
    }
  });
  return { laid, cuts, missed };
}

/** A neutral surface laid flat without darts, from which cuts are made. */
export interface BlankBase extends LaidMesh {
  readonly border: readonly number[];
  readonly distortion: number;
  readonly iterations: number;
  readonly converged: boolean;
}

/** Usual number of steps of a flattening, for its progress. */
const USUAL_STEPS = 8;

/** Surfaces that were laid flat: a dart that is moved is cut into the same one again. */
const laidFlat = new WeakMap<Mesh, BlankBase>();

/** Lays a neutral surface flat, turned as the piece is seen from above; each mesh only once, unless it was stopped. */
export function blankBase(mesh: Mesh, run: BlankRun = {}): BlankBase {
  const known = laidFlat.get(mesh);
  if (known) return known;
  const laid = flatten(mesh, {
    ...(run.going && { going: run.going }),
    step: (_, iteration) => run.step?.(Math.min(0.95, iteration / USUAL_STEPS)),
  });
  const { distortion, iterations, converged } = laid;
  const base = { mesh, uv: aligned(mesh, laid.uv), border: borderOf(mesh) ?? [], distortion, iterations, converged };
  if (converged) laidFlat.set(mesh, base);
  return base;
}

/** How a blank with darts is laid: the slab's thickness (mm), and whether it is fine about its darts' tips and in its energy. */
export interface DartedAs {
  readonly thickness: number;
  readonly fine: boolean;
}

/** The last step is the one that lowers the energy by less than this share: readings are then true to a ten-thousandth, or a hundredth. */
const ENOUGH = { fine: 1e-5, quick: 1e-3 } as const;

/** Cuts lines into a laid surface and lays it flat again with the cuts open; both sides of each stay equally long. */
export function cutBlank(
  base: BlankBase,
  lines: readonly CutLine[],
  { as: { thickness, fine }, run = {} }: { readonly as: DartedAs; readonly run?: BlankRun },
): Blank {
  if (lines.length === 0) return { ...base, cuts: [], strain: strainOf(base, { thickness }), fine: true, missed: [] };
  const { laid, cuts, missed } = cutAll(base, lines, { fine });
  const { uv, distortion, iterations, converged } = flatten(laid.mesh, {
    start: laid.uv,
    joins: cuts,
    enough: fine ? ENOUGH.fine : ENOUGH.quick,
    ...(run.going && { going: run.going }),
    step: (_, iteration) => run.step?.(Math.min(0.95, iteration / USUAL_STEPS)),
  });
  const open: LaidMesh = { mesh: laid.mesh, uv: aligned(laid.mesh, uv) };
  return {
    ...open,
    cuts,
    strain: strainOf(open, { thickness, cuts }),
    border: borderOf(laid.mesh) ?? [],
    distortion,
    iterations,
    converged,
    fine: true,
    missed,
  };
}

/** Number of vertices of a blank's mesh. */
export function blankVertices({ mesh }: Blank): number {
  return vertexCount(mesh);
}
