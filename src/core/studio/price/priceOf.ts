/** The cost so far of one kind of piece of a making, in any currency; null is a price that was not noted. */
export interface CostOf {
  /** Pieces that were made, and those of them with a fault. */
  readonly count: number;
  readonly faulty: number;
  /** Wet clay in one piece, and cut away from it (g); null where its revision is not known. */
  readonly clay: { readonly wet: number; readonly away: number } | null;
  /** Price and mass (g) of a bag of the clay. */
  readonly bag: { readonly price: number; readonly grams: number } | null;
  /** Each firing that any of the pieces was in: its price, and the share of its room that they took. */
  readonly firings: readonly FiringCost[];
  /** Minutes at the table that were noted. */
  readonly minutes: number;
  /** Price of an hour at the table. */
  readonly hour: number | null;
}

/** A piece's share of one firing's cost. */
export interface FiringCost {
  readonly name: string;
  readonly price: number | null;
  /** Fraction of the room of all that was in it, by volume. */
  readonly share: number;
}

/** One sum: what it is for, how it comes about, and what it comes to (null while a price is missing). */
export type PriceLine =
  | { readonly of: 'clay'; readonly grams: number; readonly sum: number | null }
  | {
      readonly of: 'firing';
      readonly name: string;
      readonly share: number;
      readonly price: number | null;
      readonly sum: number | null;
    }
  | { readonly of: 'time'; readonly minutes: number; readonly hour: number | null; readonly sum: number | null };

/** The sums of a kind of piece. */
export interface Price {
  readonly lines: readonly PriceLine[];
  /** The sum of what is known. */
  readonly total: number;
  /** No price is missing; where one is, the total is less than it cost. */
  readonly isWhole: boolean;
  /** For each piece that was made, and for each without a fault, which bears the others; null where there is none. */
  readonly each: number | null;
  readonly eachSound: number | null;
  /** Wet clay in pieces with a fault, and cut away from all (g): the first is lost, the second goes back to the bag. */
  readonly lost: number;
  readonly back: number;
}

const MINUTES = 60;
const times = (price: number | null, amount: number) => (price === null ? null : price * amount);

/** What a kind of piece cost: its clay, its share of each firing by the room it took, and the time that was noted. */
export function priceOf({ count, faulty, clay, bag, firings, minutes, hour }: CostOf): Price {
  const grams = count * (clay?.wet ?? 0);
  const lines: PriceLine[] = [
    { of: 'clay', grams, sum: clay && bag && bag.grams > 0 ? (bag.price * grams) / bag.grams : null },
    ...firings.map(({ name, price, share }): PriceLine => ({
      of: 'firing',
      name,
      share,
      price,
      sum: times(price, share),
    })),
    { of: 'time', minutes, hour, sum: minutes === 0 ? 0 : times(hour, minutes / MINUTES) },
  ];
  const total = lines.reduce((sum, line) => sum + (line.sum ?? 0), 0);
  const sound = count - faulty;
  return {
    lines,
    total,
    isWhole: lines.every(({ sum }) => sum !== null),
    each: count > 0 ? total / count : null,
    eachSound: sound > 0 ? total / sound : null,
    lost: faulty * (clay?.wet ?? 0),
    back: count * (clay?.away ?? 0),
  };
}

/** One kind of piece in a firing: its number, and the room of one (ml); null where unknown. */
export interface Roomed {
  readonly count: number;
  readonly room: number | null;
}

/**
 * The share of a firing that falls to one of the kinds in it, by volume. Kinds whose room is not known count as the mean of those
 * that are; where none is known, each piece counts alike.
 */
export function roomShare(all: readonly Roomed[], own: Roomed): number {
  const known = all.filter(({ room }) => room !== null);
  const pieces = known.reduce((sum, { count }) => sum + count, 0);
  const mean = pieces > 0 ? known.reduce((sum, { count, room }) => sum + count * (room ?? 0), 0) / pieces : 1;
  const of = ({ count, room }: Roomed) => count * (room ?? mean);
  const whole = all.reduce((sum, one) => sum + of(one), 0);
  return whole > 0 ? of(own) / whole : 0;
}
