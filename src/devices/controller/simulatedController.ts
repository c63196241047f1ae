import { celsiusAt, COLD, scheduleCurve, type CurvePoint, type Segment } from '../../core/studio/kiln/schedule.ts';
import { normal, type DeviceFault, type Ground } from '../simulated.ts';

/** What a kiln's controller tells while it fires. `lost`: it has gone quiet; `back`: it is heard again; `over`: the schedule is through. */
export type ControllerEvent =
  | { readonly kind: 'reading'; readonly point: CurvePoint }
  | { readonly kind: 'lost' }
  | { readonly kind: 'back' }
  | { readonly kind: 'over' };

/** A simulated kiln controller: it fires a schedule in fast time and sends the readings of its thermocouple. */
export interface SimulatedController {
  readonly simulated: true;
  readonly running: boolean;
  /** Begins a firing; the one before ends. */
  start(segments: readonly Segment[]): void;
  stop(): void;
  setFault(fault: DeviceFault): void;
  on(listener: (event: ControllerEvent) => void): () => void;
}

/** Time between readings (ms), and the minutes of the kiln that each stands for. */
export const BEAT = { ms: 100, minutes: 10 } as const;

/** Lag of the chamber behind its elements (min), and its overshoot at the top of a climb (°C). */
const LAG = 12;
const OVER_RUN = 9;

/** Scatter of a thermocouple (°C); with a weak battery more. */
const NOISE = 1.5;
const WEAK = 4;

/** Chance of a drop-out at each reading, and its length in readings. */
const DROPS = { chance: 0.06, least: 4, most: 9 } as const;

/** No kiln cools under the shed. */
const settled = (celsius: number) => Math.max(COLD - 3, celsius);

/** Makes a simulated kiln controller. */
export function simulatedController(ground: Ground): SimulatedController {
  const listeners = new Set<(event: ControllerEvent) => void>();
  const tell = (event: ControllerEvent) => {
    for (const listener of listeners) listener(event);
  };
  let fault: DeviceFault = 'none';
  let halt: (() => void) | null = null;

  function stop(): void {
    halt?.();
    halt = null;
  }

  return {
    simulated: true,
    get running() {
      return halt !== null;
    },
    start(segments) {
      stop();
      const schedule = scheduleCurve(segments);
      const end = schedule.at(-1)?.[0] ?? 0;
      let [minutes, chamber, quiet] = [0, COLD, 0];
      halt = ground.every(BEAT.ms, () => {
        const asked = celsiusAt(schedule, minutes);
        const climb = asked - celsiusAt(schedule, minutes - BEAT.minutes);
        // Elements driven ahead of a climb still give off heat at its top.
        const towards = asked + (climb > 0 ? (climb * LAG) / BEAT.minutes + OVER_RUN : 0);
        chamber += (towards - chamber) * (1 - Math.exp(-BEAT.minutes / LAG));
        const point: CurvePoint = [
          minutes,
          Math.round(settled(chamber + (fault === 'weak battery' ? WEAK : 1) * NOISE * normal(ground.random))),
        ];
        const over = minutes >= end;
        minutes += BEAT.minutes;
        if (quiet === 0 && fault === 'drops out' && ground.random() < DROPS.chance) {
          quiet = DROPS.least + Math.floor(ground.random() * (DROPS.most - DROPS.least));
          tell({ kind: 'lost' });
        }
        if (quiet === 0) tell({ kind: 'reading', point });
        else if ((quiet -= 1) === 0) tell({ kind: 'back' });
        if (!over) return;
        stop();
        tell({ kind: 'over' });
      });
    },
    stop,
    setFault: (next) => void (fault = next),
    on(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
