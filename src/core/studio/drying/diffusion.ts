import { TINY } from '../../numbers.ts';
import type { FaceLaw, Layer, Moistures } from './layer.ts';

/** Cells through the slab. */
const CELLS = 48;

/** The cells at both faces. */
const ENDS = [0, CELLS - 1] as const;

/** Each cell is wider than its neighbour on the side of the nearer open face by this factor: layers are thin there. */
const WIDER = 1.08;

/** Steps of the table of diffusivities, which is linear in between. */
const TABLE = 1024;

/** Error of a step that is allowed, as moisture over the initial one. */
const STEP_ERROR = 7e-5;

/** First step, as a share of the diffusion time through the slab. */
const FIRST_STEP = 1e-7;

/** Widths of cells (m): thin at faces that let water through. */
function widthsOf(thickness: number, open: readonly [boolean, boolean]): Float64Array {
  const widths = Float64Array.from({ length: CELLS }, (_, index) => {
    const [near, far] = [open[0] ? index : Infinity, open[1] ? CELLS - 1 - index : Infinity];
    const away = Math.min(near, far);
    return Number.isFinite(away) ? WIDER ** away : 1;
  });
  const sum = widths.reduce((all, width) => all + width, 0);
  return widths.map((width) => (width * thickness) / sum);
}

/** Moisture at a face, and the flux there, by its neighbouring cell: what diffuses to the face leaves it. */
function atFace(law: FaceLaw, cell: number, { conductance, guess }: { conductance: number; guess: number }) {
  if (!law) return { moisture: cell, flux: 0, slope: 0 };
  const gain = (moisture: number) => law(moisture) - conductance * (cell - moisture);
  const small = 1e-7;
  let moisture = guess;
  // The function rises with the moisture: a Newton step beyond the bracket is replaced by bisection.
  let [low, high] = gain(cell) > 0 ? [-cell - 1, cell] : [cell, cell + 2];
  if (!(moisture > low && moisture < high)) moisture = cell;
  for (let step = 0; step < 60; step += 1) {
    const value = gain(moisture);
    if (value > 0) high = moisture;
    else low = moisture;
    const rise = (gain(moisture + small) - gain(moisture - small)) / (2 * small);
    const next = moisture - value / rise;
    const near = Math.abs(next - moisture) < TINY;
    moisture = near || (next > low && next < high) ? next : (low + high) / 2;
    if (near) break;
  }
  const rise = (law(moisture + small) - law(moisture - small)) / (2 * small);
  return { moisture, flux: law(moisture), slope: (rise * conductance) / (rise + conductance) };
}

/** One layer as it dries, stepped through time. */
class Drying {
  readonly widths: Float64Array;
  readonly cells: Float64Array;
  lost = 0;
  /** Diffusivity by the distance in the wet slab, from no moisture to the initial one: shrunk clay has a shorter way and less of a face. */
  private readonly table: Float64Array;
  /** Moistures found last at both faces. */
  private readonly guesses: Float64Array;
  private readonly halves = new Float64Array(CELLS);
  private readonly lower = new Float64Array(CELLS);
  private readonly diagonal = new Float64Array(CELLS);
  private readonly upper = new Float64Array(CELLS);
  private readonly right = new Float64Array(CELLS);

  constructor(private readonly layer: Layer) {
    this.widths = widthsOf(layer.thickness, [layer.faces[0] !== null, layer.faces[1] !== null]);
    const { initial, diffusivity, lengthLeft } = layer.material;
    this.cells = new Float64Array(CELLS).fill(initial);
    this.table = new Float64Array(TABLE + 1);
    for (let at = 0; at <= TABLE; at += 1)
      this.table[at] = diffusivity((initial * at) / TABLE) / lengthLeft((initial * at) / TABLE) ** 2;
    this.guesses = new Float64Array(2).fill(initial);
  }

  /** Conductance through half a cell (m/s), by its moisture. */
  private half(cells: Float64Array, index: number): number {
    const place = ((cells[index] as number) / this.layer.material.initial) * TABLE;
    const at = Math.max(0, Math.min(TABLE - 1, Math.floor(place)));
    const low = this.table[at] as number;
    const high = this.table[at + 1] as number;
    return (2 * (low + (high - low) * (place - at))) / (this.widths[index] as number);
  }

