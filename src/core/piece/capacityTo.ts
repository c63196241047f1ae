import { wetLength } from '../clay/shrinkage.ts';
import { planArea } from '../outline/planMeasures.ts';
import { finishedCapacity } from './finished.ts';
import { kindOf } from './kinds/kinds.ts';
import type { Target } from './target.ts';

/** Steps between two corners of the hollow's profile: its sections are quadratic in between for all straight walls. */
const STEPS = 8;

/**
 * How much a piece holds when it is filled to a level (ml, fired): its level sections added up from the floor, in proportion
 * to what it holds to the brim.
 *
 * @param level height of the surface above the table, fired mm; without pads under the piece
 */
export function capacityTo(target: Target, level: number): number {
  const { hollow, floor, section, height } = kindOf(target).standing(target);
  const brim = finishedCapacity(target);
  const z = wetLength(level, target.clay.shrinkage);
  if (brim <= 0 || z <= floor) return 0;
  if (z >= height) return brim;
  const corners = [...new Set([floor, ...hollow.map(([at]) => at), height])].filter((at) => at >= floor).sort((a, b) => a - b); // prettier-ignore
  const area = (at: number) => planArea(section(Math.min(at, height - 1e-9)).inner);
  const upTo = (end: number): number => {
    let sum = 0;
    corners.slice(1).forEach((corner, index) => {
      const [from, to] = [corners[index] ?? floor, Math.min(corner, end)];
      if (to <= from) return;
      const step = (to - from) / STEPS;
      for (let at = 0; at < STEPS; at += 1) {
        const low = from + at * step;
        sum += (step / 6) * (area(low) + 4 * area(low + step / 2) + area(low + step));
      }
    });
    return sum;
  };
  const whole = upTo(height);
  return whole > 0 ? (brim * upTo(z)) / whole : 0;
}
