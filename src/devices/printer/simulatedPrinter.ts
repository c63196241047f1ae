import { SCALE_LIMITS, type PrinterScale } from '../../core/studio/printer/printerCheck.ts';
import { listenersOf, type Maker } from '../maker.ts';
import { normal, type Ground } from '../simulated.ts';

/** Lengths of a sheet: along its short and its long edge (mm). */
export interface SheetLengths {
  readonly short: number;
  readonly long: number;
}

/** A simulated paper printer: every length comes out at its scale, and its rollers slip a little. */
export interface SimulatedPrinter extends Maker<SheetLengths, SheetLengths> {
  readonly simulated: true;
  readonly scale: PrinterScale;
  /** Printed over true length, held within what printers do. */
  setScale(scale: PrinterScale): void;
}

const INTERVAL = 120;
const BEATS = 8;
/** Spread of lengths on one sheet about its scale (mm). */
const SCATTER = 0.03;

/** Makes a simulated printer. */
export function simulatedPrinter(
  ground: Ground,
  first: PrinterScale = { short: 0.973, long: 0.991 },
): SimulatedPrinter {
  const { tell, on } = listenersOf<SheetLengths>();
  let scale = first;
  let halt: (() => void) | null = null;
  const held = (value: number) => Math.min(SCALE_LIMITS.greatest, Math.max(SCALE_LIMITS.least, value));
  const stop = () => {
    halt?.();
    halt = null;
  };
  return {
    simulated: true,
    get running() {
      return halt !== null;
    },
    get scale() {
      return scale;
    },
    setScale: ({ short, long }) => void (scale = { short: held(short), long: held(long) }),
    send({ short, long }) {
      stop();
      let beat = 0;
      halt = ground.every(INTERVAL, () => {
        beat += 1;
        if (beat < BEATS) return tell({ kind: 'progress', part: beat / BEATS });
        stop();
        const printed = (length: number, by: number) => length * by + SCATTER * normal(ground.random);
        tell({ kind: 'done', made: { short: printed(short, scale.short), long: printed(long, scale.long) } });
      });
    },
    stop,
    on,
  };
}