  /** Face laws for the area that is left. */
  private laws(cells: Float64Array): readonly [FaceLaw, FaceLaw] {
    const area = this.layer.material.lengthLeft(this.meanOf(cells)) ** 2;
    const [first, second] = this.layer.faces;
    return [first && ((moisture) => area * first(moisture)), second && ((moisture) => area * second(moisture))];
  }

  meanOf(cells: Float64Array): number {
    let sum = 0;
    for (let index = 0; index < CELLS; index += 1) sum += (cells[index] as number) * (this.widths[index] as number);
    return sum / this.layer.thickness;
  }

  /** Moistures at both faces. */
  faces(): readonly [number, number] {
    const laws = this.laws(this.cells);
    const found = ENDS.map(
      (index, side) =>
        this.atFace(laws, { side, cell: this.cells[index] as number, conductance: this.half(this.cells, index) })
          .moisture,
    );
    return [found[0] as number, found[1] as number];
  }

  /** The state of a face, searched from its last one. */
  private atFace(
    laws: readonly [FaceLaw, FaceLaw],
    { side, cell, conductance }: { readonly side: number; readonly cell: number; readonly conductance: number },
  ) {
    const found = atFace(laws[side] ?? null, cell, { conductance, guess: this.guesses[side] as number });
    this.guesses[side] = found.moisture;
    return found;
  }

  /**
   * One linearly implicit Euler step: conductances and the slope of the face laws as they are at its start. The water that
   * leaves is counted with the same fluxes, so that none is made or lost.
   *
   * @returns moistures after it, and what has left by the faces (m times moisture)
   */
  private step(cells: Float64Array, by: number): { cells: Float64Array; gone: number } {
    const { widths, halves, lower, diagonal, upper, right } = this;
    for (let index = 0; index < CELLS; index += 1) {
      halves[index] = this.half(cells, index);
      diagonal[index] = (widths[index] as number) / by;
      right[index] = ((widths[index] as number) / by) * (cells[index] as number);
      lower[index] = 0;
      upper[index] = 0;
    }
    for (let index = 0; index + 1 < CELLS; index += 1) {
      const one = halves[index] as number;
      const other = halves[index + 1] as number;
      const through = (one * other) / (one + other);
      diagonal[index] = (diagonal[index] as number) + through;
      diagonal[index + 1] = (diagonal[index + 1] as number) + through;
      upper[index] = -through;
      lower[index + 1] = -through;
    }
    const laws = this.laws(cells);
    const ends = ENDS.map((index, side) => ({
      index,
      ...this.atFace(laws, { side, cell: cells[index] as number, conductance: halves[index] as number }),
    }));
    for (const { index, flux, slope } of ends) {
      diagonal[index] = (diagonal[index] as number) + slope;
      right[index] = (right[index] as number) - flux + slope * (cells[index] as number);
    }
    // Thomas: the matrix is diagonally dominant.
    for (let index = 1; index < CELLS; index += 1) {
      const share = (lower[index] as number) / (diagonal[index - 1] as number);
      diagonal[index] = (diagonal[index] as number) - share * (upper[index - 1] as number);
      right[index] = (right[index] as number) - share * (right[index - 1] as number);
    }
    const next = new Float64Array(CELLS);
    for (let index = CELLS - 1; index >= 0; index -= 1) {
      const after = index + 1 < CELLS ? (upper[index] as number) * (next[index + 1] as number) : 0;
      next[index] = ((right[index] as number) - after) / (diagonal[index] as number);
    }
    const gone = ends.reduce(
      (sum, { index, flux, slope }) => sum + by * (flux + slope * ((next[index] as number) - (cells[index] as number))),
      0,
    );
    return { cells: next, gone };
  }

  /**
   * Tries a step as one and as two halves, and combines both so that the first-order error cancels.
   *
   * @returns the error over what is allowed; the state has moved when it is 1 or less
   */
  advance(by: number): number {
    const whole = this.step(this.cells, by);
    const first = this.step(this.cells, by / 2);
    const second = this.step(first.cells, by / 2);
    let error = 0;
    for (let index = 0; index < CELLS; index += 1) {
      error = Math.max(error, Math.abs((second.cells[index] as number) - (whole.cells[index] as number)));
    }
    const over = error / (STEP_ERROR * this.layer.material.initial);
    if (over > 1) return over;
    for (let index = 0; index < CELLS; index += 1) {
      this.cells[index] = 2 * (second.cells[index] as number) - (whole.cells[index] as number);
    }
    this.lost += (2 * (first.gone + second.gone) - whole.gone) / this.layer.thickness;
    return over;
  }

