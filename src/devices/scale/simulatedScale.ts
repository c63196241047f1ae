import { GRAMS_PER_OUNCE } from '../../core/units/mass.ts';
import { normal, simulated, type Ground, type Simulated } from '../simulated.ts';

/** A simulated bench scale: its load is set by hand and settles as on a real one. */
export interface SimulatedScale extends Simulated<'scale'> {
  /** The load (g). */
  setLoad(grams: number): void;
  /** Replaces the load by another of that weight. */
  weigh(): void;
  hold(): boolean;
  /** Tares the scale. */
  tare(): void;
  turnUnit(): 'g' | 'oz';
}

const INTERVAL = 250;
/** Share of the way to rest at each reading; steady within (g); scatter (g), also with a weak battery. */
const SETTLES = 0.55;
const STEADY = 0.5;
const NOISE = 0.25;
const WEAK = 4;
/** Spread of pieces of one weight, as a share. */
const PIECES = 0.01;
/** The most that it carries (g). */
export const SCALE_MOST = 15_000;
const STEPS = { g: 1, oz: 0.05 };
const DIGITS = { g: 0, oz: 2 };

/** Makes a simulated bench scale. */
export function simulatedScale(ground: Ground): SimulatedScale {
  let [load, goal, at, tareAt]: [number, number, number, number] = [0, 0, 0, 0];
  let held: number | null = null;
  let unit: 'g' | 'oz' = 'g';
  const base = simulated('scale', {
    ground,
    interval: INTERVAL,
    sample: (fault) => {
      at += SETTLES * (goal - at);
      if (Math.abs(goal - at) < STEADY / 10) at = goal;
      const over = at > SCALE_MOST;
      const grams = held ?? at - tareAt + (fault === 'weak battery' ? WEAK : NOISE) * normal(ground.random);
      const scale = unit === 'g' ? 1 : GRAMS_PER_OUNCE;
      const shown = Math.round(grams / scale / STEPS[unit]) * STEPS[unit];
      const text = (Math.abs(shown) < STEPS[unit] / 2 ? 0 : shown).toFixed(DIGITS[unit]);
      const steady = !over && (held !== null || Math.abs(goal - at) < STEADY);
      return { value: Number(text) * scale, text: over ? 'too heavy' : `${text} ${unit}`, steady };
    },
  });
  return Object.assign(base, {
    setLoad: (grams: number) => void (load = goal = Math.max(0, grams)),
    weigh() {
      at = tareAt;
      goal = load * (1 + PIECES * normal(ground.random));
    },
    hold() {
      held = held === null ? (base.read()?.value ?? null) : null;
      return held !== null;
    },
    tare: () => void (tareAt = at),
    turnUnit: () => (unit = unit === 'g' ? 'oz' : 'g'),
  });
}
