import Papa from 'papaparse';
import { BAR_RUNS, BAR_STATES, type BarRun, type ShrinkBar } from '../core/studio/clay/bars.ts';
import { KIT, KIT_KINDS, KIT_LIMITS, type KitItem, type KitKind } from '../core/studio/kit/kit.ts';
import { checkKitItem } from '../core/studio/kit/checkKit.ts';
import { CLAY_LIMITS } from '../core/studio/clay/clay.ts';

/** A table that was read, or the line and reason why it could not be. */
export type TableRead<T> =
  { readonly kind: 'rows'; readonly rows: readonly T[] } | { readonly kind: 'refused'; readonly rule: string };

/** Most characters and lines of a table. */
const LONGEST = { text: 1_000_000, lines: 2000 } as const;

const refused = (rule: string) => ({ kind: 'refused', rule }) as const;

/** The rows of a table by its head; column names ignore case, blanks and units in brackets; decimals have a comma or a point. */
function linesOf(text: string): TableRead<Readonly<Record<string, string>>> {
  if (text.length > LONGEST.text) return refused('is too large to be read');
  const { data, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) =>
      head
        .toLowerCase()
        .replace(/[[(].*$/, '')
        .replace(/\bmm\b/, '')
        .trim(),
  });
  const [wrong] = errors.filter(({ type }) => type === 'Quotes');
  if (wrong) return refused(`line ${(wrong.row ?? 0) + 2}: its quotes do not close`);
  if (data.length === 0) return refused('has no lines under its head');
  if (data.length > LONGEST.lines) return refused(`has more than ${LONGEST.lines} lines`);
  return { kind: 'rows', rows: data };
}

/** A figure in mm; undefined for an empty cell, NaN for anything else. */
function figure(cell: string | undefined): number | undefined {
  const text = (cell ?? '').trim().replace(/\s*mm$/, '');
  if (text === '') return undefined;
  return /^[+-]?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : NaN;
}

/** Shrink bars: columns `wet`, `dry`, `bisque`, `fired` (mm), `run` and `aside`; all but `wet` may be left out. Never throws. */
export function readBarsCsv(text: string): TableRead<ShrinkBar> {
  const lines = linesOf(text);
  if (lines.kind === 'refused') return lines;
  const bars: ShrinkBar[] = [];
  for (const [index, row] of lines.rows.entries()) {
    const line = index + 2;
    const wet = figure(row['wet']);
    if (wet === undefined || Number.isNaN(wet)) return refused(`line ${line}: “wet” must be a length in mm`);
    const states = BAR_STATES.map((state) => [state, figure(row[state])] as const);
    const odd = states.find(([, value]) => Number.isNaN(value));
    if (odd) return refused(`line ${line}: “${odd[0]}” must be a length in mm`);
    const run = (row['run'] ?? '').trim().toLowerCase() || 'any';
    if (!(BAR_RUNS as readonly string[]).includes(run))
      return refused(`line ${line}: “run” must be ${BAR_RUNS.join(', ')}`);
    const aside = /^(yes|true|1|x)$/i.test((row['aside'] ?? '').trim());
    bars.push({
      wet,
      ...Object.fromEntries(states.filter(([, value]) => value !== undefined)),
      run: run as BarRun,
      ...(aside && { aside }),
    });
  }
  return bars.length > CLAY_LIMITS.bars
    ? refused(`has more than ${CLAY_LIMITS.bars} bars`)
    : { kind: 'rows', rows: bars };
}

/** Shrink bars as a table (RFC 4180). */
export function writeBarsCsv(bars: readonly ShrinkBar[]): string {
  const rows = bars.map(({ wet, dry, bisque, fired, run, aside }) => ({
    wet,
    dry: dry ?? '',
    bisque: bisque ?? '',
    fired: fired ?? '',
    run,
    aside: aside ? 'yes' : '',
  }));
  return `${Papa.unparse({ fields: ['wet', ...BAR_STATES, 'run', 'aside'], data: rows }, { newline: '\r\n' })}\r\n`;
}

/** Every figure that a thing of the kit may have. */
const SIZE_KEYS = [...new Set(KIT_KINDS.flatMap((kind) => KIT[kind].sizes.map(({ key }) => key)))];

/**
 * Things of the kit: columns `kind`, `name`, one for each figure (mm), `settings` of a roller (with spaces between) and `note`. A
 * kind is written as here or as the screens say it. Never throws.
 */
export function readKitCsv(text: string): TableRead<KitItem> {
  const lines = linesOf(text);
  if (lines.kind === 'refused') return lines;
  const items: KitItem[] = [];
  for (const [index, row] of lines.rows.entries()) {
    const line = index + 2;
    const said = (row['kind'] ?? '').trim().toLowerCase();
    const kind = KIT_KINDS.find((one) => [one, KIT[one].one.toLowerCase(), KIT[one].many.toLowerCase()].includes(said));
    if (!kind) return refused(`line ${line}: “kind” must be ${KIT_KINDS.join(', ')}`);
    const item = itemOf(kind, row);
    const [fault] = checkKitItem(item);
    if (fault) return refused(`line ${line}: ${fault.path.replace(/^sizes\./, '')} ${fault.rule}`);
    items.push(item);
  }
  return { kind: 'rows', rows: items };
}

function itemOf(kind: KitKind, row: Readonly<Record<string, string>>): KitItem {
  const sizes = KIT[kind].sizes.map(({ key, none }) => [key, figure(row[key]) ?? (none ? 0 : NaN)] as const);
  const settings = (row['settings'] ?? '')
    .split(/[\s;]+/)
    .filter(Boolean)
    .slice(0, KIT_LIMITS.settings + 1)
    .map((one) => figure(one) ?? NaN);
  const note = (row['note'] ?? '').trim();
  return {
    kind,
    name: (row['name'] ?? '').trim(),
    sizes: Object.fromEntries(sizes),
    ...(settings.length > 0 && { settings }),
    ...(note && { note }),
  };
}

/** Things of the kit as a table (RFC 4180); drawn moulds, kiln sections and a printer's check are not in it. */
export function writeKitCsv(items: readonly KitItem[]): string {
  const fields = ['kind', 'name', ...SIZE_KEYS, 'settings', 'note'];
  const data = items.map(({ kind, name, sizes, settings = [], note = '' }) => ({
    kind,
    name,
    ...sizes,
    settings: settings.join(' '),
    note,
  }));
  return `${Papa.unparse({ fields, data }, { newline: '\r\n' })}\r\n`;
}
