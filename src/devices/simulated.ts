import type { Device, DeviceEvent, DeviceKind, Reading } from './device.ts';

/** The clock and the randomness of a stand-in, which tests control. */
export interface Ground {
  /** Calls `run` every `ms` until the returned function is called. */
  readonly every: (ms: number, run: () => void) => () => void;
  /** Numbers from 0 to 1. */
  readonly random: () => number;
}

/** A fault of a stand-in on purpose. */
export const DEVICE_FAULTS = ['none', 'weak battery', 'drops out'] as const;

/** A fault of a stand-in. */
export type DeviceFault = (typeof DEVICE_FAULTS)[number];

/** A stand-in: a device, and what is done to it. */
export interface Simulated<K extends DeviceKind> extends Device<K> {
  readonly simulated: true;
  readonly fault: DeviceFault;
  setFault(fault: DeviceFault): void;
  /** Presses the data button: the newest reading is taken. */
  take(): void;
}

/** Missing readings after which the device counts as lost. */
const QUIET = 4;

/** Chance of a drop-out at each reading, and its length in readings. */
const DROPS = { chance: 0.08, least: 6, most: 20 };

/** A draw from a normal distribution of mean 0 and standard deviation 1 (Box and Muller 1958). */
export function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** A stand-in that calls `sample` for a reading at a fixed interval (ms). */
export function simulated<K extends DeviceKind>(
  kind: K,
  { ground, interval, sample }: { ground: Ground; interval: number; sample: (fault: DeviceFault) => Reading<K> },
): Simulated<K> {
  const listeners = new Set<(event: DeviceEvent<K>) => void>();
  const tell = (event: DeviceEvent<K>) => {
    for (const listener of listeners) listener(event);
  };
  let fault: DeviceFault = 'none';
  let newest: Reading<K> | null = null;
  let stop: (() => void) | null = null;
  /** Readings still to be dropped, and readings dropped so far. */
  let [quiet, missed] = [0, 0];

  function beat(): void {
    if (quiet === 0 && fault === 'drops out' && ground.random() < DROPS.chance) {
      quiet = DROPS.least + Math.floor(ground.random() * (DROPS.most - DROPS.least));
    }
    if (quiet > 0) {
      quiet -= 1;
      missed += 1;
      if (missed !== QUIET) return;
      newest = null;
      tell({ kind: 'lost' });
      return;
    }
    if (missed >= QUIET) tell({ kind: 'back' });
    missed = 0;
    newest = sample(fault);
    tell({ kind: 'reading', reading: newest });
  }

  return {
    kind,
    simulated: true,
    get fault() {
      return fault;
    },
    open() {
      stop ??= ground.every(interval, beat);
      return Promise.resolve();
    },
    read: () => newest,
    close() {
      stop?.();
      [stop, newest, quiet, missed] = [null, null, 0, 0];
      return Promise.resolve();
    },
    on(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    setFault(next) {
      if ((next === 'weak battery') !== (fault === 'weak battery'))
        tell({ kind: 'battery', low: next === 'weak battery' });
      fault = next;
      if (next !== 'drops out') quiet = 0;
    },
    take() {
      if (newest) tell({ kind: 'taken', reading: newest });
    },
  };
}
