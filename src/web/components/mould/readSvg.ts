import type { DrawnLine } from '../../../core/drawn/drawnLines.ts';
import type { DrawingReading } from '../../../core/drawn/readDxf.ts';
import { pathLines, TooManyPoints } from './pathLines.ts';

const LONGEST = { file: 2_000_000, path: 200_000, shapes: 1000 } as const;

/** Size of one px of a drawing that names no other unit (mm). */
const PX = 25.4 / 96;

const refused = (rule: string): DrawingReading => ({ kind: 'refused', rule });

/** Mm in one unit of the drawing: by its width and its view box, else px. */
function unitOf(svg: Element): number {
  const width = /^\s*([\d.]+)\s*(mm|cm|in|px)?\s*$/.exec(svg.getAttribute('width') ?? '');
  const box = (svg.getAttribute('viewBox') ?? '').trim().split(/[\s,]+/).map(Number); // prettier-ignore
  const each = { mm: 1, cm: 10, in: 25.4, px: PX }[width?.[2] ?? 'px'] ?? PX;
  const across = box[2];
  if (width && across && across > 0) return (Number(width[1]) * each) / across;
  return width ? each : PX;
}

/** Any shape as path data. */
function dataOf(shape: Element): string {
  const figure = (name: string) => Number.parseFloat(shape.getAttribute(name) ?? '0') || 0;
  switch (shape.localName) {
    case 'path':
      return shape.getAttribute('d') ?? '';
    case 'line':
      return `M${figure('x1')} ${figure('y1')}L${figure('x2')} ${figure('y2')}`;
    case 'polyline':
      return `M${shape.getAttribute('points') ?? ''}`;
    case 'polygon':
      return `M${shape.getAttribute('points') ?? ''}Z`;
    case 'rect': {
      const [x, y, width, height] = ['x', 'y', 'width', 'height'].map(figure);
      return `M${x} ${y}h${width}v${height}h-${width}Z`;
    }
    default: {
      const [cx, cy] = [figure('cx'), figure('cy')];
      const rx = shape.localName === 'circle' ? figure('r') : figure('rx');
      const ry = shape.localName === 'circle' ? rx : figure('ry');
      return `M${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}Z`;
    }
  }
}

/** Transforms of a shape and the groups round it, the outermost first. */
function transformsOf(shape: Element): string[] {
  const transforms: string[] = [];
  for (let at: Element | null = shape; at; at = at.parentElement) {
    const transform = at.getAttribute('transform');
    if (transform) transforms.unshift(transform);
  }
  return transforms;
}

/** What is not drawn itself. */
const HIDDEN = 'defs, clipPath, mask, pattern, marker, symbol';

/**
 * Reads the lines of an SVG drawing: paths, polygons, circles and the like, as their groups move and turn them. Only their
 * figures are looked at: nothing in the file is shown, followed or run.
 */
export function readSvg(text: string): DrawingReading {
  if (text.length > LONGEST.file) return refused('is too large to be read');
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) return refused('declares entities, which are not read');
  const page = new DOMParser().parseFromString(text, 'image/svg+xml');
  const svg = page.querySelector('svg');
  if (page.querySelector('parsererror') || !svg) return refused('is not sound SVG');
  const shapes = [...page.querySelectorAll('path, line, polyline, polygon, rect, circle, ellipse')].filter(
    (shape) => !shape.closest(HIDDEN),
  );
  if (shapes.length === 0) return refused('has no lines');
  if (shapes.length > LONGEST.shapes) return refused(`has more than ${LONGEST.shapes} lines`);
  const unit = unitOf(svg);
  const lines: DrawnLine[] = [];
  try {
    for (const shape of shapes) {
      const data = dataOf(shape);
      if (data.length > LONGEST.path) return refused('has too long a line');
      const found = pathLines(data, transformsOf(shape), unit);
      if (!found) return refused(`has a ${shape.localName} whose figures are not sound`);
      lines.push(...found);
    }
  } catch (error) {
    if (error instanceof TooManyPoints) return refused('has too many points');
    throw error;
  }
  const sound = lines.every(({ vertices }) => vertices.every((vertex) => vertex.every(Number.isFinite)));
  if (!sound) return refused('has figures that are no numbers');
  return { kind: 'lines', lines };
}
