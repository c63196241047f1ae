import { parseArgs } from 'node:util';
import { templateParts } from '../core/sheet/templateParts.ts';
import { aboutTemplate } from '../core/sheet/about.ts';
import { fileStem } from '../core/format/fileStem.ts';
import { developWhole } from '../core/piece/develop.ts';
import { DEFAULT_PAPER, PAPER_NAMES, type PaperName } from '../core/sheet/paper.ts';
import { LENGTH_UNITS, type LengthUnit } from '../core/units/lengthUnit.ts';
import { TEMPLATE_FORMATS, type TemplateFormat } from '../print/templateFormat.ts';
import { dryFiles } from './dryFile.ts';
import { flattenFile } from './flattenFile.ts';
import { learnFiles } from './learnFile.ts';
import { loadFile } from './loadFile.ts';
import { nestFile } from './nestFile.ts';
import { planFiles } from './planFile.ts';
import { readTargets } from './readTargets.ts';
import type { Station } from './station.ts';

/** Exit codes: 0 done, 2 bad input or bad call. */
const DONE = 0;
const BAD_INPUT = 2;

const USAGE = `Fawn Table, the command line

  npm run -s fawn -- develop FILE...
      develops each target and prints the result as JSON, one line a file; - reads standard input
  npm run -s fawn -- sheet FILE... [--out DIR] [--formats svg,pdf,dxf] [--paper a4|letter] [--units mm|cm|inch]
      writes templates at true size and prints their paths

  npm run -s fawn -- nest FILE [--seconds N]
      lays parts on the shortest slab that is found in N seconds (30) and prints the layout as JSON

  npm run -s fawn -- flatten FILE.obj [--thickness T] [--side hump|slump]
      lays a mesh in mm flat, or the middle of a slab of T mm on it, and prints it as JSON
  npm run -s fawn -- dry FILE...
      follows the parts of each file as they dry and prints moistures and times as JSON, one line a file

  npm run -s fawn -- plan FILE...
      plans the steps of many pieces for one pair of hands and prints when each is done as JSON, one line a file

  npm run -s fawn -- learn FILE...
      learns a clay's shrinkage and neutral fraction from what was measured and prints them as JSON, one line a file

  npm run -s fawn -- load FILE
      loads a kiln's shelves and prints what stands where, and what is left, as JSON

Bad input: exit code 2 and one line a fault, and nothing is written.`;

function developFiles(files: readonly string[], station: Station): number {
  const targets = readTargets(files, station);
  if (!targets) return BAD_INPUT;
  for (const { target } of targets) station.print(JSON.stringify(developWhole(target)));
  return DONE;
}

interface SheetCall {
  readonly out: string;
  readonly formats: readonly TemplateFormat[];
  readonly paper: PaperName;
  readonly units: LengthUnit;
}

/** One value out of a list, or a complaint. */
function chosen<T extends string>(name: string, value: string, offered: readonly T[], station: Station): T | null {
  const found = offered.find((one) => one === value);
  if (found === undefined) station.complain(`--${name}: ${value}: must be ${offered.join(' or ')}`);
  return found ?? null;
}

function readSheetCall(values: Record<string, string | undefined>, station: Station): SheetCall | null {
  const formats = (values['formats'] ?? TEMPLATE_FORMATS.join(','))
    .split(',')
    .map((format) => chosen('formats', format.trim(), TEMPLATE_FORMATS, station));
  const paper = chosen('paper', values['paper'] ?? DEFAULT_PAPER, PAPER_NAMES, station);
  const units = chosen('units', values['units'] ?? 'mm', LENGTH_UNITS, station);
  const good = formats.filter((format) => format !== null);
  if (good.length !== formats.length || !paper || !units) return null;
  return { out: values['out'] ?? '.', formats: [...new Set(good)], paper, units };
}

async function writeSheets(files: readonly string[], call: SheetCall, station: Station): Promise<number> {
  const targets = readTargets(files, station);
  if (!targets) return BAD_INPUT;
  // Loaded here, so that `develop` need not wait for the PDF writer.
  const { writeTemplate } = await import('../print/writeTemplate.ts');
  const used = new Map<string, number>();
  for (const { target } of targets) {
    const { parts } = developWhole(target);
    const stem = fileStem(target.name);
    const times = (used.get(stem) ?? 0) + 1;
    used.set(stem, times);
    for (const format of call.formats) {
      const file = `${call.out}/${times > 1 ? `${stem}-${times}` : stem}.${format}`;
      const style = { unit: call.units };
      const options = { name: target.name, paper: call.paper, style, about: aboutTemplate(target, style, null) };
      station.writeFile(file, await writeTemplate(templateParts(target, parts), format, options));
      station.print(file);
    }
  }
  return DONE;
}

/**
 * Runs one command of the command line.
 *
 * @param args what stands behind `fawn --`
 * @returns the exit code: 0 done, 2 bad input or a call that is not understood (usage goes to standard error)
 */
export async function runCommand(args: readonly string[], station: Station): Promise<number> {
  const text = { type: 'string' } as const;
  let parsed;
  try {
    parsed = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        out: text,
        formats: text,
        paper: text,
        units: text,
        seconds: text,
        thickness: text,
        side: text,
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    station.complain(error instanceof Error ? error.message : String(error));
    return BAD_INPUT;
  }
  const [command, ...files] = parsed.positionals;
  if (parsed.values.help) {
    station.print(USAGE);
    return DONE;
  }
  if (files.length > 0 && command === 'develop') return developFiles(files, station);
  if (files.length > 0 && command === 'sheet') {
    const call = readSheetCall(parsed.values as Record<string, string | undefined>, station);
    return call ? writeSheets(files, call, station) : BAD_INPUT;
  }
  if (files.length === 1 && command === 'nest') return nestFile(files[0] as string, parsed.values.seconds, station);
  if (files.length === 1 && command === 'flatten') return flattenFile(files[0] as string, parsed.values, station);
  if (files.length > 0 && command === 'dry') return dryFiles(files, station);
  if (files.length > 0 && command === 'plan') return planFiles(files, station);
  if (files.length > 0 && command === 'learn') return learnFiles(files, station);
  if (files.length === 1 && command === 'load') return loadFile(files[0] as string, station);
  station.complain(USAGE);
  return BAD_INPUT;
}
