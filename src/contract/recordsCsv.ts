import Papa from 'papaparse';
import { shortValue, type Fault } from '../core/errors.ts';
import type { KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import { makingEntries, makingStart, photographRow } from './makingSchema.ts';
import type { Entries, MakingStart, Photograph } from './makings.ts';
import { readRecord } from './recordSchema.ts';
import { readShape } from './targetSchema.ts';

/** What a row of the table of records is. */
const KINDS = {
  measurement: 'measurements',
  fault: 'faults',
  note: 'notes',
  mark: 'marks',
  strike: 'strikes',
  critique: 'critiques',
} as const;
type RowKind = keyof typeof KINDS;

/** Columns in their order: what every row has, then what only some have. */
const COLUMNS = [
  'row',
  'id',
  'making',
  'making name',
  'piece',
  'piece name',
  'number',
  'step',
  'at',
  'state',
  'what',
  'value',
  'kind',
  'x',
  'y',
  'text',
  'holds',
  'even',
  'balanced',
  'fits',
  'rating',
  'of',
  'out',
  'hours',
  'thickness',
  'faces',
  'cover',
  'support',
] as const;
type Cells = Partial<Record<(typeof COLUMNS)[number], string | number | boolean | null>>;

/** A making as it was begun, and when it ended. */
export type WholeStart = MakingStart & { readonly endedAt: string | null };

/** Entries of one making with its photographs, the names of it and its pieces, and, where known, how it was begun. */
export interface NamedEntries {
  readonly making: string;
  readonly name: string;
  readonly pieces: readonly string[];
  readonly start?: WholeStart;
  readonly photographs: readonly Photograph[];
  readonly entries: Entries;
}

/** A firing by its id. */
export interface CsvFiring {
  readonly id: string;
  readonly body: KeptFiring;
}

/** A text that a spreadsheet would take for a formula gets a mark before it, and loses it again when it is read. */
const FORMULA = /^'*[=+\-@\t\r]/;
const guarded = (text: string) => (FORMULA.test(text) ? `'${text}` : text);
const plain = (text: string) => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text);

/** What has no columns of its own is JSON in `text`: how a making was begun, and the body of a firing. */
function rowsOf({ making, name, pieces, start, photographs, entries }: NamedEntries): Cells[] {
  const rows: Cells[] = start
    ? [{ row: 'making', id: making, making, 'making name': name, at: start.startedAt, text: JSON.stringify(start) }]
    : [];
  for (const { hash, width, height, ...spot } of photographs) {
    rows.push({
      row: 'photograph',
      making,
      'making name': name,
      'piece name': pieces[spot.piece] ?? '',
      ...spot,
      text: JSON.stringify({ hash, width, height }),
    });
  }
  for (const kind of Object.keys(KINDS) as RowKind[]) {
    for (const entry of entries[KINDS[kind]]) {
      const { drying, ...rest } = entry as { drying?: { part: object; hours: number }; piece?: number };
      const dried = drying ? { hours: drying.hours, ...drying.part } : {};
      const called = rest.piece === undefined ? {} : { 'piece name': pieces[rest.piece] ?? '' };
      rows.push({ row: kind, making, 'making name': name, ...called, ...rest, ...dried });
    }
  }
  return rows;
}

const LINE = '\r\n';

/** First line of the table of records. */
export const CSV_HEAD = COLUMNS.join(',') + LINE;

/** Lines of the table of records (RFC 4180) for some makings, without the head. */
export function writeRecordsCsv(makings: readonly NamedEntries[]): string {
  return linesOf(makings.flatMap(rowsOf));
}

/** Lines of the table for firings. */
export function writeFiringsCsv(firings: readonly CsvFiring[]): string {
  return linesOf(
    firings.map(({ id, body }): Cells => ({
      row: 'firing',
      id,
      making: '',
      'making name': body.name,
      at: body.opened ?? body.day,
      text: JSON.stringify(body),
    })),
  );
}

function linesOf(rows: readonly Cells[]): string {
  const data = rows.map((cells) =>
    COLUMNS.map((column) => {
      const cell = cells[column];
      return typeof cell === 'string' ? guarded(cell) : (cell ?? '');
    }),
  );
  return data.length === 0 ? '' : Papa.unparse(data, { newline: LINE }) + LINE;
}

const FIGURES = new Set<string>(['piece', 'number', 'value', 'x', 'y', 'rating', 'hours', 'thickness']);
const SAID = new Set<string>(['holds', 'even', 'balanced', 'fits', 'out']);

/** Columns of each kind of row that are null where they are empty. */
const NULLED: Partial<Record<RowKind, readonly string[]>> = {
  fault: ['x', 'y'],
  critique: ['holds', 'even', 'balanced', 'fits', 'rating'],
};
/** Columns of each kind that are texts, empty or not. */
const TEXTS: Partial<Record<RowKind, readonly string[]>> = { critique: ['text'] };
const DRYING = ['thickness', 'faces', 'cover', 'support'] as const;
const HEADS: readonly string[] = ['row', 'making', 'making name', 'piece name', 'hours', ...DRYING];

function cellOf(column: string, text: string): unknown {
  if (FIGURES.has(column)) return Number(text.replace(',', '.'));
  return SAID.has(column) ? text.toLowerCase() === 'true' : plain(text);
}

