import type { Act, Waiting, WorkStep } from '../making/workStep.ts';

/** Acts that follow one another without a wait, as a plan lays them: what the hands do in one go. */
export interface WorkBlock {
  readonly id: string;
  /** Its first and last act: "Weigh and wedge the clay … Cut the base". */
  readonly title: string;
  /** Work on the slab (min), which grows less than the pieces do, and work on each piece (min). */
  readonly once: number;
  readonly each: number;
  /** What is waited for before it; null at the first. */
  readonly waits: Waiting | null;
}

/** Acts on a slab, from which several pieces are cut. */
const SLAB_ACTS: ReadonlySet<Act> = new Set(['weigh', 'pat', 'roll', 'rib', 'prepare']);

/** Taking the cover off and turning a piece over between two waits, and carrying it to the kiln (min a piece). */
const TURN = 1;
const CARRY = 2;

const titleOf = (acts: readonly WorkStep[]) => [...new Set([acts[0]?.title, acts.at(-1)?.title])].join(' … ');

function blockOf(acts: readonly WorkStep[], waits: Waiting | null): WorkBlock {
  const minutesOf = (some: readonly WorkStep[]) => some.reduce((sum, { minutes }) => sum + minutes, 0);
  const once = minutesOf(acts.filter(({ act }) => SLAB_ACTS.has(act)));
  return { id: acts[0]?.id ?? '', title: titleOf(acts), once, each: minutesOf(acts) - once, waits };
}

/** A block, and the steps that have to be done with for it to be done: its acts, or the wait before it where it has none. */
export interface BlockSteps {
  readonly block: WorkBlock;
  readonly steps: readonly string[];
  /** The wait after it: where its part is wetted again, the wait counts from there. */
  readonly wait?: string;
}

/** An order of work as blocks between its waits; where nothing is done between two, the piece is turned over. The last carries it to the kiln. */
export function blockStepsOf(steps: readonly WorkStep[]): BlockSteps[] {
  const blocks: BlockSteps[] = [];
  let [wait, acts]: [WorkStep | null, WorkStep[]] = [null, []];
  const close = (bare: Omit<WorkBlock, 'waits'>, after?: WorkStep) => {
    const waits = wait?.waits ?? null;
    const ends = after && { wait: after.id };
    if (acts.length > 0) blocks.push({ block: blockOf(acts, waits), steps: acts.map(({ id }) => id), ...ends });
    else if (wait) blocks.push({ block: { ...bare, waits }, steps: [wait.id], ...ends });
    acts = [];
  };
  for (const step of steps) {
    if (!step.waits) acts.push(step);
    else {
      close({ id: `turn ${blocks.length}`, title: 'Uncover and turn over', once: 0, each: TURN }, step);
      wait = step;
    }
  }
  close({ id: 'kiln', title: 'Carry to the kiln', once: 0, each: CARRY });
  return blocks;
}

/** The blocks of an order of work. */
export const blocksOf = (steps: readonly WorkStep[]): WorkBlock[] => blockStepsOf(steps).map(({ block }) => block);