  /** Moisture half-way through the slab, between the middles of its two nearest cells. */
  middle(): number {
    const half = this.layer.thickness / 2;
    let from = 0;
    let before = 0;
    for (let index = 0; index < CELLS; index += 1) {
      const at = from + (this.widths[index] as number) / 2;
      if (at >= half) {
        const low = this.cells[Math.max(0, index - 1)] as number;
        const high = this.cells[index] as number;
        return at > before ? low + ((high - low) * (half - before)) / (at - before) : high;
      }
      before = at;
      from += this.widths[index] as number;
    }
    return this.cells[CELLS - 1] as number;
  }
}

/** Moistures of a layer over time, without repeats. */
function* momentsOf(layer: Layer, until: number): Generator<Moistures> {
  const drying = new Drying(layer);
  const { thickness, material } = layer;
  const slowest = thickness ** 2 / material.diffusivity(material.initial);
  let time = 0;
  let by = Math.min(FIRST_STEP * slowest, until);
  const moment = (): Moistures => ({
    time,
    mean: drying.meanOf(drying.cells),
    faces: drying.faces(),
    middle: drying.middle(),
    lost: drying.lost,
  });
  yield moment();
  while (time < until) {
    const taken = Math.min(by, until - time);
    const over = drying.advance(taken);
    if (over <= 1) {
      time = taken < by ? until : time + taken;
      yield moment();
    }
    by = taken * Math.min(4, Math.max(0.2, 0.9 / Math.sqrt(Math.max(over, TINY))));
  }
}

/**
 * Water in a slab that dries through its faces: one-dimensional diffusion with flux laws at both faces (Crank, The
 * Mathematics of Diffusion, 1975), in finite volumes of dry clay, so that shrinking moves no water. Linearly implicit
 * steps with extrapolation, as long as their error allows. Conserves water to rounding.
 *
 * @param until seconds
 * @returns the state at the start, after each step, and at `until`
 */
export function dryLayer(layer: Layer, until: number): Moistures[] {
  return [...momentsOf(layer, until)];
}

/** Slope at a moment for a monotone curve: the harmonic mean of both sides, weighted by their steps (Fritsch and Butland 1984). */
function slopeAt(times: readonly [number, number, number], values: readonly [number, number, number]): number {
  const [before, after] = [times[1] - times[0], times[2] - times[1]];
  if (!(before > 0 && after > 0))
    return before > 0 ? (values[1] - values[0]) / before : (values[2] - values[1]) / after;
  const [rise, next] = [(values[1] - values[0]) / before, (values[2] - values[1]) / after];
  if (rise * next <= 0) return 0;
  const [one, other] = [2 * after + before, after + 2 * before];
  return (one + other) / (one / rise + other / next);
}

/** The state at a time between two moments, by monotone cubics. */
export function momentAt(moments: readonly Moistures[], time: number): Moistures {
  let [low, high] = [0, moments.length - 1];
  while (low + 1 < high) {
    const middle = (low + high) >> 1;
    if ((moments[middle] as Moistures).time <= time) low = middle;
    else high = middle;
  }
  const near = [low - 1, low, high, high + 1].map(
    (index) => moments[Math.min(moments.length - 1, Math.max(0, index))] as Moistures,
  );
  const [t0, t1, t2, t3] = near.map((moment) => moment.time) as [number, number, number, number];
  const long = t2 - t1;
  const share = long > 0 ? Math.min(1, Math.max(0, (time - t1) / long)) : 0;
  const between = (read: (moment: Moistures) => number) => {
    const [v0, v1, v2, v3] = near.map(read) as [number, number, number, number];
    if (share === 0 || long === 0) return v1;
    const [m1, m2] = [slopeAt([t0, t1, t2], [v0, v1, v2]) * long, slopeAt([t1, t2, t3], [v1, v2, v3]) * long];
    const [s, r] = [share, 1 - share];
    return v1 * (1 + 2 * s) * r * r + m1 * s * r * r + v2 * s * s * (3 - 2 * s) - m2 * s * s * r;
  };
  return {
    time,
    mean: between(({ mean }) => mean),
    faces: [between(({ faces }) => faces[0]), between(({ faces }) => faces[1])],
    middle: between(({ middle }) => middle),
    lost: between(({ lost }) => lost),
  };
}
