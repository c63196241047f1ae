import type { Critique, MakingHead } from '../../contract/makings.ts';
import type { Air } from '../../core/studio/drying/air.ts';
import type { Mark } from '../../core/studio/making/making.ts';
import type { Schools } from '../../core/studio/making/workStep.ts';
import type { MakingRow } from '../models/makingRows.ts';

/** A time as ISO 8601 in UTC. */
export const iso = (date: Date | string) => new Date(date).toISOString();

/** The same, null where there is no time. */
export const isoOr = (date: Date | string | null) => (date === null ? null : iso(date));

/** What is kept of a making's head, as columns. */
export function columns({ name, clay, startedAt, dueAt, schools, air }: MakingHead) {
  return {
    name,
    clay,
    startedAt: new Date(startedAt),
    dueAt: dueAt === null ? null : new Date(dueAt),
    schools: JSON.stringify(schools),
    ...air,
  };
}

/** The head of a making from its row. */
export function headOf({ name, clay, startedAt, dueAt, schools, temperature, humidity, speed }: MakingRow): MakingHead {
  return {
    name,
    clay,
    startedAt: iso(startedAt),
    dueAt: isoOr(dueAt),
    schools: JSON.parse(schools) as Schools,
    air: { temperature, humidity, speed: speed as Air['speed'] },
  };
}

/** An entry as it was sent, without its making and what is not known of it. */
export function entryOf<T>(row: Record<string, unknown>): T {
  const said = Object.entries(row).filter(
    ([key, value]) => key !== 'makingId' && (value !== null || key === 'x' || key === 'y'),
  );
  return { ...Object.fromEntries(said), at: iso(row['at'] as Date) } as T;
}

/** A critique as it was sent: what was not said stays null. */
export function critiqueOf(row: Record<string, unknown>): Critique {
  const said = (key: string) => (row[key] === null ? null : Boolean(row[key]));
  const { id, piece, number, step, rating, text } = row as unknown as Critique;
  return {
    id,
    piece,
    number,
    step,
    at: iso(row['at'] as Date),
    holds: said('holds'),
    even: said('even'),
    balanced: said('balanced'),
    fits: said('fits'),
    rating,
    text,
  };
}

/** A mark as a row. */
export function markRow({ drying, ...mark }: Mark) {
  return { ...mark, ...(drying && { ...drying.part, hours: drying.hours }) };
}

/** A mark from its row. */
export function markOf(row: Record<string, unknown>): Mark {
  const { hours, thickness, faces, cover, support, ...mark } = entryOf<Record<string, unknown>>(row);
  const drying =
    hours === undefined
      ? {}
      : { drying: { hours, part: { thickness, faces, cover, ...(support !== undefined && { support }) } } };
  return { ...mark, ...drying } as unknown as Mark;
}
