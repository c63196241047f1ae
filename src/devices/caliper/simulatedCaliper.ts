import { MM_PER_INCH } from '../../core/numbers.ts';
import { normal, simulated, type Ground, type Simulated } from '../simulated.ts';

/** A simulated digital caliper: its jaws are set by hand, with the noise, steps and buttons of a real one. */
export interface SimulatedCaliper extends Simulated<'caliper'> {
  /** What lies between the jaws (mm): they close on it. */
  setJaws(mm: number): void;
  /** Opens and closes the jaws on another piece of that size. */
  measure(): void;
  /** Holds the display, or lets it go on. */
  hold(): boolean;
  /** Zeroes the display at the present jaws. */
  zero(): void;
  /** Switches the display between mm and inches. */
  turnUnit(): 'mm' | 'in';
}

const INTERVAL = 100;
/** Opening of the jaws before they close on a piece, and the spread of pieces of one size (mm). */
const OPENED = 30;
const PIECES = 0.3;
/** Travel of the jaws between readings (mm), and scatter of a reading (mm), also with a weak battery. */
const SPEED = 6;
const NOISE = 0.01;
const WEAK = 0.15;
/** Steps of its display: a hundredth of a millimetre, half a thousandth of an inch. */
const STEPS = { mm: 0.01, in: 0.0005 };
const DIGITS = { mm: 2, in: 4 };

/** Makes a simulated caliper. */
export function simulatedCaliper(ground: Ground): SimulatedCaliper {
  let [jaws, goal, at, zeroAt]: [number, number, number, number] = [0, 0, 0, 0];
  let held: number | null = null;
  let unit: 'mm' | 'in' = 'mm';
  const base = simulated('caliper', {
    ground,
    interval: INTERVAL,
    sample: (fault) => {
      const way = goal - at;
      at = Math.abs(way) <= SPEED ? goal : at + Math.sign(way) * SPEED;
      const noise = fault === 'weak battery' ? WEAK : NOISE;
      const mm = held ?? at - zeroAt + noise * normal(ground.random);
      const scale = unit === 'mm' ? 1 : MM_PER_INCH;
      const shown = Math.round(mm / scale / STEPS[unit]) * STEPS[unit];
      // No minus sign before a zero.
      const text = (Math.abs(shown) < STEPS[unit] / 2 ? 0 : shown).toFixed(DIGITS[unit]);
      return { value: Number(text) * scale, text: `${text} ${unit}`, steady: held !== null || at === goal };
    },
  });
  return Object.assign(base, {
    setJaws: (mm: number) => void (jaws = goal = Math.max(0, mm)),
    measure() {
      at = jaws + OPENED;
      goal = Math.max(0, jaws + PIECES * normal(ground.random));
    },
    hold() {
      held = held === null ? (base.read()?.value ?? null) : null;
      return held !== null;
    },
    zero: () => void (zeroAt = at),
    turnUnit: () => (unit = unit === 'mm' ? 'in' : 'mm'),
  });
}
