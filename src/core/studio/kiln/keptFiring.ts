import { isDay } from '../../day.ts';
import { shortValue, type Fault } from '../../errors.ts';
import { LIMITS } from '../../target/target.ts';
import { rangeFaults, textFaults } from '../../ranges.ts';
import type { CurvePoint, Segment } from './schedule.ts';
import type { Shelf } from './shelfRoom.ts';

/** Kinds of firing: to biscuit, of the glaze, or both at once. */
export const FIRING_KINDS = ['bisque', 'glaze', 'once'] as const;

/** A kind of firing. */
export type FiringKind = (typeof FIRING_KINDS)[number];

/** How a witness cone stands after the firing. */
export const CONE_STATES = ['standing', 'bent', 'down'] as const;

/** One piece of a making. */
export interface PieceAt {
  readonly making: string;
  readonly piece: number;
  readonly number: number;
}

/** A piece on a shelf: where its plan's own middle stands (mm), its turn (degrees), and whether it stays there. */
export interface FiringPiece extends PieceAt {
  readonly shelf: string;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  readonly locked?: boolean;
}

/** A shelf of the kiln with the posts over it (mm). */
export type FiringShelf = Shelf & { readonly id: string; readonly name: string; readonly clear: number };

/** A kiln by its chamber (mm). */
export interface FiringKiln {
  readonly name: string;
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** A firing as it is kept: what was planned for it, what stood where, the schedule and the kiln's curve. */
export interface KeptFiring {
  readonly name: string;
  readonly kind: FiringKind;
  /** Day, YYYY-MM-DD. */
  readonly day: string;
  readonly cone: string;
  readonly segments: readonly Segment[];
  /** As it was read or typed. */
  readonly curve: readonly CurvePoint[];
  readonly witness: readonly { readonly cone: string; readonly state: (typeof CONE_STATES)[number] }[];
  /** Energy (kWh), and cost in any currency. */
  readonly energy?: number;
  readonly price?: number;
  readonly gap: number;
  /** The kiln that it is fired in, as the kit had it. */
  readonly kiln?: FiringKiln;
  readonly shelves: readonly FiringShelf[];
  readonly wanted: readonly PieceAt[];
  readonly placed: readonly FiringPiece[];
  /** When the kiln was opened, ISO 8601 in UTC; null before that. */
  readonly opened: string | null;
  readonly note: string;
}

/** Limits of a firing. Lengths mm, °C, minutes. */
export const FIRING_LIMITS = {
  segments: 20,
  curve: 4000,
  pieces: 1000,
  shelves: 30,
  cones: 12,
  text: 2000,
  rate: { above: 0, greatest: 2000 },
  celsius: { least: 0, greatest: 1400 },
  minutes: { least: 0, greatest: 20_000 },
  gap: { least: 0, greatest: 100 },
  shelf: { least: 50, greatest: 3000 },
  clear: { least: 10, greatest: 3000 },
  money: { least: 0, greatest: 1e6 },
} as const;

/** Every reason why a firing cannot be kept; empty when it can. */
export function checkFiring(firing: KeptFiring): Fault[] {
  const { name, day, cone, note, segments, curve, kiln, shelves, wanted, placed, energy, price, gap } = firing;
  const fault = (path: string, found: unknown, rule: string): Fault => ({
    code: 'out-of-range',
    path,
    value: shortValue(found),
    rule,
  });
  const backwards = curve.findIndex(([at], index) => index > 0 && at <= (curve[index - 1]?.[0] ?? -1));
  const ids = new Set(shelves.map(({ id }) => id));
  return [
    ...textFaults('name', name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...textFaults('cone', cone, { most: 60 }),
    ...textFaults('note', note, { most: FIRING_LIMITS.text }),
    ...(isDay(day) ? [] : [fault('day', day, 'must be a day, YYYY-MM-DD')]),
    ...segments.flatMap(({ rate, to, hold }, index) => [
      ...rangeFaults(`segments.${index}.rate`, rate, FIRING_LIMITS.rate),
      ...rangeFaults(`segments.${index}.to`, to, FIRING_LIMITS.celsius),
      ...rangeFaults(`segments.${index}.hold`, hold, FIRING_LIMITS.minutes),
    ]),
    ...(backwards < 0
      ? []
      : [fault(`curve.${backwards}`, curve[backwards], 'must be later than the reading before it')]),
    ...rangeFaults('gap', gap, FIRING_LIMITS.gap),
    ...rangeFaults('energy', energy, FIRING_LIMITS.money),
    ...rangeFaults('price', price, FIRING_LIMITS.money),
    ...(kiln ? textFaults('kiln.name', kiln.name, { most: LIMITS.nameLength.greatest }) : []),
    ...(kiln
      ? (['length', 'width', 'height'] as const).flatMap((key) =>
          rangeFaults(`kiln.${key}`, kiln[key], FIRING_LIMITS.shelf),
        )
      : []),
    ...shelves.flatMap((shelf, index) => [
      ...('width' in shelf
        ? [
            ...rangeFaults(`shelves.${index}.width`, shelf.width, FIRING_LIMITS.shelf),
            ...rangeFaults(`shelves.${index}.depth`, shelf.depth, FIRING_LIMITS.shelf),
          ]
        : rangeFaults(`shelves.${index}.diameter`, shelf.diameter, FIRING_LIMITS.shelf)),
      ...rangeFaults(`shelves.${index}.clear`, shelf.clear, FIRING_LIMITS.clear),
    ]),
    ...(ids.size === shelves.length ? [] : [fault('shelves', [...ids], 'must have each name once')]),
    ...placed.flatMap(({ shelf }, index) =>
      ids.has(shelf) ? [] : [fault(`placed.${index}.shelf`, shelf, 'is not a shelf of this firing')],
    ),
    ...(
      [
        ['wanted', wanted],
        ['placed', placed],
      ] as const
    ).flatMap(([key, list]) =>
      new Set(list.map(pieceKey)).size === list.length ? [] : [fault(key, list.length, 'must have each piece once')],
    ),
  ];
}

/** One name for one piece. */
export const pieceKey = ({ making, piece, number }: PieceAt) => `${making} ${piece} ${number}`;

/** Pieces that were to be in a firing and stand nowhere. */
export function leftOver({ wanted, placed }: Pick<KeptFiring, 'wanted' | 'placed'>): PieceAt[] {
  const there = new Set(placed.map(pieceKey));
  return wanted.filter((one) => !there.has(pieceKey(one)));
}

/**
 * The pieces that a firing has fired, or will: what stands on its shelves, and what was written down as fired in it. While
 * the kiln is packed, what found no place is not in it; once it was opened, nothing is left over.
 */
export function insideOf({ wanted, placed, opened }: Pick<KeptFiring, 'wanted' | 'placed' | 'opened'>): PieceAt[] {
  if (placed.length === 0 || opened !== null) return [...wanted];
  const there = new Set(placed.map(pieceKey));
  return wanted.filter((one) => there.has(pieceKey(one)));
}

/** A firing whose kiln was opened at a moment (ISO 8601, UTC): what found no place is left for the next one. */
export function openedAt(firing: KeptFiring, moment: string): KeptFiring {
  return { ...firing, wanted: insideOf(firing), opened: moment };
}

/** A usual schedule of each kind (°C/h, °C, min): rules of the bench; the clay's and glaze's makers say better. */
export const USUAL_SEGMENTS: Readonly<Record<FiringKind, readonly Segment[]>> = {
  bisque: [
    { rate: 60, to: 120, hold: 60 },
    { rate: 100, to: 600, hold: 0 },
    { rate: 150, to: 1000, hold: 10 },
    { rate: 120, to: 60, hold: 0 },
  ],
  glaze: [
    { rate: 120, to: 600, hold: 0 },
    { rate: 160, to: 1220, hold: 15 },
    { rate: 110, to: 60, hold: 0 },
  ],
  once: [
    { rate: 50, to: 120, hold: 90 },
    { rate: 80, to: 600, hold: 0 },
    { rate: 140, to: 1220, hold: 15 },
    { rate: 110, to: 60, hold: 0 },
  ],
};
