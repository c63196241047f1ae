import type { Target } from '../../target/target.ts';
import { CLEARANCE, type PieceFormat } from '../sheet/templateFormat.ts';
import { formerOf } from './former.ts';

/** Why a piece has no file of a format, in plain words; null where it has one. */
export function noTool(target: Target, format: PieceFormat): string | null {
  if (format === 'mould' || format.startsWith('frame-'))
    return target.form.kind === 'mould' ? null : 'is laid over no mould that is drawn here';
  if (format !== 'former') return null;
  const former = formerOf(target, CLEARANCE.usual);
  return former.kind === 'refused' ? former.rule : null;
}
