import { faultLine, FaultError } from '../core/errors.ts';
import { aboutTemplate } from '../core/files/sheet/about.ts';
import { bounds } from '../core/geometry/outline/outline.ts';
import { developWhole } from '../core/piece/develop.ts';
import { pagesOf, type PageOptions } from '../core/files/sheet/pages.ts';
import { DEFAULT_PAPER, PAPER_NAMES, ROLL_LIMITS, type PaperName } from '../core/studio/printer/paper.ts';
import { SCALE_LIMITS, type CheckedPrinter } from '../core/studio/printer/printerCheck.ts';
import {
  CLEARANCE,
  DEFAULT_DPI,
  DPI_LIMITS,
  FRAME_FORMATS,
  OFFSET_LIMITS,
  TEMPLATE_FORMATS,
  type PieceFormat,
} from '../core/files/sheet/templateFormat.ts';
import { templateParts } from '../core/files/sheet/templateParts.ts';
import { LENGTH_UNITS, type LengthUnit } from '../core/units/lengthUnit.ts';
import type { Target } from '../core/target/target.ts';
import { noTool } from '../core/files/tool/noTool.ts';
import { classSet, readNames } from './classSet.ts';
import { readTargets } from './readTargets.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** The default formats, and all formats: `stl` is a cutter for each part. */
const USUAL = 'pdf,svg,dxf';
const FORMATS = [...TEMPLATE_FORMATS, 'stl', 'former', 'mould', ...FRAME_FORMATS, 'card', 'csv'] as const;
type Format = (typeof FORMATS)[number];

/** The options of the call that say how templates are written. */
type Values = Readonly<
  Partial<
    Record<
      'out' | 'formats' | 'paper' | 'units' | 'printer' | 'dpi' | 'offset' | 'clearance' | 'roll' | 'class',
      string
    > & { thin: boolean }
  >
>;

interface SheetCall {
  readonly out: string;
  readonly formats: readonly Format[];
  readonly paper: PaperName;
  readonly units: LengthUnit;
  readonly printer?: CheckedPrinter;
  readonly dpi: number;
  readonly offset: number;
  readonly clearance: number;
  readonly roll?: number;
  readonly thin?: boolean;
}

/** One value out of a list, or a complaint. */
function chosen<T extends string>(
  name: string,
  { value, offered, station }: { readonly value: string; readonly offered: readonly T[]; readonly station: Station },
): T | null {
  const found = offered.find((one) => one === value);
  if (found === undefined) station.complain(`--${name}: ${value}: must be ${offered.join(' or ')}`);
  return found ?? null;
}

/** A figure within limits, or a complaint. */
function figure(
  name: string,
  value: string,
  {
    bounds: { least, greatest },
    station,
  }: { readonly bounds: { least: number; greatest: number }; readonly station: Station },
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
  const sound = (one: number | undefined): one is number =>
    one !== undefined && one >= SCALE_LIMITS.least && one <= SCALE_LIMITS.greatest;
  if (sound(short) && sound(long) && more.length === 0)
    return { name: 'the printer named in the call', paper, scale: { short, long } };
  station.complain(
    `--printer: ${value}: must be two figures from ${SCALE_LIMITS.least} to ${SCALE_LIMITS.greatest}, such as 0.973x0.991`,
  );
  return null;
}

function readCall(values: Values, station: Station): SheetCall | null {
  const formats = (values.formats ?? USUAL)
    .split(',')
    .map((format) => chosen('formats', { value: format.trim(), offered: FORMATS, station }));
  const paper = chosen('paper', { value: values.paper ?? DEFAULT_PAPER, offered: PAPER_NAMES, station });
  const units = chosen('units', { value: values.units ?? 'mm', offered: LENGTH_UNITS, station });
  const dpi = figure('dpi', values.dpi ?? String(DEFAULT_DPI), { bounds: DPI_LIMITS, station });
  const offset = figure('offset', values.offset ?? '0', { bounds: OFFSET_LIMITS, station });
  const clearance = figure('clearance', values.clearance ?? String(CLEARANCE.usual), { bounds: CLEARANCE, station });
  const roll = values.roll === undefined ? undefined : figure('roll', values.roll, { bounds: ROLL_LIMITS, station });
  const printer = printerOf(values.printer, paper ?? DEFAULT_PAPER, station);
  const good = formats.filter((format) => format !== null);
  if (
    good.length !== formats.length ||
    !paper ||
    !units ||
    dpi === null ||
    offset === null ||
    clearance === null ||
    roll === null ||
    printer === null
  )
    return null;
  return {
    out: values.out ?? '.',
    formats: [...new Set(good)],
    paper,
    units,
    dpi,
    offset,
    clearance,
    ...(roll && { roll }),
    ...(values.thin && { thin: true }),
    ...(printer && { printer }),
  };
}

/** A design in the summary: the files that were written, its pages, and its parts by their sizes (mm). */
interface Summed {
  readonly name: string;
  readonly files: readonly string[];
  readonly pages: number | null;
  readonly parts: readonly {
    readonly id: string;
    readonly count: number;
    readonly width: number;
    readonly height: number;
  }[];
}

/** The files of a design in the requested formats: cutters one by one; a tool that it does not have is reported and left out. */
function filesOf(
  formats: readonly Format[],
  target: Target,
  station: Station,
): { readonly format: PieceFormat; readonly part?: string }[] {
  return formats.flatMap((format): { readonly format: PieceFormat; readonly part?: string }[] => {
    if (format === 'stl') return developWhole(target).parts.map(({ id }) => ({ format: 'cutter', part: id }));
    const without = noTool(target, format);
    if (without) station.complain(`${target.name}: ${without}: no file of it`);
    return without ? [] : [{ format }];
  });
}

/** A file whose measured lines differ from the development is reported, and not written. */
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
  const { pieceFile } = await import('../print/pieceFile.ts');
  const { out, formats, units, ...rest } = call;
  const used = new Map<string, number>();
  const summary: Summed[] = [];
  const pieces: { target: Target; options: PageOptions }[] = [];
  for (const { target } of targets) {
    const parts = templateParts(target, developWhole(target).parts);
    const style = { unit: units };
    const options = { name: target.name, style, about: aboutTemplate(target, style, null), ...rest };
    pieces.push({ target, options });
    const files: string[] = [];
    for (const { format, part } of filesOf(formats, target, station)) {
      const made = await pieceFile(target, format, { style, ...rest, ...(part !== undefined && { part }) }).catch(
        (error: unknown) => notTrue(target.name, error, station),
      );
      if (!made) return BAD_INPUT;
      const times = (used.get(made.name) ?? 0) + 1;
      used.set(made.name, times);
      const file = `${out}/${times > 1 ? made.name.replace(/(\.[a-z]+)$/, `-${times}$1`) : made.name}`;
      station.writeFile(file, made.bytes);
      station.print(file);
      files.push(file);
    }
    const sizes = parts.map(({ id, count, outline }) => {
      const { minX, maxX, minY, maxY } = bounds(outline);
      return { id, count, width: maxX - minX, height: maxY - minY };
    });
    const pages = formats.includes('pdf') ? pagesOf(parts, options).length : null;
    summary.push({ name: target.name, files, pages, parts: sizes });
  }
  const pupils = names.length > 0 ? await classSet(pieces, names, { out, station }) : null;
  const file = `${out}/summary.json`;
  station.writeFile(
    file,
    Buffer.from(`${JSON.stringify({ designs: summary, ...(pupils && { class: pupils }) }, null, 2)}\n`),
  );
  station.print(file);
  return DONE;
}
