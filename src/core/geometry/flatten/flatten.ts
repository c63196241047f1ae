import type { Mesh } from '../mesh/mesh.ts';
import type { Factor } from '../sparse/multifrontal.ts';
import { BlockSystem, patternOf, type Pattern } from './blockSystem.ts';
import { assemble, energyOf } from './dirichlet.ts';
import { distortionOf, type Distortion } from './distortion.ts';
import { restShapes } from './restShapes.ts';
import { relaxed } from './rough.ts';
import { assembleJoins, coupledTriangles, joinedEdges, joinEnergy, type Join } from './joins.ts';
import { seenFlat, stretchedInDisc } from './startLayout.ts';
import { longestStep } from './stepLength.ts';

/** How a mesh is laid flat: from which start, and who is told and may stop it. */
export interface FlattenRun {
  /** Begin in a disc even where the mesh could be seen flat, or from a layout without flips. */
  readonly start?: 'seen' | 'disc' | Float64Array;
  /** Sides of cuts that are joined again: edges that meet stay equally long. */
  readonly joins?: readonly Join[];
  /** It is enough when a step lowers the energy by less than this part of it; without it, the energy is the least there is. */
  readonly enough?: number;
  /** Told of every step with its energy (area-weighted mean, 0 without distortion). */
  readonly step?: (energy: number, iteration: number) => void;
  /** Work goes on while this is true. */
  readonly going?: () => boolean;
}

/** A mesh laid flat. */
export interface Flattened extends Distortion {
  /** x and y of each vertex (mm), in the file's order. */
  readonly uv: Float64Array;
  readonly iterations: number;
  /** Whether no further step lowers the energy, or by less than is enough; false when it was stopped. */
  readonly converged: boolean;
}

/** More steps than this are never needed from a start without flips. */
const MOST_STEPS = 200;

/** A step that promises to lower the mean energy by less has converged, */
const SETTLED = 1e-17;

/** ... and after a whole step that promised less than this part of it, the next would win nothing: they converge quadratically. */
const LAST = 1e-8;

/** A step with the last factorisation must promise less than this part of what the step before did, or a new one is made. */
const WORTH = 0.1;

/** A way downhill, by which factorisation it was found, and by how much the energy falls along it at first. */
interface Way {
  readonly factor: Factor;
  readonly along: Float64Array;
  readonly promise: number;
}

function wayDown(system: BlockSystem, factor: Factor, slope: Float64Array): Way {
  const along = system.solve(factor, slope.map((value) => -value)); // prettier-ignore
  const promise = along.reduce((sum, value, index) => sum - value * (slope[index] as number), 0);
  return { factor, along, promise };
}

function startOf(mesh: Mesh, start: FlattenRun['start'], area: number, pattern: Pattern): Float64Array {
  if (start instanceof Float64Array) return start;
  return (start === 'disc' ? null : seenFlat(mesh)) ?? stretchedInDisc(mesh, area, pattern);
}

/**
 * Lays a mesh flat with the least symmetric Dirichlet energy, which punishes stretch and gather alike and never turns a
 * triangle over: projected Newton steps with a sparse direct factorisation, kept
 * for further steps while these converge fast, each shortened until the energy falls. The
 * mesh must be one open surface ({@link meshTrouble} tells).
 *
 * @throws RangeError when no start without flips is found
 */
export function flatten(mesh: Mesh, run: FlattenRun = {}): Flattened {
  const rest = restShapes(mesh);
  const { triangles } = mesh;
  const joined = joinedEdges(mesh, run.joins ?? [], rest.area);
  const pattern = patternOf({ ...mesh, triangles: coupledTriangles(triangles, joined) });
  let uv = startOf(mesh, run.start, rest.area, pattern);
  let energy = energyOf(rest, uv) + joinEnergy(joined, uv);
  if (!Number.isFinite(energy)) throw new RangeError('the mesh cannot be spread without folds');
  run.step?.(energy, 0);
  if (joined.length === 0) ({ uv, energy } = relaxed(rest, uv, energy, new BlockSystem(pattern, 1)));
  const system = new BlockSystem(pattern, 2);
  /** Slope of the energy, and its curvature in the system when that is asked for. */
  const slopeAt = (curvature: BlockSystem | null) => {
    const slope = assemble(rest, uv, curvature);
    assembleJoins(joined, uv, { system: curvature, slope, first: triangles.length / 3 });
    return slope;
  };
  const newtonWay = () => {
    const slope = slopeAt(system);
    system.stiffen(1e-10);
    const factor = system.factor();
    return factor && wayDown(system, factor, slope);
  };
  let way = null as Way | null;
  let iterations = 0;
  let converged = false;
  while (iterations < MOST_STEPS && (run.going?.() ?? true)) {
    const before = way;
    way = before && wayDown(system, before.factor, slopeAt(null));
    // A factorisation is kept while its steps still win nearly all there is.
    if (!way || !(way.promise < WORTH * (before?.promise ?? 0))) way = newtonWay();
    if (!way) break;
    const { along, promise } = way;
    if (!(promise > SETTLED)) {
      converged = true;
      break;
    }
    let step = Math.min(1, 0.9 * longestStep(triangles, uv, along));
    let next = uv;
    let lower = energy;
    for (; step > 1e-12; step /= 2) {
      next = uv.map((value, index) => value + step * (along[index] as number));
      lower = energyOf(rest, next) + joinEnergy(joined, next);
      if (lower <= energy - 1e-4 * step * promise) break;
    }
    if (!(lower < energy)) {
      converged = true;
      break;
    }
    const won = energy - lower;
    uv = next;
    energy = lower;
    iterations += 1;
    run.step?.(energy, iterations);
    if (run.enough !== undefined && won < run.enough * energy) {
      converged = true;
      break;
    }
    if (step < 1) way = null;
    else if (promise < LAST * energy) {
      converged = true;
      break;
    }
  }
  return { uv, iterations, converged, ...distortionOf(rest, uv) };
}
