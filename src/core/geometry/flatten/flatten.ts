import { TINY } from '../../numbers.ts';
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

/** So much of the mean diagonal is added to the whole diagonal, which holds free motions. */
const STIFFENED = 1e-10;

/** A step is taken if it lowers the energy by so much of what its slope promises (Armijo). */
const ENOUGH_DOWN = 1e-4;

/** How a mesh is flattened: its start, its progress, and what stops it. */
export interface FlattenRun {
  /** Start from a disc even where the mesh could be projected, or from a given layout without flips. */
  readonly start?: 'seen' | 'disc' | Float64Array;
  /** Both sides of each cut that is joined again: edges that meet keep equal lengths. */
  readonly joins?: readonly Join[];
  /** Stops when a step lowers the energy by less than this share of it; without it, at the minimum. */
  readonly enough?: number;
  /** Called after every step with its energy (area-weighted mean, 0 without distortion). */
  readonly step?: (energy: number, iteration: number) => void;
  /** The work continues while this returns true. */
  readonly going?: () => boolean;
}

/** A mesh laid flat. */
export interface Flattened extends Distortion {
  /** x and y of each vertex (mm), in the file's order. */
  readonly uv: Float64Array;
  readonly iterations: number;
  /** Whether it converged; false when it was stopped. */
  readonly converged: boolean;
}

/** Most steps: a start without flips never needs more. */
const MOST_STEPS = 200;

/** A step that promises to lower the mean energy by less has converged, */
const SETTLED = 1e-17;

/** ... and after a full step that promised less than this share of it, the next gains nothing: convergence is quadratic. */
const LAST = 1e-8;

/** A step with the last factorisation must promise less than this share of the step before, or the matrix is factorised again. */
const WORTH = 0.1;

/** A descent direction, the factorisation that gave it, and the initial slope of the energy along it. */
interface Way {
  readonly factor: Factor;
  readonly along: Float64Array;
  readonly promise: number;
}

function wayDown(system: BlockSystem, factor: Factor, slope: Float64Array): Way {
  const along = system.solve(
    factor,
    slope.map((value) => -value),
  );
  const promise = along.reduce((sum, value, index) => sum - value * (slope[index] as number), 0);
  return { factor, along, promise };
}

function startOf(
  mesh: Mesh,
  start: FlattenRun['start'],
  { area, pattern }: { readonly area: number; readonly pattern: Pattern },
): Float64Array {
  if (start instanceof Float64Array) return start;
  return (start === 'disc' ? null : seenFlat(mesh)) ?? stretchedInDisc(mesh, area, pattern);
}

/**
 * Flattens a mesh with the least symmetric Dirichlet energy, which penalises stretch and gather alike and never flips a
 * triangle: projected Newton steps with a sparse direct factorisation, which is reused while the steps converge fast; each
 * step is shortened until the energy falls. The mesh must be one open surface ({@link meshTrouble} tells).
 *
 * @throws RangeError when no start without flips is found
 */
export function flatten(mesh: Mesh, run: FlattenRun = {}): Flattened {
  const rest = restShapes(mesh);
  const { triangles } = mesh;
  const joined = joinedEdges(mesh, run.joins ?? [], rest.area);
  const pattern = patternOf({ ...mesh, triangles: coupledTriangles(triangles, joined) });
  let uv = startOf(mesh, run.start, { area: rest.area, pattern });
  let energy = energyOf(rest, uv) + joinEnergy(joined, uv);
  if (!Number.isFinite(energy)) throw new RangeError('the mesh cannot be spread without folds');
  run.step?.(energy, 0);
  if (joined.length === 0) ({ uv, energy } = relaxed(rest, uv, { energy, system: new BlockSystem(pattern, 1) }));
  const system = new BlockSystem(pattern, 2);
  /** Gradient of the energy, and its Hessian in the system when that is wanted. */
  const slopeAt = (curvature: BlockSystem | null) => {
    const slope = assemble(rest, uv, curvature);
    assembleJoins(joined, uv, { system: curvature, slope, first: triangles.length / 3 });
    return slope;
  };
  const newtonWay = () => {
    const slope = slopeAt(system);
    system.stiffen(STIFFENED);
    const factor = system.factor();
    return factor && wayDown(system, factor, slope);
  };
  let way = null as Way | null;
  let iterations = 0;
  let converged = false;
  while (iterations < MOST_STEPS && (run.going?.() ?? true)) {
    const before = way;
    way = before && wayDown(system, before.factor, slopeAt(null));
    // The factorisation is reused while its steps still gain nearly all there is to gain.
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
    for (; step > TINY; step /= 2) {
      next = uv.map((value, index) => value + step * (along[index] as number));
      lower = energyOf(rest, next) + joinEnergy(joined, next);
      if (lower <= energy - ENOUGH_DOWN * step * promise) break;
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
