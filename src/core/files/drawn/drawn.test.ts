import { develop } from '../../piece/develop.ts';
import { newTarget } from '../../target/target.ts';
import { area, bounds } from '../../geometry/outline/outline.ts';
import { writeDxf } from '../format/dxf.ts';
import { sheetOf } from '../sheet/sheet.ts';
import { drawnSheet } from './drawnSheet.ts';
import { backward, drawnLines, type DrawnLine } from './drawnLines.ts';
import { DXF_LIMITS, readDxf } from './readDxf.ts';

type Pair = readonly [number, string | number];
const entity = (kind: string, ...pairs: Pair[]): Pair[] => [[0, kind], [8, 'A'], ...pairs];
const dxf = (entities: readonly Pair[], unit?: number): string =>
  [
    ...(unit === undefined
      ? []
      : ([
          [0, 'SECTION'],
          [2, 'HEADER'],
          [9, '$INSUNITS'],
          [70, unit],
          [0, 'ENDSEC'],
        ] as Pair[])),
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities,
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ]
    .map(([code, value]) => `${code}\n${value}`)
    .join('\n');
const line = (x0: number, y0: number, x1: number, y1: number) => entity('LINE', [10, x0], [20, y0], [11, x1], [21, y1]);
const box = [line(0, 0, 80, 0), line(80, 50, 80, 0), line(80, 50, 0, 50), line(0, 0, 0, 50)].flat();
const circle = (x: number, y: number, radius: number) => entity('CIRCLE', [10, x], [20, y], [40, radius]);
const arc = (x: number, y: number, radius: number, from: number, to: number) =>
  entity('ARC', [10, x], [20, y], [40, radius], [50, from], [51, to]);
const read = (text: string) => {
  const reading = readDxf(text);
  if (reading.kind === 'refused') throw new Error(reading.rule);
  return drawnLines(reading.lines);
};
const rounded = (text: string) => read(text).closed.map((outline) => area(outline));

describe('a DXF drawing', () => {
  it.each([
    ['four lines in any order and direction', box, [4000]],
    ['a circle', circle(3, 4, 10), [Math.PI * 100]],
    ['an arc with its chord', [...arc(0, 0, 10, 0, 180), ...line(10, 0, -10, 0)], [Math.PI * 50]],
    [
      'an arc of more than half a circle',
      [...arc(0, 0, 10, 30, 330), ...line(8.660254, 5, 8.660254, -5)],
      [(Math.PI * 100 * 300) / 360 + 43.30127],
    ],
    [
      'a closed polyline with bulges',
      entity('LWPOLYLINE', [90, 2], [70, 1], [10, -5], [20, 0], [42, 1], [10, 5], [20, 0], [42, 1]),
      [Math.PI * 25],
    ],
    [
      'an old polyline',
      [
        ...entity('POLYLINE', [66, 1], [10, 0], [20, 0], [70, 1]),
        ...entity('VERTEX', [10, 0], [20, 0]),
        ...entity('VERTEX', [10, 30], [20, 0]),
        ...entity('VERTEX', [10, 0], [20, 20]),
        [0, 'SEQEND'] as Pair,
      ],
      [300],
    ],
    ['an ellipse', entity('ELLIPSE', [10, 5], [20, 5], [11, 40], [21, 0], [40, 0.5]), [Math.PI * 800]],
    [
      'a clockwise polyline',
      entity('LWPOLYLINE', [70, 1], [10, 0], [20, 0], [10, 0], [20, 10], [10, 10], [20, 0]),
      [50],
    ],
  ] as [string, Pair[], number[]][])('gives the area of %s', (_, entities, areas) => {
    const found = rounded(dxf(entities));
    expect(found).toHaveLength(areas.length);
    found.forEach((one, index) => expect(one / (areas[index] as number)).toBeCloseTo(1, 3));
  });

  it('takes a rational spline for the circle that it is', () => {
    const w = Math.SQRT1_2;
    const controls = [
      [10, 0, 1],
      [10, 10, w],
      [0, 10, 1],
      [-10, 10, w],
      [-10, 0, 1],
      [-10, -10, w],
      [0, -10, 1],
      [10, -10, w],
      [10, 0, 1],
    ];
    const knots = [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4];
    const pairs: Pair[] = [
      [71, 2],
      ...knots.map((knot): Pair => [40, knot]),
      ...controls.flatMap(([x = 0, y = 0, weight = 1]): Pair[] => [
        [10, x],
        [20, y],
        [41, weight],
      ]),
    ];
    const [found] = rounded(dxf(entity('SPLINE', ...pairs)));
    expect((found ?? 0) / (Math.PI * 100)).toBeCloseTo(1, 3);
  });

  it.each([
    [undefined, 80],
    [0, 80],
    [4, 80],
    [5, 800],
    [1, 2032],
  ])('in unit %p is as wide as it says', (unit, wide) => {
    const [outline = []] = read(dxf(box, unit)).closed;
    expect(bounds(outline).maxX - bounds(outline).minX).toBeCloseTo(wide, 9);
  });

  it('that this program wrote gives back the sheet that it was written from', () => {
    const target = {
      ...newTarget('leaf'),
      slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp: 'inside' as const },
      form: {
        kind: 'sheet' as const,
        outline: [
          [-60, 0, 0.3],
          [60, 0, 0.2],
        ] as const,
        holes: [
          [
            [-8, 4, 1],
            [8, 4, 1],
          ],
        ] as const,
        bend: { diameter: 120, angle: 0 },
      },
    };
    const written = writeDxf(sheetOf('leaf', develop(target).parts, { style: { unit: 'mm' } }));
    const reading = readDxf(written);
    if (reading.kind === 'refused') throw new Error(reading.rule);
    const cut = reading.lines.filter(({ closed }) => closed);
    const { closed } = drawnLines(cut);
    const areas = closed.map((outline) => area(outline)).sort((one, other) => other - one);
    expect(areas[0]).toBeCloseTo(area(target.form.outline), 3);
    expect(areas[1]).toBeCloseTo(64 * Math.PI, 3);
  });

  it.each([
    ['nothing', '', /ENTITIES/],
    ['prose', 'a leaf\nfor butter', /begins with its code/],
    ['half a file', dxf(box).slice(0, 120), /not whole/],
    ['a figure that is none', dxf(line(0, 0, NaN, 1)), /LINE without a sound figure 11/],
    ['an endless figure', dxf(entity('LWPOLYLINE', [70, 1], [10, '1e999'], [20, 0], [10, 1], [20, 1])), /for a number/],
    ['a block', dxf(entity('INSERT', [2, 'X'], [10, 0], [20, 0])), /INSERT, in which lines are hidden/],
    ['light years', dxf(box, 19), /unit that is not read/],
    ['a broken spline', dxf(entity('SPLINE', [71, 3], [40, 0], [10, 0], [20, 0])), /spline that is not whole/],
    ['a spline of the hundredth degree', dxf(entity('SPLINE', [71, 100])), /spline that is not whole/],
    ['what is drawn from behind', dxf(entity('CIRCLE', [10, 0], [20, 0], [40, 5], [230, -1])), /from behind/],
    ['lines 6 m apart', dxf([...box, ...circle(6000, 0, 9)]), /more than 5 m across/],
    ['a box in metres', dxf(box, 6), /more than 5 m across/],
    ['a very large arc', dxf(arc(0, 0, 1e9, 0, 90)), /more than 5 m across/],
    ['figures too large for their sizes', dxf(line(-1e308, 0, 1e308, 0)), /more than 5 m across/],
    ['text alone', dxf(entity('TEXT', [1, '<script>'])), /no lines/],
    [
      'a flood of entities',
      dxf(Array.from({ length: DXF_LIMITS.entities + 1 }, () => line(0, 0, 1, 1)).flat()),
      /more than 4000/,
    ],
    ['a binary file', 'AutoCAD Binary DXF\r\n\x1a\0', /binary/],
    ['a huge file', '0\n'.repeat(DXF_LIMITS.file / 2 + 1), /too large/],
  ])('of %s is refused in plain words', (_, text, words) => {
    const reading = readDxf(text);
    expect(reading.kind === 'refused' && reading.rule).toMatch(words);
  });

  it('cut off anywhere is refused or read, and never throws', () => {
    const whole = dxf([...box, ...circle(40, 25, 5), ...arc(40, 25, 9, 10, 300)], 4);
    for (let end = 0; end < whole.length; end += 7)
      expect(['lines', 'refused']).toContain(readDxf(whole.slice(0, end)).kind);
  });
});

