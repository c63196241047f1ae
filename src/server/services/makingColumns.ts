import type { Critique, MakingHead } from '../../contract/makings.ts';
import type { Strike } from '../../core/studio/making/strikes.ts';
import type { Air } from '../../core/studio/drying/air.ts';
import type { Mark } from '../../core/studio/making/making.ts';
import type { Schools } from '../../core/studio/making/workStep.ts';
import type { DryingPart } from '../../core/studio/drying/partDrying.ts';
import type { CritiqueRow, EntryRow, MakingRow, MarkRow, StrikeRow } from '../models/makingRows.ts';
import type { Plain } from '../models/plainRows.ts';

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

/** The air that a making dries in. */
export function airOf({
  temperature,
  humidity,
  speed,
}: Pick<Plain<MakingRow>, 'temperature' | 'humidity' | 'speed'>): Air {
  return { temperature, humidity, speed: speed as Air['speed'] };
}

/** The head of a making from its row. */
export function headOf(row: Plain<MakingRow>): MakingHead {
  const { name, clay, startedAt, dueAt, schools } = row;
  return {
    name,
    clay,
    startedAt: iso(startedAt),
    dueAt: isoOr(dueAt),
    schools: JSON.parse(schools) as Schools,
    air: airOf(row),
  };
}

/** An entry as it was sent, without its making and what is not known of it. */
export function entryOf<T>(row: Plain<EntryRow>): T {
  const said = Object.entries(row).filter(
    ([key, value]) => key !== 'makingId' && (value !== null || key === 'x' || key === 'y'),
  );
  return { ...Object.fromEntries(said), at: iso(row.at) } as T;
}

/** A critique as it was sent: what was not said stays null. */
export function critiqueOf(row: Plain<CritiqueRow>): Critique {
  const said = (answer: boolean | 0 | 1 | null) => (answer === null ? null : Boolean(answer));
  const { id, piece, number, step, rating, text } = row;
  return {
    id,
    piece,
    number,
    step,
    at: iso(row.at),
    holds: said(row.holds),
    even: said(row.even),
    balanced: said(row.balanced),
    fits: said(row.fits),
    rating,
    text,
  };
}

/** A correction as it was sent. */
export function strikeOf({ id, of, out, at }: Plain<StrikeRow>): Strike {
  return { id, of, out: Boolean(out), at: iso(at) };
}

/** A mark as a row. */
export function markRow({ drying, ...mark }: Mark) {
  return { ...mark, ...(drying && { ...drying.part, hours: drying.hours }) };
}

/** The columns of a mark, its time as ISO 8601. */
export type MarkColumns = Omit<Plain<MarkRow>, 'makingId' | 'at'> & { readonly at: string };

/** A mark from its columns. */
export function markOf(row: MarkColumns): Mark {
  const { id, piece, number, step, at, kind, hours, thickness, faces, cover, support } = row;
  const part = { thickness, faces, cover, ...(support !== null && { support }) } as DryingPart;
  return {
    id,
    piece,
    number,
    step,
    at,
    kind,
    ...(hours !== null && { drying: { hours, part } }),
  };
}
