import { develop } from '../../core/piece/develop.ts';
import type { Target } from '../../core/target/target.ts';
import { pieceForCutter } from '../../core/studio/reverse/cutter.ts';
import type { Keep } from '../../core/studio/reverse/scaled.ts';
import { solveCapacity } from '../../core/studio/reverse/solveCapacity.ts';
import { solveHole } from '../../core/studio/reverse/solveHole.ts';
import { cutToFit, type GreatestSlab } from '../../core/bench/slab/panelsFor.ts';

/** The request: what to find for a design. It takes many developments, which on a loft take a second and more. */
export type SolveWork =
  | { readonly kind: 'capacity'; readonly ml: number; readonly keep: Keep }
  | { readonly kind: 'hole'; readonly diameter: number; readonly clearance: number; readonly keep: Keep }
  | { readonly kind: 'cutter'; readonly diameter: number }
  | { readonly kind: 'pieces'; readonly slab: GreatestSlab };

/** The reply: the design that was found, or the reason why there is none. */
export type SolveReply =
  { readonly kind: 'found'; readonly target: Target } | { readonly kind: 'none'; readonly rule: string };

/** Does the work. It runs in the worker, and needs nothing of it. */
export function solveWork(target: Target, work: SolveWork): SolveReply {
  const none = (rule: string): SolveReply => ({ kind: 'none', rule });
  const found = (changed: Target): SolveReply => ({ kind: 'found', target: changed });
  switch (work.kind) {
    case 'capacity': {
      const solved = solveCapacity(target, work.ml, work.keep);
      return solved.kind === 'solved' ? found(solved.target) : none(solved.rule);
    }
    case 'hole': {
      const solved = solveHole(target, work, work.keep);
      return solved.kind === 'solved' ? found(solved.target) : none(solved.rule);
    }
    case 'cutter': {
      const reversed = pieceForCutter(target, work.diameter);
      return reversed.kind === 'made' ? found(reversed.target) : none(reversed.rule);
    }
    case 'pieces': {
      const cut = cutToFit(target, develop(target).parts, work.slab);
      return cut
        ? found(cut)
        : none('no number of pieces lies on that slab: make the piece smaller, or join two slabs');
    }
  }
}
