import { area, bounds, edgeAt, edges, mirrored, moved, validateOutline, vertexAt, type Outline } from './outline.ts';
import { circle, rectangle } from './shapes.ts';

const QUARTER = Math.tan(Math.PI / 8);
/** A quarter disc of radius 10 with its corner at the origin. */
const quarter: Outline = [
  [0, 0, 0],
  [10, 0, QUARTER],
  [0, 10, 0],
];

describe('outlines', () => {
  it.each([
    ['a rectangle', rectangle(30, 20), 600, 100, [0, 0, 30, 20]],
    ['a circle', circle(20), Math.PI * 100, Math.PI * 20, [-10, -10, 10, 10]],
    ['a quarter disc', quarter, (Math.PI * 100) / 4, 20 + (Math.PI * 10) / 2, [0, 0, 10, 10]],
  ] as const)('measures %s exactly, arcs as arcs', (_, outline, wantedArea, girth, box) => {
    expect(area(outline)).toBeCloseTo(wantedArea, 9);
    expect(edges(outline).reduce((sum, edge) => sum + edge.length, 0)).toBeCloseTo(girth, 9);
    const { minX, minY, maxX, maxY } = bounds(outline);
    [minX, minY, maxX, maxY].forEach((value, index) => expect(value).toBeCloseTo(box[index] ?? NaN, 9));
    expect(validateOutline(outline)).toEqual([]);
  });

  it('finds radius and centre of an arc', () => {
    const edge = edgeAt(quarter, 1);
    expect(edge.radius).toBeCloseTo(10, 9);
    expect(edge.centre?.[0]).toBeCloseTo(0, 9);
    expect(edge.centre?.[1]).toBeCloseTo(0, 9);
  });

  it('mirrors without changing area, girth or turning', () => {
    const turned = mirrored(moved(quarter, 3, 4));
    expect(area(turned)).toBeCloseTo(area(quarter), 9);
    expect(validateOutline(turned)).toEqual([]);
    expect(bounds(turned).minX).toBeCloseTo(-13, 9);
    expect(area(mirrored(turned))).toBeCloseTo(area(quarter), 9);
  });

  it('counts vertices round the outline', () => {
    expect(vertexAt(quarter, -1)).toBe(quarter[2]);
    expect(vertexAt(quarter, 4)).toBe(quarter[1]);
    expect(() => vertexAt([], 0)).toThrow(RangeError);
  });

  it.each([
    ['one vertex', [[0, 0, 0]], 'fewer than two'],
    ['clockwise', [...rectangle(5, 5)].reverse(), 'counter-clockwise'],
    ['a repeated point', [[0, 0, 0], ...rectangle(5, 5)], 'repeats'],
    [
      'no number',
      [
        [0, 0, 0],
        [NaN, 0, 0],
        [1, 1, 0],
      ],
      'not a number',
    ],
  ] as const)('says what is wrong with %s', (_, outline, words) => {
    expect(validateOutline(outline as Outline).join()).toContain(words);
  });
});
