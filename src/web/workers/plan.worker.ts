import { seeded } from '../../core/seeded.ts';
import { planSlabs, type Locked } from '../../core/studio/slabPlan/planSlabs.ts';
import { planGroups, type BatchPiece, type PlannedSlab, type PlanRules } from '../../core/studio/slabPlan/slabPlan.ts';

/** What the worker is asked: to lay out a batch within some seconds. */
export interface PlanRequest {
  readonly pieces: readonly BatchPiece[];
  readonly rules: PlanRules;
  readonly locked: readonly Locked[];
  readonly seconds: number;
}

/** What it answers: every better plan, and at the end which parts are larger than any slab; `broken` when it broke down. */
export type PlanReply =
  | { readonly kind: 'better'; readonly slabs: readonly PlannedSlab[] }
  | { readonly kind: 'done'; readonly slabs: readonly PlannedSlab[]; readonly unfit: readonly string[] }
  | { readonly kind: 'broken' };

/** Better plans are told no more often than this (ms): each is drawn. */
const TELL = 120;

const port = self as unknown as {
  onmessage: (event: MessageEvent<PlanRequest>) => void;
  postMessage: (reply: PlanReply) => void;
};
port.onmessage = ({ data }) => {
  const from = performance.now();
  let told = -Infinity;
  const { slabs, unfit } = planSlabs(planGroups(data.pieces, data.rules), {
    rules: data.rules,
    locked: data.locked,
    run: {
      random: seeded(Math.floor(from) + 1),
      before: (share) => performance.now() - from < share * data.seconds * 1000,
      better: (better) => {
        const now = performance.now();
        if (now - told < TELL) return;
        told = now;
        port.postMessage({ kind: 'better', slabs: better });
      },
    },
  });
  port.postMessage({ kind: 'done', slabs, unfit });
};