describe('a sheet from a drawing', () => {
  const lines = (text: string): readonly DrawnLine[] => {
    const reading = readDxf(text);
    return reading.kind === 'lines' ? reading.lines : [];
  };
  it('has the largest closed line as its outline about the origin, with holes and open lines in it', () => {
    const reading = drawnSheet(
      lines(dxf([...circle(20, 20, 6), ...box, ...line(50, 10, 60, 40), ...line(60, 40, 70, 10)])),
    );
    if (reading.kind === 'refused') throw new Error(reading.rule);
    const { outline, holes, lines: open } = reading.sheet;
    expect(bounds(outline)).toEqual({ minX: -40, minY: -25, maxX: 40, maxY: 25 });
    expect(holes).toHaveLength(1);
    expect(bounds(holes?.[0] ?? [])).toEqual({ minX: -26, minY: -11, maxX: -14, maxY: 1 });
    expect(open).toEqual([
      [
        [10, -15],
        [20, 15],
        [30, -15],
      ],
    ]);
  });

  it.each([
    ['no closed line', dxf(line(0, 0, 5, 5)), /no closed line/],
    ['two sheets side by side', dxf([...box, ...circle(200, 0, 9)]), /beside one another/],
    ['a line outside', dxf([...box, ...line(200, 0, 210, 0)]), /outside the sheet/],
    ['a hole that runs over the edge', dxf([...box, ...circle(80, 25, 9)]), /beside one another/],
  ])('with %s is refused', (_, text, words) => {
    const reading = drawnSheet(lines(text));
    expect(reading.kind === 'refused' && reading.rule).toMatch(words);
  });

  it('drawn backward twice is itself, bulges and all', () => {
    for (const closed of [true, false]) {
      const drawn: DrawnLine = {
        vertices: [
          [0, 0, 0.5],
          [9, 1, -0.2],
          [4, 7, closed ? 0.1 : 0],
        ],
        closed,
      };
      const twice = backward(backward(drawn));
      expect(area(twice.vertices)).toBeCloseTo(area(drawn.vertices), 9);
      expect(area(backward({ ...drawn, closed: true }).vertices) + area(drawn.vertices)).toBeCloseTo(
        0,
        closed ? 9 : -9,
      );
    }
  });
});
