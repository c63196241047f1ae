import { joinedHours, type FreeHours } from '../planning/planJob.ts';

/** How an order is fired; all in minutes. */
export interface Firing {
  /** Fired once, without a bisque before it. */
  readonly once: boolean;
  /** Each from the switch to the opened kiln, cooling counted. */
  readonly bisque: number;
  readonly glaze: number;
  /** Loading a kiln. */
  readonly load: number;
  /** Glazing one piece. */
  readonly glazing: number;
}

/** Work of the hands that the kiln asks for, and the kiln itself: from, to. */
export interface KilnStretch {
  readonly kind: 'load bisque' | 'bisque' | 'glazing' | 'load glaze' | 'glaze';
  readonly from: number;
  readonly to: number;
}

/** What each stretch is called. */
export const KILN_WORDS: Readonly<Record<KilnStretch['kind'], string>> = {
  'load bisque': 'Load the bisque',
  bisque: 'Bisque firing and cooling',
  glazing: 'Glaze',
  'load glaze': 'Load the glaze kiln',
  glaze: 'Glaze firing and cooling',
};

/** The way from dry pieces to fired ones, and when the pieces have to be dry. */
export interface KilnDays {
  readonly stretches: readonly KilnStretch[];
  readonly dryBy: number;
}

/** Glaze dries so long before it is loaded (min). A rule of the bench. */
const GLAZE_DRIES = 3 * 60;

/** The latest stretch of free minutes that ends by then; null when there is none. */
export function lastFit(hours: readonly FreeHours[], by: number, minutes: number): FreeHours | null {
  for (const [from, to] of joinedHours(hours).reverse()) {
    const end = Math.min(to, by);
    if (end - minutes >= from) return [end - minutes, end];
  }
  return null;
}

/** Free minutes counted back from a moment until there are enough; null when there are not. */
export function lastMinutes(hours: readonly FreeHours[], by: number, minutes: number): FreeHours[] | null {
  const found: FreeHours[] = [];
  let left = minutes;
  for (const [from, to] of joinedHours(hours).reverse()) {
    const end = Math.min(to, by);
    if (left <= 0) break;
    if (end <= from) continue;
    const start = Math.max(from, end - left);
    found.unshift([start, end]);
    left -= end - start;
  }
  return left > 0 ? null : found;
}

/**
 * Lays firing, glazing and bisque backwards from when an order has to be ready: each as late as the potter's hours allow.
 *
 * @param hours the potter's free minutes
 * @param ready when the fired pieces are to be taken out (min)
 * @returns null when the hours do not reach so far back
 */
export function kilnDays(
  hours: readonly FreeHours[],
  ready: number,
  { pieces, ...firing }: Firing & { pieces: number },
): KilnDays | null {
  const fired = (kind: 'bisque' | 'glaze', by: number): KilnStretch[] | null => {
    const load = lastFit(hours, by - firing[kind], firing.load);
    return (
      load && [
        { kind: `load ${kind}`, from: load[0], to: load[1] },
        { kind, from: load[1], to: load[1] + firing[kind] },
      ]
    );
  };
  const glaze = fired('glaze', ready);
  if (!glaze?.[0]) return null;
  if (firing.once) return { stretches: glaze, dryBy: glaze[0].from };
  const glazing = lastMinutes(hours, glaze[0].from - GLAZE_DRIES, firing.glazing * pieces);
  if (!glazing) return null;
  const bisque = fired('bisque', glazing[0]?.[0] ?? glaze[0].from);
  if (!bisque?.[0]) return null;
  const brushed = glazing.map(([from, to]): KilnStretch => ({ kind: 'glazing', from, to }));
  return { stretches: [...bisque, ...brushed, ...glaze], dryBy: bisque[0].from };
}