/** One row as an entry, without what is empty. */
function entryOf(kind: RowKind, cells: Readonly<Record<string, string>>): Record<string, unknown> {
  const entry: Record<string, unknown> = {};
  for (const column of COLUMNS) {
    const text = cells[column] ?? '';
    if (HEADS.includes(column)) continue;
    if (text !== '') entry[column] = cellOf(column, text);
    else if (NULLED[kind]?.includes(column)) entry[column] = null;
    else if (TEXTS[kind]?.includes(column)) entry[column] = '';
  }
  if (kind !== 'mark' || !cells['hours']) return entry;
  const part = Object.fromEntries(DRYING.flatMap((key) => (cells[key] ? [[key, cellOf(key, cells[key])]] : [])));
  return { ...entry, drying: { part, hours: cellOf('hours', cells['hours']) } };
}

/** The JSON of a cell; an empty object where it is not JSON, so that its missing keys are reported. */
function jsonOf(text: string | undefined): unknown {
  try {
    return JSON.parse(plain(text ?? '')) as unknown;
  } catch {
    return {};
  }
}

/** Most faults that are reported. */
const MOST_FAULTS = 100;

/** Entries by making, or every fault with its line; a table with faults is not read at all. */
export type CsvReading =
  | {
      readonly kind: 'makings';
      readonly makings: readonly Omit<NamedEntries, 'pieces'>[];
      readonly firings: readonly CsvFiring[];
    }
  | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** Reads the table of records again, as it was written or changed in a spreadsheet: columns may stand in any order. Never throws. */
export function readRecordsCsv(text: string): CsvReading {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
  });
  // Spreadsheets leave off empty cells at the end of a row.
  const broken = errors.filter(({ code }) => code !== 'TooFewFields' && code !== 'UndetectableDelimiter');
  const faults: Fault[] = broken.slice(0, MOST_FAULTS).map(({ row, message }) => ({
    code: 'unreadable',
    path: row === undefined ? '' : `line ${row + 2}`,
    value: 'the table',
    rule: message,
  }));
  for (const column of ['row', 'id', 'making', 'at']) {
    if (!meta.fields?.includes(column))
      faults.push({ code: 'missing', path: column, value: 'nothing', rule: 'is a column that every row needs' });
  }
  if (faults.length > 0) return { kind: 'faults', faults };
  const makings = new Map<
    string,
    { name: string; entries: Record<string, unknown[]>; start?: WholeStart; photographs: Photograph[] }
  >();
  const firings: CsvFiring[] = [];
  const ownOf = (cells: Readonly<Record<string, string>>) => {
    const id = cells['making'] ?? '';
    const own = makings.get(id) ?? { name: plain(cells['making name'] ?? ''), entries: {}, photographs: [] };
    makings.set(id, own);
    return own;
  };
  data.forEach((cells, index) => {
    const kind = cells['row'] as RowKind;
    const list = KINDS[kind] as (typeof KINDS)[RowKind] | undefined;
    const fault = (path: string, value: string, rule: string) =>
      faults.length < MOST_FAULTS &&
      faults.push({ code: 'out-of-range', path: `line ${index + 2}${path && `.${path}`}`, value, rule });
    const told = (faulty: readonly Fault[], from: number) =>
      faulty.forEach(({ path, value, rule }) => fault(path.split('.').slice(from).join('.'), value, rule));
    if (cells['row'] === 'firing') {
      const read = readRecord('firing', jsonOf(cells['text']));
      return 'faults' in read ? told(read.faults, 0) : void firings.push({ id: cells['id'] ?? '', body: read.body });
    }
    if (cells['row'] === 'making') {
      const { endedAt, ...start } = jsonOf(cells['text']) as { endedAt?: unknown };
      const read = readShape<MakingStart>(makingStart, start);
      if ('faults' in read) return told(read.faults, 0);
      ownOf(cells).start = { ...read.value, endedAt: typeof endedAt === 'string' ? endedAt : null };
      return;
    }
    if (cells['row'] === 'photograph') {
      const { id, step, at, piece, number, text } = cells;
      const read = readShape<Photograph>(photographRow, {
        ...(jsonOf(text) as object),
        id,
        step,
        at,
        piece: Number(piece),
        number: Number(number),
      });
      return 'faults' in read ? told(read.faults, 0) : void ownOf(cells).photographs.push(read.value);
    }
    if (!list)
      return void fault(
        'row',
        shortValue(cells['row']),
        `must be one of ${[...Object.keys(KINDS), 'making', 'photograph', 'firing'].join(', ')}`,
      );
    const entry = entryOf(kind, cells);
    const shape = readShape<Entries>(makingEntries, { [list]: [entry] });
    if ('faults' in shape) return told(shape.faults, 2);
    (ownOf(cells).entries[list] ??= []).push(...shape.value[list]);
  });
  if (faults.length > 0) return { kind: 'faults', faults };
  const none: Entries = { marks: [], measurements: [], faults: [], notes: [], strikes: [], critiques: [] };
  return {
    kind: 'makings',
    firings,
    makings: [...makings].map(([making, { name, entries, start, photographs }]) => ({
      making,
      name,
      ...(start && { start }),
      photographs,
      entries: { ...none, ...entries },
    })),
  };
}
