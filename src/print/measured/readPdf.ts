import { LENGTH_TOLERANCE } from '../../core/numbers.ts';
import { inflateSync } from 'node:zlib';
import type { Point } from '../../core/geometry/point.ts';
import { sizeOfLine, type CutSize } from './cutSize.ts';
import { cubicAt } from './readBack.ts';

/** Mm in a point of a PDF. */
const POINT = 25.4 / 72;

/** Cut lines are drawn this wide before the page is scaled (mm), and closed; nothing else on such a page is. */
const CUT_WIDTH = { usual: 0.3, thin: 0.15 } as const;

/** Curves are taken at so many points. */
const STEPS = 64;

type Matrix = readonly [number, number, number, number, number, number];

/** First `inner`, then `outer`, as PDF multiplies. */
function times(inner: Matrix, outer: Matrix): Matrix {
  const [a, b, c, d, e, f] = inner;
  const [p, q, r, s, t, u] = outer;
  return [a * p + b * r, a * q + b * s, c * p + d * r, c * q + d * s, e * p + f * r + t, e * q + f * s + u];
}

/** What stands before the bytes of a stream, and how far back its length stands at most. */
const STREAM = Buffer.from('stream\n');
const HEAD = 200;

/** Content streams of a PDF that holds one for each page, unpacked (ISO 32000-1, 7.3.8). Fonts and pictures hold no path of ours. */
function contentsOf(bytes: Buffer): string[] {
  const found: string[] = [];
  for (let at = bytes.indexOf(STREAM); at >= 0; at = bytes.indexOf(STREAM, at + STREAM.length)) {
    const head = bytes.subarray(Math.max(0, at - HEAD), at).toString('latin1');
    const length = /\/Length (\d+)[^<>]*>>\s*$/.exec(head)?.[1];
    if (length === undefined || !head.includes('/FlateDecode')) continue;
    const from = at + STREAM.length;
    try {
      found.push(inflateSync(bytes.subarray(from, from + Number(length))).toString('latin1'));
    } catch {
      // The letters of the word in a font or a picture.
    }
  }
  // Each of our pages begins by turning y down.
  return found.filter((content) => /^\s*1 0 0 -1 0 [\d.]+ cm/.test(content));
}

/** Follows one page's operators: the matrix, the width of the line, and each path that is stroked closed. */
function cutsOf(content: string, wide: number): Point[][] {
  const cuts: Point[][] = [];
  const saved: { matrix: Matrix; width: number }[] = [];
  let [matrix, width]: [Matrix, number] = [[1, 0, 0, 1, 0, 0], 1];
  let path: Point[] = [];
  let at: Point = [0, 0];
  let [isClosed, lines] = [false, 0];
  const stack: number[] = [];
  const put = ([x, y]: Point): Point => {
    const [a, b, c, d, e, f] = matrix;
    return [a * x + c * y + e, b * x + d * y + f];
  };
  // Words are left out whole: their letters could be taken for operators.
  for (const token of content.replace(/\[[^\]]*\]\s*TJ|<[0-9a-fA-F]*>\s*Tj/g, ' ').split(/\s+/)) {
    const value = Number(token);
    if (token !== '' && !Number.isNaN(value)) {
      stack.push(value);
      continue;
    }
    const figures = stack.splice(0) as [number, number, number, number, number, number];
    switch (token) {
      case 'q':
        saved.push({ matrix, width });
        break;
      case 'Q':
        ({ matrix, width } = saved.pop() ?? { matrix, width });
        break;
      case 'cm':
        matrix = times(figures, matrix);
        break;
      case 'w':
        width = figures[0];
        break;
      case 'm':
        [path, at, isClosed, lines] = [[put([figures[0], figures[1]])], [figures[0], figures[1]], false, lines + 1];
        break;
      case 'l':
        at = [figures[0], figures[1]];
        path.push(put(at));
        break;
      case 'c': {
        const [b, c, d] = [
          [figures[0], figures[1]],
          [figures[2], figures[3]],
          [figures[4], figures[5]],
        ] as [Point, Point, Point];
        for (let step = 1; step <= STEPS; step += 1) path.push(put(cubicAt([at, b, c, d], step / STEPS)));
        at = d;
        break;
      }
      case 'h':
        isClosed = true;
        break;
      case 'S':
      case 's':
        if ((isClosed || token === 's') && Math.abs(width - wide) < LENGTH_TOLERANCE) cuts.push(path);
        path = [];
        break;
      default:
        break;
    }
  }
  return cuts;
}

/**
 * Cut lines of each page of a PDF (mm), whole also where a page shows a part of them.
 *
 * @param printed how long the printer makes a mm along the width and height of each page
 * @param lines whether its lines are thin ones
 */
export function readPdfCuts(
  bytes: Buffer,
  printed: (page: number) => readonly [number, number],
  lines: keyof typeof CUT_WIDTH = 'usual',
): CutSize[][] {
  return contentsOf(bytes).map((content, page) => {
    const [sx, sy] = printed(page);
    return cutsOf(content, CUT_WIDTH[lines]).map((line) =>
      sizeOfLine(line.map(([x, y]): Point => [x * POINT * sx, y * POINT * sy])),
    );
  });
}
