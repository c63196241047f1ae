import { area, bounds } from '../../../core/geometry/outline/outline.ts';
import { drawnLines } from '../../../core/files/drawn/drawnLines.ts';
import { writeSvg } from '../../../core/files/format/svg.ts';
import { developWhole } from '../../../core/piece/develop.ts';
import { newTarget } from '../../../core/target/target.ts';
import { sheetOf } from '../../../core/files/sheet/sheet.ts';
import { readSvg } from './readSvg.ts';

const svg = (inside: string, head = 'width="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
const closedIn = (text: string) => {
  const reading = readSvg(text);
  if (reading.kind === 'refused') throw new Error(reading.rule);
  return drawnLines(reading.lines).closed;
};
const SQUARE = '<rect x="10" y="10" width="40" height="20"/>';

describe('an SVG drawing', () => {
  it.each([
    ['a rectangle', svg(SQUARE), 800],
    ['a circle', svg('<circle cx="50" cy="50" r="10"/>'), 100 * Math.PI],
    ['an ellipse', svg('<ellipse cx="50" cy="50" rx="20" ry="10"/>'), 200 * Math.PI],
    ['a polygon', svg('<polygon points="0,0 10,0 10,10"/>'), 50],
    [
      'a path with curves',
      svg('<path d="M40 50C40 55.5228 44.4772 60 50 60S60 55.5228 60 50S55.5228 40 50 40S40 44.4772 40 50Z"/>'),
      100 * Math.PI,
    ],
    ['inches', svg(SQUARE, 'width="1in" viewBox="0 0 100 100"'), 800 * 0.254 ** 2],
    ['centimetres', svg(SQUARE, 'width="10cm" viewBox="0 0 100 100"'), 800],
    ['px, where it names no unit', svg(SQUARE, 'viewBox="0 0 100 100"'), 800 * (25.4 / 96) ** 2],
    [
      'nested groups that move, turn and scale',
      svg(`<g transform="translate(5 5) rotate(30)"><g transform="scale(2)">${SQUARE}</g></g>`),
      3200,
    ],
    [
      'a mark before it, a head and Windows lines',
      `\uFEFF<?xml version="1.0"?>\r\n<!-- drawn -->\r\n${svg(`\r\n${SQUARE}\r\n`)}`,
      800,
    ],
    [
      'a prefix',
      `<s:svg xmlns:s="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100"><s:rect x="10" y="10" width="40" height="20"/></s:svg>`,
      800,
    ],
    [
      'patterns and symbols that are not drawn',
      svg(`<defs><circle r="40"/></defs><symbol>${SQUARE}</symbol>${SQUARE}`),
      800,
    ],
    ['text and pictures passed over', svg(`<text>A leaf</text><image href="http://elsewhere/x.png"/>${SQUARE}`), 800],
  ] as [string, string, number][])('with %s has its size', (_, text, size) => {
    const [first, ...more] = closedIn(text);
    expect(more).toEqual([]);
    expect(area(first ?? []) / size).toBeCloseTo(1, 3);
  });

  it('that this program wrote gives back the cut lines that it was written from', () => {
    const { parts } = developWhole(newTarget('Rack tumbler'));
    const closed = closedIn(writeSvg(sheetOf('x', parts, { style: { unit: 'mm' } })));
    for (const { outline } of parts) {
      const { minX, maxX, minY, maxY } = bounds(outline);
      const same = closed.filter((line) => {
        const box = bounds(line);
        return (
          Math.abs(box.maxX - box.minX - (maxX - minX)) < 0.05 && Math.abs(box.maxY - box.minY - (maxY - minY)) < 0.05
        );
      });
      expect(same.length).toBeGreaterThan(0);
      expect(area(same[0] ?? []) / area(outline)).toBeCloseTo(1, 3);
    }
  });

  it.each([
    ['nothing', '', /not sound/],
    ['prose', 'a leaf for butter', /not sound/],
    ['half a file', svg(SQUARE).slice(0, 90), /not sound/],
    ['no lines', svg('<text>x</text>'), /no lines/],
    ['a path without lines', svg('<path d="M3 3"/>'), /no lines/],
    ['a corner 10 km away', svg('<path d="M0 0L90 0L10454545 90Z"/>'), /more than 5 m across/],
    ['entities', `<!DOCTYPE svg [<!ENTITY a "b">]>${svg(SQUARE)}`, /entities/],
    ['a path that is not sound', svg('<path d="M0 0 banana"/>'), /path whose figures are not sound/],
    ['a flood of lines', svg(SQUARE.repeat(1001)), /more than 1000/],
    ['a thousand groups', svg('<g>'.repeat(1000) + SQUARE + '</g>'.repeat(1000)), /not sound/],
    ['a huge file', svg(' '.repeat(2_000_001)), /too large/],
  ])('of %s is refused in plain words', (_, text, rule) => {
    const reading = readSvg(text);
    expect(reading.kind === 'refused' && reading.rule).toMatch(rule);
  });
});
