import { faultLine, FaultError } from '../core/errors.ts';
import { fileStem } from '../core/format/fileStem.ts';
import { bounds } from '../core/outline/outline.ts';
import { developWhole } from '../core/piece/develop.ts';
import { aboutTemplate } from '../core/sheet/about.ts';
import { pagesOf, type PageOptions } from '../core/sheet/pages.ts';
import { DEFAULT_PAPER, PAPER_NAMES, type PaperName } from '../core/sheet/paper.ts';
import { SCALE_LIMITS, type CheckedPrinter } from '../core/sheet/printerCheck.ts';
import { DEFAULT_DPI, DPI_LIMITS, OFFSET_LIMITS, TEMPLATE_FORMATS, type TemplateFormat } from '../core/sheet/templateFormat.ts'; // prettier-ignore
import { templateParts } from '../core/sheet/templateParts.ts';
import { LENGTH_UNITS, type LengthUnit } from '../core/units/lengthUnit.ts';
import type { Target } from '../core/piece/target.ts';
import { classSet, readNames } from './classSet.ts';
import { readTargets } from './readTargets.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** Formats that are written where none are named. */
const USUAL = 'pdf,svg,dxf';

/** What of the call says how templates are written. */
type Values = Readonly<
  Partial<Record<'out' | 'formats' | 'paper' | 'units' | 'printer' | 'dpi' | 'offset' | 'class', string>>
>;

interface SheetCall {
  readonly out: string;
  readonly formats: readonly TemplateFormat[];
  readonly paper: PaperName;
  readonly units: LengthUnit;
  readonly printer?: CheckedPrinter;
  readonly dpi: number;
  readonly offset: number;
}

/** One value out of a list, or a complaint. */
function chosen<T extends string>(name: string, value: string, offered: readonly T[], station: Station): T | null {
  const found = offered.find((one) => one === value);
  if (found === undefined) station.complain(`--${name}: ${value}: must be ${offered.join(' or ')}`);
  return found ?? null;
}

/** A figure within limits, or a complaint. */
function figure(
  name: string,
  value: string,
  { least, greatest }: { least: number; greatest: number },
  station: Station,
): number | null {
  const found = Number(value);
  if (value.trim() !== '' && found >= least && found <= greatest) return found;
  station.complain(`--${name}: ${value}: must be from ${least} to ${greatest}`);
  return null;
}

/** `0.973x0.991`: printed over true length, along the short and the long edge. Undefined without one, null with a complaint. */
function printerOf(value: string | undefined, paper: PaperName, station: Station): CheckedPrinter | null | undefined {
  if (value === undefined) return undefined;
  const [short, long, ...more] = value.split('x').map(Number);
  const sound = (one: number | undefined): one is number => one !== undefined && one >= SCALE_LIMITS.least && one <= SCALE_LIMITS.greatest; // prettier-ignore
  if (sound(short) && sound(long) && more.length === 0) return { name: 'the printer named in the call', paper, scale: { short, long } }; // prettier-ignore
  station.complain(`--printer: ${value}: must be two figures from ${SCALE_LIMITS.least} to ${SCALE_LIMITS.greatest}, such as 0.973x0.991`); // prettier-ignore
  return null;
}

function readCall(values: Values, station: Station): SheetCall | null {
  const formats = (values.formats ?? USUAL).split(',').map((format) => chosen('formats', format.trim(), TEMPLATE_FORMATS, station)); // prettier-ignore
  const paper = chosen('paper', values.paper ?? DEFAULT_PAPER, PAPER_NAMES, station);
  const units = chosen('units', values.units ?? 'mm', LENGTH_UNITS, station);
  const dpi = figure('dpi', values.dpi ?? String(DEFAULT_DPI), DPI_LIMITS, station);
  const offset = figure('offset', values.offset ?? '0', OFFSET_LIMITS, station);
  const printer = printerOf(values.printer, paper ?? DEFAULT_PAPER, station);
  const good = formats.filter((format) => format !== null);
  if (good.length !== formats.length || !paper || !units || dpi === null || offset === null || printer === null) return null; // prettier-ignore
  return { out: values.out ?? '.', formats: [...new Set(good)], paper, units, dpi, offset, ...(printer && { printer }) }; // prettier-ignore
}

/** A design in the summary: the files that were written, its pages, and its parts by their sizes (mm). */
interface Summed {
  readonly name: string;
  readonly files: readonly string[];
  readonly pages: number | null;
  readonly parts: readonly { readonly id: string; readonly count: number; readonly width: number; readonly height: number }[]; // prettier-ignore
}

/** A file that measured otherwise than it was developed is told, and not written. */
function notTrue(name: string, error: unknown, station: Station): null {
  if (!(error instanceof FaultError)) throw error;
  for (const fault of error.faults) station.complain(`${name}: ${faultLine(fault)}`);
  return null;
}

/** Writes the templates of targets, or of all target files of a folder, and `summary.json` beside them. */
export async function sheetFiles(named: readonly string[], values: Values, station: Station): Promise<number> {
  const call = readCall(values, station);
  if (!call) return BAD_INPUT;
  const names = values.class === undefined ? [] : readNames(values.class, station);
  if (!names) return BAD_INPUT;
  const targets = readTargets(
    named.flatMap((name) => station.targetsIn(name) ?? [name]),
    station,
  );
  if (!targets) return BAD_INPUT;
  // Loaded here, so that `develop` need not wait for the PDF writer.
  const { writeTemplate } = await import('../print/writeTemplate.ts');
  const { out, formats, units, ...rest } = call;
  const used = new Map<string, number>();
  const summary: Summed[] = [];
  const pieces: { target: Target; options: PageOptions }[] = [];
  for (const { target } of targets) {
    const parts = templateParts(target, developWhole(target).parts);
    const stem = fileStem(target.name);
    const times = (used.get(stem) ?? 0) + 1;
    used.set(stem, times);
    const style = { unit: units };
    const options = { name: target.name, style, about: aboutTemplate(target, style, null), ...rest };
    pieces.push({ target, options });
    const files: string[] = [];
    for (const format of formats) {
      const bytes = await writeTemplate(parts, format, options).catch((error: unknown) => notTrue(target.name, error, station)); // prettier-ignore
      if (!bytes) return BAD_INPUT;
      const file = `${out}/${times > 1 ? `${stem}-${times}` : stem}.${format}`;
      station.writeFile(file, bytes);
      station.print(file);
      files.push(file);
    }
    const sizes = parts.map(({ id, count, outline }) => {
      const { minX, maxX, minY, maxY } = bounds(outline);
      return { id, count, width: maxX - minX, height: maxY - minY };
    });
    summary.push({ name: target.name, files, pages: formats.includes('pdf') ? pagesOf(parts, options).length : null, parts: sizes }); // prettier-ignore
  }
  const pupils = names.length > 0 ? await classSet(pieces, names, out, station) : null;
  const file = `${out}/summary.json`;
  station.writeFile(
    file,
    Buffer.from(`${JSON.stringify({ designs: summary, ...(pupils && { class: pupils }) }, null, 2)}\n`),
  );
  station.print(file);
  return DONE;
}
