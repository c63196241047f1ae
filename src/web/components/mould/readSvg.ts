import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { drawingOf, type DrawingReading, type DrawnLine } from '../../../core/files/drawn/drawnLines.ts';
import { pathLines, TooManyPoints } from './pathLines.ts';

const LONGEST = { file: 2_000_000, path: 200_000, shapes: 1000, deep: 200 } as const;

/** Size of one px of a drawing that names no other unit (mm). */
const PX = 25.4 / 96;

const refused = (rule: string): DrawingReading => ({ kind: 'refused', rule });

type Attributes = Readonly<Record<string, string>>;

/** A shape as it stands in the file, with the transforms of itself and the groups round it, the outermost first. */
interface Shape {
  readonly name: string;
  readonly attributes: Attributes;
  readonly transforms: readonly string[];
}

/** Mm in one unit of the drawing: by its width and its view box, else px. */
function unitOf(svg: Attributes): number {
  const width = /^\s*([\d.]+)\s*(mm|cm|in|px)?\s*$/.exec(svg['width'] ?? '');
  const box = (svg['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const each = { mm: 1, cm: 10, in: 25.4, px: PX }[width?.[2] ?? 'px'] ?? PX;
  const across = box[2];
  if (width && across && across > 0) return (Number(width[1]) * each) / across;
  return width ? each : PX;
}

/** Any shape as path data. */
function dataOf({ name, attributes }: Shape): string {
  const figure = (key: string) => Number.parseFloat(attributes[key] ?? '0') || 0;
  switch (name) {
    case 'path':
      return attributes['d'] ?? '';
    case 'line':
      return `M${figure('x1')} ${figure('y1')}L${figure('x2')} ${figure('y2')}`;
    case 'polyline':
      return `M${attributes['points'] ?? ''}`;
    case 'polygon':
      return `M${attributes['points'] ?? ''}Z`;
    case 'rect': {
      const [x, y, width, height] = ['x', 'y', 'width', 'height'].map(figure);
      return `M${x} ${y}h${width}v${height}h-${width}Z`;
    }
    default: {
      const [cx, cy] = [figure('cx'), figure('cy')];
      const rx = name === 'circle' ? figure('r') : figure('rx');
      const ry = name === 'circle' ? rx : figure('ry');
      return `M${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}Z`;
    }
  }
}

const SHAPES: readonly string[] = ['path', 'line', 'polyline', 'polygon', 'rect', 'circle', 'ellipse'];

/** Elements that are not drawn themselves. */
const HIDDEN: readonly string[] = ['defs', 'clipPath', 'mask', 'pattern', 'marker', 'symbol'];

/** The name of an element without its prefix. */
const plainName = (name: string) => name.slice(name.indexOf(':') + 1);

/** The root of a drawing and its shapes; null where it is no sound XML, or no SVG. */
function shapesIn(text: string): { readonly svg: Attributes; readonly shapes: readonly Shape[] } | null {
  const shapes: Shape[] = [];
  const open: SaxesTagPlain[] = [];
  let svg: Attributes | null = null;
  let sound = true;
  const parser = new SaxesParser();
  parser.on('error', () => (sound = false));
  parser.on('opentag', (tag) => {
    open.push(tag);
    const name = plainName(tag.name);
    if (!svg && name === 'svg') svg = tag.attributes;
    if (open.length > LONGEST.deep) sound = false;
    if (!svg || shapes.length > LONGEST.shapes || !SHAPES.includes(name)) return;
    if (open.some((one) => HIDDEN.includes(plainName(one.name)))) return;
    const transforms = open.flatMap(({ attributes }) => attributes['transform'] ?? []);
    shapes.push({ name, attributes: tag.attributes, transforms });
  });
  parser.on('closetag', () => void open.pop());
  parser.write(text).close();
  return sound && svg ? { svg, shapes } : null;
}

/**
 * Reads the lines of an SVG drawing: paths, polygons, circles and the like, as their groups move and turn them. Only their
 * figures are looked at: nothing in the file is shown, followed or run.
 */
export function readSvg(text: string): DrawingReading {
  if (text.length > LONGEST.file) return refused('is too large to be read');
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) return refused('declares entities, which are not read');
  const found = shapesIn(text.replace(/^\uFEFF/, ''));
  if (!found) return refused('is not sound SVG');
  const { svg, shapes } = found;
  if (shapes.length === 0) return refused('has no lines');
  if (shapes.length > LONGEST.shapes) return refused(`has more than ${LONGEST.shapes} lines`);
  const unit = unitOf(svg);
  const lines: DrawnLine[] = [];
  try {
    for (const shape of shapes) {
      const data = dataOf(shape);
      if (data.length > LONGEST.path) return refused('has too long a line');
      const read = pathLines(data, shape.transforms, unit);
      if (!read) return refused(`has a ${shape.name} whose figures are not sound`);
      lines.push(...read);
    }
  } catch (error) {
    if (error instanceof TooManyPoints) return refused('has too many points');
    throw error;
  }
  return drawingOf(lines);
}
