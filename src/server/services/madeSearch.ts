import { QueryTypes } from 'sequelize';
import type { MadeLine, RevisionFacts } from '../../contract/made.ts';
import type { MadeQuery } from '../../contract/madeSchema.ts';
import type { Planned } from '../../core/studio/learning/madePiece.ts';
import { MM_PER_INCH } from '../../core/numbers.ts';
import type { Database } from '../models/database.ts';
import { iso, isoOr } from './makingColumns.ts';
import { STANDS } from './standing.ts';

/** A thickness in the words that are searched: a figure with its unit. */
const THICKNESS = /(\d+(?:[.,]\d+)?)\s*(mm|cm|in|inch|")/gi;
const UNITS: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: MM_PER_INCH, inch: MM_PER_INCH, '"': MM_PER_INCH };

/** Thicknesses that differ by less count as equal (mm). */
const SAME = 0.06;

/** Words of a search, and the thicknesses in it (mm). Inflections are dropped: cracked finds a crack. */
export function searchWords(find: string): { words: string[]; thicknesses: number[] } {
  const thicknesses = [...find.matchAll(THICKNESS)].map(
    ([, figure = '', unit = '']) => Number(figure.replace(',', '.')) * (UNITS[unit.toLowerCase()] ?? 1),
  );
  const words = find
    .replace(THICKNESS, ' ')
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((word) => (word.length > 4 ? word.replace(/(ed|s)$/i, '') : word));
  return { words, thicknesses };
}

interface Row extends Omit<RevisionFacts, 'planned'> {
  readonly making: string;
  readonly piece: number;
  readonly called: string;
  readonly name: string;
  readonly count: number;
  readonly designId: string;
  readonly revision: number;
  readonly names: string;
  readonly clay: string | null;
  readonly clayName: string | null;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly planned: string | null;
  readonly faulty: number;
  readonly fired: number;
  /** Lines on all pages. */
  readonly total: number;
}

const FROM = `FROM making_pieces p
  JOIN makings m ON m.id = p.makingId AND m.deletedAt IS NULL
  LEFT JOIN revision_facts f ON f.designId = p.designId AND f.revision = p.revision
  LEFT JOIN records r ON r.id = m.clay`;

const ORDER = 'm.startedAt DESC, m.id, p.piece';

/** Entries of a kind of piece that were not struck out. */
const of = (table: string) => `FROM ${table} e WHERE e.makingId = p.makingId AND e.piece = p.piece AND ${STANDS}`;
/** Escapes the wildcards of LIKE. */
const plain = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

function conditions({ making, find, what, state, least, most }: MadeQuery): {
  sql: string;
  values: Record<string, unknown>;
} {
  const { words, thicknesses } = searchWords(find);
  const values: Record<string, unknown> = {};
  const like = (column: string, key: string) => `${column} LIKE :${key} ESCAPE '\\'`;
  const parts = words.map((word, index) => {
    const key = `word${index}`;
    values[key] = plain(word);
    const own = ['p.name', 'm.name', 'r.name', 'f.form', 'f.seam', 'f.base', 'p.names'].map((column) =>
      like(column, key),
    );
    const faulty = `EXISTS (SELECT 1 ${of('faults')} AND ${like('e.kind', key)})`;
    const noted = `EXISTS (SELECT 1 ${of('notes')} AND ${like('e.text', key)})`;
    return `(${[...own, faulty, noted].join(' OR ')})`;
  });
  if (making !== undefined) {
    values['making'] = making;
    parts.push('p.makingId = :making');
  }
  thicknesses.forEach((mm, index) => {
    values[`thick${index}`] = mm;
    parts.push(`ABS(f.thickness - :thick${index}) < ${SAME}`);
  });
  if (what !== undefined || state !== undefined || least !== undefined || most !== undefined) {
    Object.assign(values, { what, state, least, most });
    const range = [
      what !== undefined && 'e.what = :what',
      state !== undefined && 'e.state = :state',
      least !== undefined && 'e.value >= :least',
      most !== undefined && 'e.value <= :most',
    ].filter(Boolean);
    parts.push(`EXISTS (SELECT 1 ${of('measurements')} AND ${range.join(' AND ')})`);
  }
  return { sql: parts.length > 0 ? `WHERE ${parts.join(' AND ')}` : '', values };
}

/** Searches everything that was made: words in names, clays, forms, faults and notes, a thickness, and a size between two figures. */
export async function searchMade(database: Database, query: MadeQuery): Promise<{ lines: MadeLine[]; total: number }> {
  const { sql, values } = conditions(query);
  const options = {
    type: QueryTypes.SELECT,
    replacements: { ...values, limit: query.limit, offset: query.offset },
  } as const;
  // The details are queried for the lines of the page only.
  const rows = await database.sequelize.query<Row>(
    `WITH page AS (SELECT p.makingId, p.piece, COUNT(*) OVER () AS total ${FROM} ${sql} ORDER BY ${ORDER} LIMIT :limit OFFSET :offset)
     SELECT p.makingId AS making, p.piece, m.name AS called, p.name, p.count, p.designId, p.revision, p.names, m.clay, r.name AS clayName,
       m.startedAt, m.endedAt, f.form, f.thickness, f.seam, f.base, f.shrinkage, f.planned, page.total,
       (SELECT COUNT(DISTINCT e.number) ${of('faults')}) AS faulty,
       (SELECT COUNT(DISTINCT e.number) ${of('measurements')} AND e.state = 'fired') AS fired
     ${FROM} JOIN page ON page.makingId = p.makingId AND page.piece = p.piece ORDER BY ${ORDER}`,
    options,
  );
  // A page beyond the last line has no row with the total.
  const [counted] =
    rows.length > 0 || query.offset === 0
      ? rows
      : await database.sequelize.query<{ total: number }>(`SELECT COUNT(*) AS total ${FROM} ${sql}`, options);
  return { lines: rows.map(lineOf), total: counted?.total ?? 0 };
}

function lineOf({ form, thickness, seam, base, shrinkage, planned, names, ...row }: Row): MadeLine {
  const { making, piece, called, name, count, designId, revision, clay, clayName, startedAt, endedAt, faulty, fired } =
    row;
  return {
    ...{ making, piece, called, name, count, designId, revision, clay, clayName, faulty, fired },
    ...(names !== '[]' && { names: JSON.parse(names) as string[] }),
    startedAt: iso(startedAt),
    endedAt: isoOr(endedAt),
    facts:
      planned === null ? null : { form, thickness, seam, base, shrinkage, planned: JSON.parse(planned) as Planned },
  };
}
