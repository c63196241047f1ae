import type { FiringKiln, FiringShelf } from './keptFiring.ts';

/** A kiln shelf's own thickness (mm): most plates are between 12 and 20. */
export const PLATE = 20;

/** Why the shelves do not go into the kiln: together too high, or one of them too wide (mm). */
export type ChamberFault =
  | { readonly kind: 'high'; readonly stands: number; readonly chamber: number }
  | { readonly kind: 'wide'; readonly shelf: string };

/** How high the shelves stand, plates and posts together (mm). */
export const stackHeight = (shelves: readonly FiringShelf[]) =>
  shelves.reduce((sum, { clear }) => sum + clear + PLATE, 0);

/** Which of a firing's shelves do not fit its kiln; none where the kiln is not given. A shelf may lie either way round. */
export function chamberFaults(kiln: FiringKiln | undefined, shelves: readonly FiringShelf[]): ChamberFault[] {
  if (!kiln) return [];
  const chamber = [kiln.length, kiln.width].sort((one, other) => one - other) as [number, number];
  const wide = shelves.filter((shelf) => {
    const [short, long] =
      'width' in shelf
        ? [shelf.width, shelf.depth].sort((one, other) => one - other)
        : [shelf.diameter, shelf.diameter];
    return (short ?? 0) > chamber[0] || (long ?? 0) > chamber[1];
  });
  const stands = stackHeight(shelves);
  return [
    ...(stands > kiln.height ? [{ kind: 'high' as const, stands, chamber: kiln.height }] : []),
    ...wide.map(({ name }): ChamberFault => ({ kind: 'wide', shelf: name })),
  ];
}
