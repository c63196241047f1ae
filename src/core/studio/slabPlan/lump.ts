import { ROUNDING } from '../../numbers.ts';

/** A lump is patted to this thickness before it is rolled (mm). */
export const PATTED = 25;

/** Greatest share of its thickness that a slab is taken down by in one pass, by sticks or roller. */
const GREATEST_BITE = 0.4;

/** One pass: down to a thickness, along the roll or turned across it, and the slab's size after it (mm). */
export interface Pass {
  readonly from: number;
  readonly to: number;
  readonly along: boolean;
  /** Whether the slab is turned by a quarter before this pass. */
  readonly turn: boolean;
  readonly length: number;
  readonly width: number;
}

/** The lump to pat before rolling, and the passes down to the slab. Lengths mm. */
export interface LumpPlan {
  readonly length: number;
  readonly width: number;
  readonly thickness: number;
  readonly passes: readonly Pass[];
}

/** Thicknesses to pass through: what there is between the lump and the slab, no bite too great; else even steps. */
function stepsDown(from: number, to: number, offered: readonly number[]): number[] {
  const between = [...new Set(offered)].filter((one) => one < from && one > to + 0.05).sort((a, b) => b - a);
  const steps: number[] = [];
  let now = from;
  while (now > to + ROUNDING) {
    const least = now * (1 - GREATEST_BITE);
    if (to >= least - ROUNDING) {
      steps.push(to);
      break;
    }
    // The thinnest that is offered within the bite, or without any a step of its own.
    const reach = between.filter((one) => one >= least - ROUNDING && one < now);
    now = reach.at(-1) ?? Math.max(to, least);
    steps.push(now);
  }
  return steps;
}

/** Turning is worth it only for a slab that much wider than the lump would be (ratio). */
const WORTH_TURNING = 1.15;

/**
 * The shape to pat a lump to and the passes that make a slab of it: rolling lengthens it only the way it is rolled, so the
 * passes across are the first ones, until the width is there, and the lump is as like the slab as they allow.
 *
 * @param slab length along the roll, width and thickness of the slab (mm)
 * @param offered thicknesses that sticks and roller settings give (mm)
 */
export function lumpPlan(
  slab: { readonly length: number; readonly width: number; readonly thickness: number },
  offered: readonly number[],
  patted: number = PATTED,
): LumpPlan {
  const { length, width, thickness } = slab;
  if (thickness >= patted) return { length, width, thickness, passes: [] };
  const steps = stepsDown(patted, thickness, offered);
  const growth = steps.map((to, index) => (index === 0 ? patted : (steps[index - 1] ?? patted)) / to);
  const whole = patted / thickness;
  // As many passes across, from the first, as bring the lump nearest to the slab's own proportion.
  let [across, best, grown] = [0, Infinity, 1];
  for (let count = 0; count <= growth.length - 1; count += 1) {
    const wide = growth.slice(0, count).reduce((product, one) => product * one, 1);
    const off = Math.abs(Math.log(whole / wide / wide));
    if (off < best - ROUNDING && (count === 0 || wide >= WORTH_TURNING)) [across, best, grown] = [count, off, wide];
  }
  const lump = { length: length / (whole / grown), width: width / grown, thickness: patted };
  let now: { length: number; width: number } = lump;
  const passes = steps.map((to, index): Pass => {
    const along = index >= across;
    const factor = growth[index] ?? 1;
    now = along ? { ...now, length: now.length * factor } : { ...now, width: now.width * factor };
    const turn = index > 0 && along && index === across;
    return {
      from: index === 0 ? patted : (steps[index - 1] ?? patted),
      to,
      along,
      turn: turn || (index === 0 && across > 0),
      ...now,
    };
  });
  return { ...lump, passes };
}

/** A slab that weighs more than this is carried by two (g). */
export const HEAVY = 10_000;
