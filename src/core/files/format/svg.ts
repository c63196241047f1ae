import type { Layer, Primitive } from '../../studio/printer/drawing.ts';
import type { PlacedPart, Sheet } from '../sheet/sheet.ts';
import { pathData, plain } from './pathData.ts';

/** Makes any text safe inside XML. Characters that XML forbids are dropped. */
export function xmlText(text: string): string {
  const allowed = [...text].filter((sign) => sign >= ' ' || sign === '\t').join('');
  return allowed.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}

/** Width of thin lines, as a share of the usual width. */
const THIN = 0.5;

const styleOf = (by: number) => `
  path, line { fill: none; stroke: #2b211c; stroke-width: ${plain(0.2 * by)}; }
  .cut { stroke-width: ${plain(0.35 * by)}; }
  .mark, .lean { stroke-width: ${plain(0.18 * by)}; stroke: #5f4638; }
  .dash { stroke-dasharray: 2 1.2; }
  .chain { stroke-dasharray: 6 1.5 1 1.5; }
  text { font-family: "Atkinson Hyperlegible Next", sans-serif; fill: #2b211c; }
  .bold { font-weight: bold; }
`;

function classes(layer: Layer, ...more: (string | undefined)[]): string {
  return [layer, ...more].filter((name) => name).join(' ');
}

function element(item: Primitive, height: number): string {
  const x = (value: number) => plain(value);
  const y = (value: number) => plain(height - value);
  const path = ({ outline, open }: Extract<Primitive, { kind: 'path' }>) =>
    pathData(outline, { origin: [0, height], ends: open ? 'open' : 'closed' });
  switch (item.kind) {
    case 'path':
      return `<path class="${classes(item.layer, item.dash)}" d="${path(item)}"/>`;
    case 'line':
      return `<line class="${classes(item.layer, item.dash)}" x1="${x(item.from[0])}" y1="${y(item.from[1])}" x2="${x(item.to[0])}" y2="${y(item.to[1])}"/>`;
    case 'text': {
      const place = `x="${x(item.at[0])}" y="${y(item.at[1])}"`;
      const look = `font-size="${plain(item.size)}" text-anchor="${item.anchor}"`;
      return `<text class="${classes(item.layer, item.weight)}" ${place} ${look}>${xmlText(item.text)}</text>`;
    }
  }
}

function group(placed: PlacedPart, height: number): string {
  const items = placed.drawing.map((item) => `    ${element(item, height)}`).join('\n');
  return `  <g id="part-${xmlText(placed.part.id)}">\n${items}\n  </g>`;
}

/** The sheet as an SVG file in true mm: one group a part, cut lines of class `cut` (docs/format.md); thin lines are half as wide. */
export function writeSvg(sheet: Sheet, { thin = false }: { readonly thin?: boolean } = {}): string {
  const width = plain(sheet.width);
  const height = plain(sheet.height);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${xmlText(sheet.name)}</title>`,
    `  <style>${styleOf(thin ? THIN : 1)}  </style>`,
    ...sheet.parts.map((placed) => group(placed, sheet.height)),
    '</svg>',
    '',
  ].join('\n');
}
