import DxfParser from 'dxf-parser';
import svgpath from 'svgpath';
import type { Point } from '../../core/geometry/point.ts';
import { arcPoints, sizeOfLine, type CutSize } from './cutSize.ts';

/** Readers of our own files that share nothing with what wrote them: packages, or the few lines that the language needs. */

const between = (p: Point, q: Point, t: number): Point => [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])];

/** A point of a cubic Bezier (de Casteljau). */
export function cubicAt([a, b, c, d]: readonly [Point, Point, Point, Point], t: number): Point {
  const [ab, bc, cd] = [between(a, b, t), between(b, c, t), between(c, d, t)];
  return between(between(ab, bc, t), between(bc, cd, t), t);
}

/** The bulge of an SVG's circular arc over a chord: its radius, whether it is the large one, and its turn. */
function bulgeOf([radius = 0, , , large = 0, sweep = 0]: readonly number[], chord: number): number {
  const small = 2 * Math.asin(Math.min(1, chord / (2 * radius)));
  const angle = large ? 2 * Math.PI - small : small;
  return (sweep ? 1 : -1) * Math.tan(angle / 4);
}

/** Cut lines of an SVG whose units are mm. */
export function readSvgCuts(text: string): CutSize[] {
  const paths = [...text.matchAll(/<path class="cut[^"]*" d="([^"]+)"/g)];
  return paths.map(([, data = '']) => {
    const points: Point[] = [];
    svgpath(data)
      .abs()
      .iterate(([kind, ...figures], ...[, x, y]) => {
        const [to, from]: [Point, Point] = [
          [figures.at(-2) as number, figures.at(-1) as number],
          [x, y],
        ];
        if (kind === 'A')
          points.push(
            ...arcPoints(from, to, { bulge: bulgeOf(figures as number[], Math.hypot(to[0] - x, to[1] - y)) }).slice(1),
          );
        if (kind === 'M' || kind === 'L' || kind === 'A') points.push(to);
      });
    return sizeOfLine(points);
  });
}

/** Closed cut lines of a DXF in mm. */
export function readDxfCuts(text: string): CutSize[] {
  const entities = (new DxfParser().parseSync(text)?.entities ?? []) as unknown as readonly {
    readonly layer: string;
    readonly type: string;
    readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
  }[];
  return entities
    .filter(({ layer, type }) => layer === 'CUT' && type === 'LWPOLYLINE')
    .map(({ vertices = [] }) => {
      const points = vertices.flatMap(({ x, y, bulge = 0 }, index) => {
        const next = vertices[(index + 1) % vertices.length] ?? { x, y };
        return arcPoints([x, y], [next.x, next.y], { bulge });
      });
      return sizeOfLine(points);
    });
}

/** A fortieth of a millimetre is the plotter's own unit. */
const PLOTTER_UNIT = 0.025;

/** Cut lines of a plot file, each from where the knife goes down to where it is lifted. */
export function readPlotCuts(text: string): CutSize[] {
  return [...text.matchAll(/PU(-?\d+),(-?\d+);\s*PD([^;]+);/g)].map(([, x = '', y = '', rest = '']) => {
    const figures = [x, y, ...rest.split(',')].map((figure) => PLOTTER_UNIT * Number(figure));
    const points = Array.from({ length: figures.length / 2 }, (_, at): Point => [
      figures[2 * at] ?? 0,
      figures[2 * at + 1] ?? 0,
    ]);
    const [first, last] = [points[0], points.at(-1)];
    const back = first && last && first[0] === last[0] && first[1] === last[1];
    return sizeOfLine(back ? points.slice(0, -1) : points);
  });
}
