import { plotDifference, plotLength } from '../../core/files/plot/plotDifference.ts';
import { readHpgl } from '../../core/files/plot/readHpgl.ts';
import type { PlotPoint } from '../../core/files/plot/hpgl.ts';
import { listenersOf, type Maker } from '../maker.ts';
import { normal, type Ground } from '../simulated.ts';

/** A fault on purpose: the belt slips half-way, or the cutter goes quiet. */
export const CUTTER_FAULTS = ['none', 'belt slips', 'falls silent'] as const;

/** A fault of the cutter. */
export type CutterFault = (typeof CUTTER_FAULTS)[number];

/** The lines that were cut, on the bed (mm), and their distance from the file. */
export interface CutSheet {
  readonly lines: readonly (readonly PlotPoint[])[];
  readonly length: number;
  readonly off: number;
}

/** A simulated drag-knife cutter for paper and card. It takes a plot file, keeps to its bed, and reports what it cut. */
export interface SimulatedCutter extends Maker<string, CutSheet> {
  readonly simulated: true;
  setFault(fault: CutterFault): void;
}

/** Limits of the cut: across the rollers and along (mm). */
export const CUTTER_BED = { width: 600, length: 3000 } as const;

const INTERVAL = 80;
/** Travel of the blade per tick (mm), its steps, and its scatter (mm). */
const SPEED = 60;
const STEP = 0.025;
const SCATTER = 0.015;
const SLIP = 1.2;

/** Moves the lines so that the least of both ways is on the edge of the bed; the longer way lies along. */
function onBed(lines: readonly (readonly PlotPoint[])[]): PlotPoint[][] {
  const all = lines.flat();
  const least = [0, 1].map((axis) => all.reduce((low, point) => Math.min(low, point[axis] as number), Infinity)) as [
    number,
    number,
  ];
  return lines.map((line) => line.map(([x, y]): PlotPoint => [x - least[0], y - least[1]]));
}

function extent(lines: readonly (readonly PlotPoint[])[], axis: 0 | 1): number {
  return lines.flat().reduce((most, point) => Math.max(most, point[axis]), 0);
}

/** Why a file cannot be cut; null where it can. */
function refusal(lines: readonly (readonly PlotPoint[])[]): string | null {
  if (lines.length === 0) return 'The file has nothing to cut.';
  const [wide, long] = [extent(lines, 0), extent(lines, 1)].sort((one, other) => one - other) as [number, number];
  if (wide <= CUTTER_BED.width && long <= CUTTER_BED.length) return null;
  return `The parts take ${wide.toFixed(0)} × ${long.toFixed(0)} mm; the cutter takes ${CUTTER_BED.width} × ${CUTTER_BED.length} mm.`;
}

/** Makes a simulated cutter. */
export function simulatedCutter(ground: Ground): SimulatedCutter {
  const { tell, on } = listenersOf<CutSheet>();
  let fault: CutterFault = 'none';
  let halt: (() => void) | null = null;

  function stop(): void {
    halt?.();
    halt = null;
  }

  /** The lines as the blade cuts them. */
  function cutOf(wanted: readonly (readonly PlotPoint[])[]): PlotPoint[][] {
    const half = plotLength(wanted) / 2;
    let gone = 0;
    const placed = (value: number) => Math.round((value + SCATTER * normal(ground.random)) / STEP) * STEP;
    return wanted.map((line) =>
      line.map(([x, y], index): PlotPoint => {
        const before = line[index - 1];
        if (before) gone += Math.hypot(x - before[0], y - before[1]);
        const slip = fault === 'belt slips' && gone > half ? SLIP : 0;
        return [placed(x + slip), placed(y)];
      }),
    );
  }

  return {
    simulated: true,
    get running() {
      return halt !== null;
    },
    send(job) {
      stop();
      const read = readHpgl(job);
      if (read.kind === 'fault') return tell({ kind: 'refused', rule: `“${read.command}” ${read.why}.` });
      const wanted = onBed(read.lines);
      const rule = refusal(wanted);
      if (rule) return tell({ kind: 'refused', rule });
      const whole = plotLength(wanted);
      let gone = 0;
      halt = ground.every(INTERVAL, () => {
        gone += SPEED;
        if (fault === 'falls silent' && gone > whole / 2) {
          stop();
          return tell({ kind: 'lost' });
        }
        if (gone < whole) return tell({ kind: 'progress', part: gone / whole });
        stop();
        const lines = cutOf(wanted);
        tell({ kind: 'done', made: { lines, length: whole, off: plotDifference(lines, wanted) } });
      });
    },
    stop,
    setFault: (next) => void (fault = next),
    on,
  };
}
