import type { Blank } from '../../core/mould/blank.ts';
import type { DartProposal } from '../../core/mould/proposeDarts.ts';
import type { DrapedTarget } from '../../core/mould/draped.ts';

/** What the worker is asked for: a fine blank, or where darts go. */
export interface BlankQuestion {
  readonly kind: 'lay' | 'propose';
  readonly target: DrapedTarget;
}

/** What it tells: how far it is (0 to 1), what it found, or why it found nothing. */
export type BlankReply =
  | { readonly kind: 'far'; readonly share: number }
  | { readonly kind: 'laid'; readonly blank: Blank }
  | { readonly kind: 'proposed'; readonly proposal: DartProposal }
  | { readonly kind: 'failed'; readonly rule: string };
