import { seeded } from '../../core/seeded.ts';
import { planSlabs, type Locked } from '../../core/studio/slabPlan/planSlabs.ts';
import { planGroups, type BatchPiece, type PlannedSlab, type PlanRules } from '../../core/studio/slabPlan/slabPlan.ts';

/** The request: a batch to plan, and the time for it (s). */
export interface PlanRequest {
  readonly pieces: readonly BatchPiece[];
  readonly rules: PlanRules;
  readonly locked: readonly Locked[];
  readonly seconds: number;
}

/** The replies: every better plan, and at the end the parts that are larger than any slab; `broken` when the worker failed. */
export type PlanReply =
  | { readonly kind: 'better'; readonly slabs: readonly PlannedSlab[] }
  | { readonly kind: 'done'; readonly slabs: readonly PlannedSlab[]; readonly unfit: readonly string[] }
  | { readonly kind: 'broken' };

/** Least time between two better plans (ms), since each is drawn. */
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
