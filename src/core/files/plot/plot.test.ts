import { circle, rectangle } from '../../geometry/outline/shapes.ts';
import { moved, type Outline } from '../../geometry/outline/outline.ts';
import { dragKnifeLine, tipPath } from './dragKnife.ts';
import { closed, plotLine, writeHpgl, type PlotPoint } from './hpgl.ts';
import { readHpgl } from './readHpgl.ts';

const far = ([x, y]: PlotPoint, line: readonly PlotPoint[]) =>
  Math.min(
    ...line.map(([x0, y0], index) => {
      const [x1, y1] = line[(index + 1) % line.length] as PlotPoint;
      const along = (x1 - x0) ** 2 + (y1 - y0) ** 2;
      const share = along > 0 ? Math.max(0, Math.min(1, ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / along)) : 0;
      return Math.hypot(x - x0 - share * (x1 - x0), y - y0 - share * (y1 - y0));
    }),
  );

const read = (text: string) => {
  const reading = readHpgl(text);
  if (reading.kind === 'fault') throw new Error(reading.why);
  return reading.lines;
};

describe('a plot file', () => {
  it('is in fortieths of a millimetre, by hand', () => {
    expect(writeHpgl([closed(plotLine(moved(rectangle(100, 50), 10, 10)))])).toBe(
      'IN;\nPA;\nSP1;\nPU400,400;\nPD4400,400,4400,2400,400,2400,400,400;\nPU0,0;\nSP0;\n',
    );
  });

  it('follows arcs of any size within half a unit', () => {
    for (const across of [3, 90, 4000]) {
      const line = plotLine(moved(circle(across), 2500, 2500));
      const [read0 = []] = read(writeHpgl([closed(line)]));
      const off = read0.map(([x, y]) => Math.abs(Math.hypot(x - 2500, y - 2500) - across / 2));
      expect(Math.max(...off)).toBeLessThan(0.0125 * Math.SQRT2 + 1e-9);
      const middles = read0
        .slice(1)
        .map(([x, y], index): PlotPoint => [(x + (read0[index]?.[0] ?? x)) / 2, (y + (read0[index]?.[1] ?? y)) / 2]);
      const inside = middles.map(([x, y]) => across / 2 - Math.hypot(x - 2500, y - 2500));
      expect(Math.max(...inside)).toBeLessThan(0.0125 * Math.SQRT2 + 0.01);
    }
  });

  it.each([
    [
      'absolute',
      'PU0,0;PD400,0,400,400;',
      [
        [
          [0, 0],
          [10, 0],
          [10, 10],
        ],
      ],
    ],
    [
      'relative',
      'PU400,400;PR;PD400,0;PD0,400;PU;',
      [
        [
          [10, 10],
          [20, 10],
          [20, 20],
        ],
      ],
    ],
    [
      'in one line, lower case, spaces',
      'in;pu0 0;pd400 0;',
      [
        [
          [0, 0],
          [10, 0],
        ],
      ],
    ],
    ['of nothing', '', []],
  ])('is followed: %s', (_, text, lines) => expect(read(text)).toEqual(lines));

  it.each(['LB words', 'PD400', 'PD4,x', 'CI100'])('is refused at %s', (command) => {
    expect(readHpgl(`IN;PU0,0;${command};`)).toMatchObject({ kind: 'fault', command });
  });
});

describe('a drag knife', () => {
  const SHAPES: readonly (readonly [string, Outline])[] = [
    ['a square', rectangle(80, 60)],
    [
      'a sharp point',
      [
        [0, 0, 0],
        [90, 4, 0],
        [0, 12, 0],
      ],
    ],
    ['a circle', circle(70)],
    [
      'a notch',
      [
        [0, 0, 0],
        [60, 0, 0],
        [60, 40, 0],
        [40, 40, 0],
        [30, 10, 0],
        [20, 40, 0],
        [0, 40, 0],
      ],
    ],
  ];

  it.each(SHAPES)('cuts %s as it is drawn: its tip is nowhere off the line, and everywhere on it', (_, outline) => {
    for (const offset of [0.25, 0.5, 1]) {
      const line = plotLine(outline);
      // The blade comes down along the first stretch, as a cutter's own first stroke sets it.
      const [from, to] = [line[0], line[1]] as [PlotPoint, PlotPoint];
      const tip = tipPath(dragKnifeLine(line, offset), offset, {
        begins: Math.atan2(to[1] - from[1], to[0] - from[0]),
        step: 0.02,
      });
      expect(tip.reduce((most, point) => Math.max(most, far(point, line)), 0)).toBeLessThan(0.05);
      const corners = line.filter((_point, index) => index % Math.ceil(line.length / 12) === 0);
      for (const corner of corners)
        expect(Math.min(...tip.map(([x, y]) => Math.hypot(x - corner[0], y - corner[1])))).toBeLessThan(0.05);
    }
  });

  it('without an offset goes along the line, and round its corners otherwise not', () => {
    expect(
      dragKnifeLine(
        [
          [0, 0],
          [10, 0],
          [10, 10],
        ],
        0,
      ),
    ).toEqual([
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 0],
    ]);
    // A blade whose middle went along a square cuts its corners off.
    const square = plotLine(rectangle(80, 60));
    const tip = tipPath(closed(square), 1, { begins: 0, step: 0.02 });
    expect(Math.max(...tip.map((point) => far(point, square)))).toBeGreaterThan(0.2);
  });
});
