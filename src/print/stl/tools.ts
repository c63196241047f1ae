import { FaultError } from '../../core/errors.ts';
import type { Part } from '../../core/parts/part/part.ts';
import type { Target } from '../../core/target/target.ts';
import { CLEARANCE, type ToolFormat } from '../../core/files/sheet/templateFormat.ts';
import { formerOf } from '../../core/files/tool/former.ts';
import { mouldTool, type Tool } from '../../core/files/tool/mouldTool.ts';
import { noTool } from '../../core/files/tool/noTool.ts';
import { cutterOf } from './cutter.ts';
import { readSolid } from './readBackStl.ts';
import { writeStl } from './writeStl.ts';

/** Volume in the file over that of the tool, less 1: at most this. */
const VOLUME_TOLERANCE = 0.001;

/** Options of a tool. */
export interface ToolOptions {
  /** Of a cutter: the part by its id. */
  readonly part?: string;
  /** Of a former (mm). */
  readonly clearance?: number;
}

function impossible(path: string, rule: string): FaultError {
  return new FaultError([{ code: 'impossible-piece', path, value: 'stl', rule }]);
}

function made(
  target: Target,
  parts: readonly Part[],
  {
    format,
    options: { part: id = '', clearance = CLEARANCE.usual },
  }: { readonly format: ToolFormat; readonly options: ToolOptions },
): Tool {
  switch (format) {
    case 'cutter': {
      const part = parts.find((one) => one.id === id && one.role !== 'paper');
      if (!part) throw impossible('part', `has no part “${id}” that a cutter is made for`);
      return cutterOf(part);
    }
    case 'former': {
      const former = formerOf(target, clearance);
      if (former.kind === 'refused') throw impossible('form', former.rule);
      return former.tool;
    }
    case 'mould':
      if (target.form.kind !== 'mould') throw impossible('form', noTool(target, 'mould') ?? '');
      return mouldTool(target.form, target.form.side);
  }
}

/**
 * A tool as an STL, in mm, read back before it is handed over: closed, no triangle inside out, its volume within 0.1 % of what
 * its lines give.
 *
 * @throws FaultError where the piece has no such tool, or the file measures otherwise
 */
export function writeTool(
  target: Target,
  parts: readonly Part[],
  { format, title, options }: { readonly format: ToolFormat; readonly title: string; readonly options: ToolOptions },
): Buffer {
  const { mesh, volume } = made(target, parts, { format, options });
  const bytes = writeStl(title, mesh);
  const read = readSolid(bytes);
  const path = options.part ?? 'form';
  if (read.kind === 'open') throw impossible(path, `${read.rule} in the STL file, which is not handed over`);
  if (!(Math.abs(read.volume / volume - 1) <= VOLUME_TOLERANCE))
    throw impossible(path, 'measures differently in the STL file, which is not handed over');
  return bytes;
}
