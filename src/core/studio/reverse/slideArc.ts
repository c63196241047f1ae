import { root } from '../../numbers.ts';
import type { Target } from '../../target/target.ts';
import { pieceFromArc, type LongArc } from './arcTemplate.ts';
import type { Making } from './reversed.ts';
import { tracingSteps, type TracingStep } from '../../parts/part/tracing.ts';
import type { ArcTemplate } from '../../target/arcTemplate.ts';

/** An owned template slid round its centre to another sweep, and the piece that it then makes. */
export type Slid =
  | {
      readonly kind: 'slid';
      readonly template: ArcTemplate;
      readonly tracings: readonly TracingStep[];
      readonly target: Target;
    }
  | { readonly kind: 'impossible'; readonly rule: string };

/** Sweeps that are tried (degrees): a sliver, and just under what is flat. */
const SWEEPS = { least: 1, greatest: 359.9 } as const;

/**
 * Slides an arc template round its centre until the piece has a wanted diameter at the long arc's edge, over the face and
 * state of the making (mm). Both radii are kept, only the sweep changes, and the ends stay on the radius.
 */
export function slideArc(
  owned: ArcTemplate,
  wanted: number,
  { long, making }: { readonly long: LongArc; readonly making: Making },
): Slid {
  const { panels } = making.seam;
  const diameter = (sweep: number): number => {
    const piece = pieceFromArc({ ...owned, sweep }, long, making);
    return piece.kind === 'made' && piece.target.form.kind === 'taper' ? piece.target.form[long] : NaN;
  };
  const at = (sweep: number) => {
    const found = diameter(sweep);
    return Number.isNaN(found) ? -wanted : found - wanted;
  };
  // Nearly flat no wall stands any more: the greatest sweep that makes a piece is looked for from there.
  let greatest = SWEEPS.greatest / panels;
  while (greatest > SWEEPS.least && Number.isNaN(diameter(greatest))) greatest -= 1;
  // Sweeps too small for any piece count as too narrow, so that the root lies where the piece can be made.
  const sweep = wanted > 0 ? root(at, SWEEPS.least / panels, greatest) : null;
  const piece = sweep === null ? null : pieceFromArc({ ...owned, sweep }, long, making);
  if (sweep === null || piece?.kind !== 'made') {
    return { kind: 'impossible', rule: 'no sweep of these two radii gives that width' };
  }
  return {
    kind: 'slid',
    template: { ...owned, sweep },
    tracings: tracingSteps(owned, sweep),
    target: piece.target,
  };
}
