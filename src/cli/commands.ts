import { parseArgs } from 'node:util';
import { developWhole } from '../core/piece/develop.ts';
import { dryFiles } from './dryFile.ts';
import { flattenFile } from './flattenFile.ts';
import { learnFiles } from './learnFile.ts';
import { loadFile } from './loadFile.ts';
import { nestFile } from './nestFile.ts';
import { planFiles } from './planFile.ts';
import { readTargets } from './readTargets.ts';
import { sheetFiles } from './sheetFiles.ts';
import type { Station } from './station.ts';

/** Exit codes: 0 done, 2 bad input or bad call. */
const DONE = 0;
const BAD_INPUT = 2;

const USAGE = `Fawn Table, the command line

  npm run -s fawn -- develop FILE...
      develops each target and prints the result as JSON, one line a file; - reads standard input
  npm run -s fawn -- sheet FILE|FOLDER... [--out DIR] [--formats svg,pdf,dxf,png,plt,stl,former,mould,frame-pdf,card,csv]
      [--units mm|cm|inch] [--paper a4|letter|legal|a3|tabloid] [--roll 610] [--thin] [--printer 0.973x0.991] [--dpi 300]
      [--offset 0.5] [--clearance 0.5] [--class names.csv]
      writes templates at true size and a summary, and prints their paths; --thin: lines half as wide; --roll: paper of that width (mm) in place of
      sheets; --printer: printed over true length along the
      short and the long edge of the sheet; --dpi: of a PNG; --offset: mm that a drag knife's tip trails, in a plot file; stl: a
      cutter for each part; former, mould: as STL, a former smaller by --clearance; frame-pdf, frame-svg, frame-dxf: the mould as it is
      sawn of wood; csv: the cut list; --class: a card and
      templates for each name, in class.pdf

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

/**
 * Runs one command of the command line.
 *
 * @param args the words after `fawn --`
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
        printer: text,
        dpi: text,
        offset: text,
        clearance: text,
        roll: text,
        thin: { type: 'boolean' },
        class: text,
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
  if (files.length > 0 && command === 'sheet') return sheetFiles(files, parsed.values, station);
  if (files.length === 1 && command === 'nest') return nestFile(files[0] as string, parsed.values.seconds, station);
  if (files.length === 1 && command === 'flatten') return flattenFile(files[0] as string, parsed.values, station);
  if (files.length > 0 && command === 'dry') return dryFiles(files, station);
  if (files.length > 0 && command === 'plan') return planFiles(files, station);
  if (files.length > 0 && command === 'learn') return learnFiles(files, station);
  if (files.length === 1 && command === 'load') return loadFile(files[0] as string, station);
  station.complain(USAGE);
  return BAD_INPUT;
}
