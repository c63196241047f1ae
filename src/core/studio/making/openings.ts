import type { AgendaLine } from './agenda.ts';

/** A window's name: the same as long as the same pieces wait at the same step. */
export const windowKey = ({ making, piece, step, numbers }: AgendaLine): string =>
  [making, piece, step.id, numbers.join(',')].join(' ');

/** Windows that have newly opened, and all windows that are open now. */
export function newlyOpen(
  lines: readonly AgendaLine[],
  known: ReadonlySet<string>,
): { fresh: AgendaLine[]; open: Set<string> } {
  const open = lines.filter(({ state, window }) => window?.opens && (state === 'open' || state === 'closing'));
  return { fresh: open.filter((line) => !known.has(windowKey(line))), open: new Set(open.map(windowKey)) };
}
