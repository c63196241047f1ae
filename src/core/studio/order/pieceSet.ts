import type { PlanStep } from '../planning/planJob.ts';
import type { WorkBlock } from './workBlock.ts';

/** When a wait ends and when it is too late (min); null: never too late. */
export interface WaitMinutes {
  readonly opens: number;
  readonly closes: number | null;
}

/** Each further piece of a set adds this share of the slab work of the first. A rule of the bench: a slab holds several. */
const FURTHER = 1 / 2;

/** How long a block takes for a set of pieces (min). */
export const blockMinutes = ({ once, each }: WorkBlock, pieces: number, pace: number): number =>
  pace * (once * (1 + FURTHER * (pieces - 1)) + each * pieces);

/**
 * A block of a set as one step of a plan. The pieces are done one after another, in the same order in every block, so that
 * the first waits shortest or longest and the last the other way; the step may start when the slowest is ready and as long
 * as none has waited too long.
 *
 * @param before the block before it, and how long its wait is; null at the first
 * @returns null when no start is right for all pieces of so large a set
 */
export function setStep(
  block: WorkBlock,
  { before, pieces, pace }: { before: { block: WorkBlock; wait: WaitMinutes } | null; pieces: number; pace: number },
): PlanStep | null {
  const minutes = blockMinutes(block, pieces, pace);
  if (!before) return { id: block.id, minutes, least: 0, most: null };
  const { opens, closes } = before.wait;
  const paces = [pace * before.block.each, pace * block.each];
  const others = pieces - 1;
  // Slab work at the beginning of the block makes all of them wait longer.
  const slab = minutes - pace * block.each * pieces;
  const least = Math.max(0, opens - others * Math.min(...paces));
  const most = closes === null ? null : closes - slab - others * Math.max(...paces);
  return most !== null && most < least ? null : { id: block.id, minutes, least, most };
}

/** All steps of a set; null when it is too large for a window, or a block for the longest stretch of hours. */
export function setSteps(
  blocks: readonly WorkBlock[],
  waits: readonly (WaitMinutes | null)[],
  { pieces, pace, stretch }: { pieces: number; pace: number; stretch: number },
): PlanStep[] | null {
  const steps: PlanStep[] = [];
  for (const [place, block] of blocks.entries()) {
    const earlier = blocks[place - 1];
    const before = earlier ? { block: earlier, wait: waits[place] ?? { opens: 0, closes: null } } : null;
    const step = setStep(block, { before, pieces, pace });
    if (!step || step.minutes > stretch) return null;
    steps.push(step);
  }
  return steps;
}

/** Divides pieces into sets as equal as possible, none larger than `most`. */
export function evenSets(pieces: number, most: number): number[] {
  const sets = Math.ceil(pieces / most);
  const [least, over] = [Math.floor(pieces / sets), pieces % sets];
  return Array.from({ length: sets }, (_, index) => (index < over ? least + 1 : least));
}
