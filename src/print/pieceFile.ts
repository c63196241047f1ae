import { fileStem } from '../core/files/format/fileStem.ts';
import { developWhole } from '../core/piece/develop.ts';
import type { Target } from '../core/target/target.ts';
import { aboutTemplate } from '../core/files/sheet/about.ts';
import { aboutFrame, frameParts } from '../core/files/tool/frame.ts';
import { noTool } from '../core/files/tool/noTool.ts';
import { FaultError } from '../core/errors.ts';
import { TEMPLATE_TYPES, type PieceFormat } from '../core/files/sheet/templateFormat.ts';
import { templateParts } from '../core/files/sheet/templateParts.ts';
import { writeCutList } from './cutList.ts';
import { writeTool, type ToolOptions } from './stl/tools.ts';
import { writeCard } from './writeCard.ts';
import { writeTemplate, type TemplateOptions } from './writeTemplate.ts';

/** Options of a file of a piece. */
export interface FileOptions extends Omit<TemplateOptions, 'name' | 'about' | 'checked'>, ToolOptions {
  readonly revision?: number | null;
}

/** A file of a piece, its name made of the piece's. */
export interface PieceFile {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/**
 * Any file of a piece as its bytes: the screen, the API and the command line come through here.
 *
 * @throws FaultError where there is no such file of the piece, or it measures otherwise than it was developed
 */
export async function pieceFile(
  target: Target,
  format: PieceFormat,
  { revision = null, part, clearance, ...rest }: FileOptions,
): Promise<PieceFile> {
  const stem = fileStem(target.name);
  const { parts } = developWhole(target);
  const about = aboutTemplate(target, rest.style, revision);
  switch (format) {
    case 'card':
      return { name: `${stem}-card.pdf`, type: TEMPLATE_TYPES.pdf, bytes: await writeCard(target, { about, ...rest }) };
    case 'csv':
      return {
        name: `${stem}-cut-list.csv`,
        type: 'text/csv',
        bytes: Buffer.from(writeCutList([{ name: target.name, parts }])),
      };
    case 'cutter':
    case 'former':
    case 'mould': {
      const name = [stem, ...(format === 'cutter' && part ? [fileStem(part)] : []), format].join('-');
      return {
        name: `${name}.stl`,
        type: 'model/stl',
        bytes: writeTool(target, parts, { format, title: name, options: { part, clearance } as ToolOptions }),
      };
    }
    case 'frame-pdf':
    case 'frame-svg':
    case 'frame-dxf': {
      const without = noTool(target, format);
      if (without !== null || target.form.kind !== 'mould')
        throw new FaultError([{ code: 'impossible-piece', path: 'format', value: format, rule: without ?? '' }]);
      const kind = format.replace('frame-', '') as 'pdf' | 'svg' | 'dxf';
      const options: TemplateOptions = { name: `${target.name} frame`, about: aboutFrame(target, rest.style), ...rest };
      return {
        name: `${stem}-frame.${kind}`,
        type: TEMPLATE_TYPES[kind],
        bytes: await writeTemplate(frameParts(target.form), kind, options),
      };
    }
    default: {
      const options: TemplateOptions = { name: target.name, about, ...rest };
      return {
        name: `${stem}.${format}`,
        type: TEMPLATE_TYPES[format],
        bytes: await writeTemplate(templateParts(target, parts), format, options),
      };
    }
  }
}
