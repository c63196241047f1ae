import { arcLine } from '../../geometry/outline/arcLine.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';
import type { Outline, Vertex } from '../../geometry/outline/outline.ts';
import { homography, inverse, mapping, type Homography, type Quad } from '../screen/homography.ts';
import { areaOf, contoursAt } from './contours.ts';
import { evenLight, lightAt, partingValue, type EvenLight, type GreyImage, type Pixel } from './image.ts';
import { cornered } from './corners.ts';
import type { SheetFound } from './findSheet.ts';

/** What lies on the sheet: its outline and its holes in mm on the paper, y up, from the paper's lower left; closed points, and as lines and arcs. */
export interface Traced {
  readonly outline: Outline;
  readonly holes: readonly Outline[];
  /** From mm on the paper to px of the picture, with the lens's curve put back by {@link SheetFound}. */
  readonly map: Homography;
}

/** What was traced, or why it cannot be. */
export type TraceReading =
  { readonly kind: 'traced'; readonly traced: Traced } | { readonly kind: 'refused'; readonly rule: string };

const refused = (rule: string): TraceReading => ({ kind: 'refused', rule });

/** Size of a dot of the rectified paper (mm), and the edge of the paper that is left out. */
const DOT = 0.4;
const EDGE = 3;

/** The light is fitted to every dot of so many. */
const SPARSE = 7;

/** Number of fits. Each takes the dots whose light, as a share of the fit before, is that of paper. */
const FITS = 6;
const PAPER_SHARE = { least: 0.93, greatest: 1.1 } as const;

/** Least contrast of what lies on the paper, as a share of the paper's light. */
const LEAST_CONTRAST = 0.12;

/** Smallest thing and smallest hole that are traced (mm2). */
const LEAST = { thing: 150, hole: 12 } as const;

/** The edge is looked for again this far to both sides of the first line (mm), in steps; its places are so far apart. */
const REACH = 3.2;
const FINE = 0.1;
const APART = 1;

/** The edge's direction at a place is taken over so many places before and after it: the first line may be rough. */
const FRAME = 3;
const SMOOTH = 2;

/** Where more than this share of the places is faint, the first line follows noise and is smoothed first. */
const ROUGH = 0.05;

/** Greatest deviation of lines and arcs from the places (mm). */
const FIT = 0.18;

/** Corners of the sheet in the picture, its long side first, as it is seen from above: upper left, then with the clock. */
function longSideFirst({ corners }: SheetFound): Quad {
  const side = (at: number) => {
    const [[x, y], [u, v]] = [corners[at] as Pixel, corners[(at + 1) % 4] as Pixel];
    return Math.hypot(u - x, v - y);
  };
  const [a, b, c, d] = corners;
  return side(0) + side(2) >= side(1) + side(3) ? corners : [b, c, d, a];
}

/** The paper as it lies, its light evened out: 1 is paper. */
interface Flat {
  readonly image: GreyImage;
  /** From a dot to mm, and the light at mm. */
  readonly mm: (dot: Pixel) => Pixel;
  readonly light: (at: Pixel) => number;
}

function flatten(
  image: GreyImage,
  { lens }: SheetFound,
  { map, wide, high }: { readonly map: Homography; readonly wide: number; readonly high: number },
): Flat | null {
  const [columns, rows] = [Math.floor((wide - 2 * EDGE) / DOT), Math.floor((high - 2 * EDGE) / DOT)];
  const mm = ([x, y]: Pixel): Pixel => [EDGE + DOT * x, EDGE + DOT * y];
  const onPicture = mapping(map);
  const seen = (at: Pixel) => {
    const [x, y] = lens.curved(onPicture(at));
    return lightAt(image, x, y);
  };
  const light = new Float32Array(columns * rows);
  for (let y = 0; y < rows; y += 1) for (let x = 0; x < columns; x += 1) light[y * columns + x] = seen(mm([x, y]));
  const raw: GreyImage = { width: columns, height: rows, light };
  const bright = partingValue(light, 1);
  // Its light is fitted to every seventh dot of paper.
  const share = (now: EvenLight, at: number) => (light[at] as number) / now.at(at % columns, Math.floor(at / columns));
  let even = evenLight(raw, (at) => (light[at] as number) > bright, SPARSE);
  for (let round = 0; round < FITS && even; round += 1) {
    const now = even;
    const isPaper = (at: number) => {
      const own = share(now, at);
      return own > PAPER_SHARE.least && own < PAPER_SHARE.greatest;
    };
    even = evenLight(raw, isPaper, SPARSE) ?? even;
  }
  if (!even) return null;
  const falls = even;
  const evened: GreyImage = { ...raw, light: new Float32Array(light.length) };
  for (let at = 0; at < light.length; at += 1) evened.light[at] = share(falls, at);
  return { image: evened, mm, light: (at) => seen(at) / falls.at((at[0] - EDGE) / DOT, (at[1] - EDGE) / DOT) };
}

/** Places along a closed line, evenly far apart (mm). */
function evenPlaces(line: readonly Pixel[], apart: number): Pixel[] {
  const lengths = [0];
  line.forEach(([x, y], at) => {
    const [u, v] = line[(at + 1) % line.length] as Pixel;
    lengths.push((lengths.at(-1) as number) + Math.hypot(u - x, v - y));
  });
  const whole = lengths.at(-1) as number;
  const count = Math.max(12, Math.round(whole / apart));
  let piece = 0;
  return Array.from({ length: count }, (_, index) => {
    const wanted = (whole * index) / count;
    while ((lengths[piece + 1] as number) < wanted) piece += 1;
    const [[x, y], [u, v]] = [line[piece] as Pixel, line[(piece + 1) % line.length] as Pixel];
    const f =
      (wanted - (lengths[piece] as number)) / ((lengths[piece + 1] as number) - (lengths[piece] as number) || 1);
    return [x + f * (u - x), y + f * (v - y)];
  });
}

/** Each place as the mean of its neighbours: a line along a shadow's noise is rough. */
function smoothed(places: readonly Pixel[]): Pixel[] {
  const by = Array.from({ length: 2 * SMOOTH + 1 }, (_, index) => index - SMOOTH);
  const mean = (at: number, axis: 0 | 1) =>
    by.reduce((sum, step) => sum + (places[(at + step + places.length) % places.length] as Pixel)[axis], 0) / by.length;
  return places.map((_, at): Pixel => [mean(at, 0), mean(at, 1)]);
}

type Side = 'inside' | 'outside';

/** The middle of the steepest rise of a row, from its first figure (steps), weighed about its top; null where nothing rises. */
function steepest(row: readonly number[]): { readonly at: number; readonly rise: number } | null {
  const W = 3;
  const last = row.length - 1;
  const rise = row.map((_, step) => {
    if (step < W || step > last - W) return 0;
    let sum = 0;
    for (let w = 1; w <= W; w += 1) sum += (row[step + w] as number) - (row[step - w] as number);
    return sum;
  });
  const top = rise.reduce((most, value, step) => (value > (rise[most] as number) ? step : most), 0);
  let [weight, sum] = [0, 0];
  for (let step = Math.max(0, top - 5); step <= Math.min(last, top + 5); step += 1) {
    const own = Math.max(0, (rise[step] as number) - 0.5 * (rise[top] as number));
    weight += own;
    sum += own * step;
  }
  return weight > 0 ? { at: sum / weight, rise: (rise[top] as number) / W } : null;
}

/** Samples along the line that a row is the mean of (mm), and neighbours whose middle move one must stay near. */
const BESIDE = [-0.5, 0, 0.5];
const WIDE = [-2.4, -1.8, -1.2, -0.6, 0, 0.6, 1.2, 1.8, 2.4];
/** Where the light rises by less than this (share of the paper's), more of the edge is averaged, against noise. */
const WEAK = 0.22;
const NEIGHBOURS = [-3, -2, -1, 0, 1, 2, 3];
const STRAY = 0.3;

/** Moves each place across the line to the steepest rise of light, which a soft shadow beside the object does not shift. */
function sharpened(
  line: readonly Pixel[],
  {
    dark,
    light,
    rough = false,
  }: { readonly dark: Side; readonly light: (at: Pixel) => number; readonly rough?: boolean },
): Pixel[] {
  const even = evenPlaces(line, APART);
  const places = rough ? smoothed(even) : even;
  const count = places.length;
  const steps = Math.round((2 * REACH) / FINE);
  const against = areaOf(places) > 0;
  const to = against === (dark === 'inside') ? 1 : -1;
  const frames = places.map((_, at) => {
    const [before, after] = [places[(at + count - FRAME) % count] as Pixel, places[(at + FRAME) % count] as Pixel];
    const long = Math.hypot(after[0] - before[0], after[1] - before[1]) || 1;
    const along: Pixel = [(after[0] - before[0]) / long, (after[1] - before[1]) / long];
    return { along, out: [to * along[1], -to * along[0]] as Pixel };
  });
  let weak = 0;
  const moves = places.map(([x, y], at): number => {
    const { along, out } = frames[at] as { along: Pixel; out: Pixel };
    const across = (beside: readonly number[]) =>
      steepest(
        Array.from({ length: steps + 1 }, (_, step) => {
          const far = FINE * step - REACH;
          return (
            beside.reduce(
              (sum, by) => sum + light([x + far * out[0] + by * along[0], y + far * out[1] + by * along[1]]),
              0,
            ) / beside.length
          );
        }),
      );
    const close = across(BESIDE);
    const faint = close !== null && close.rise < WEAK;
    if (faint) weak += 1;
    const found = faint ? across(WIDE) : close;
    return found === null ? 0 : FINE * found.at - REACH;
  });
  if (!rough && weak > ROUGH * count) return sharpened(line, { dark, light, rough: true });
  return places.map(([x, y], at): Pixel => {
    const near = NEIGHBOURS.map((by) => moves[(at + by + count) % count] as number).sort((one, other) => one - other);
    const usual = near[(near.length - 1) / 2] as number;
    const own = moves[at] as number;
    const move = Math.abs(own - usual) > STRAY ? usual : own;
    const { out } = frames[at] as { out: Pixel };
    return [x + move * out[0], y + move * out[1]];
  });
}

/** A closed line of places as lines and arcs, y up, against the clock. */
function asOutline(places: readonly Pixel[]): Outline {
  const turned = areaOf(places) < 0 ? [...places].reverse() : places;
  const sharp = startAtCorner(turned);
  return arcLine([...sharp, sharp[0] as Pixel], FIT) as readonly Vertex[];
}

/** The same places, from where the line turns most: a corner is then an end of lines and not within one. */
function startAtCorner(places: readonly Pixel[]): readonly Pixel[] {
  const count = places.length;
  const turn = (at: number) => {
    const [a, b, c] = [
      places[(at + count - 3) % count] as Pixel,
      places[at] as Pixel,
      places[(at + 3) % count] as Pixel,
    ];
    const cross = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
    return Math.abs(Math.atan2(cross, (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1])));
  };
  const best = places.reduce((most, _, at) => (turn(at) > turn(most) ? at : most), 0);
  return [...places.slice(best), ...places.slice(0, best)];
}

/**
 * Traces the one thing that lies on a sheet of paper in a photograph.
 *
 * @param paper its edges (mm); the longer one lies along x
 */
export function tracePhoto(
  image: GreyImage,
  sheet: SheetFound,
  paper: { readonly width: number; readonly height: number },
): TraceReading {
  const [wide, high] = [Math.max(paper.width, paper.height), Math.min(paper.width, paper.height)];
  // The picture's y runs down: its corners go with the clock as they are seen.
  const corners: Quad = [
    [0, high],
    [wide, high],
    [wide, 0],
    [0, 0],
  ];
  const map = homography(corners, longSideFirst(sheet));
  if (!map || !inverse(map)) return refused('has corners that do not make a sheet: drag each to its own corner');
  const flat = flatten(image, sheet, { map, wide, high });
  if (!flat) return refused('shows a sheet that is covered nearly whole');
  const value = partingValue(flat.image.light, 1.2);
  const darkest = flat.image.light.filter((one) => one < value);
  const mean = darkest.reduce((sum, one) => sum + one, 0) / Math.max(1, darkest.length);
  if (darkest.length * DOT * DOT < LEAST.thing) return refused('shows nothing on the sheet');
  if (1 - mean < LEAST_CONTRAST)
    return refused('has too little contrast: what is traced must be darker than the paper, in more even light');
  const lines = contoursAt(flat.image, value).map((line) => line.map(flat.mm));
  const things = lines
    .filter((line) => Math.abs(areaOf(line)) > LEAST.hole)
    .sort((one, other) => Math.abs(areaOf(other)) - Math.abs(areaOf(one)));
  const [first] = things;
  if (!first || Math.abs(areaOf(first)) < LEAST.thing)
    return refused('shows nothing whole on the sheet: what is traced must lie on it with paper all round');
  const others = things
    .slice(1)
    .filter((line) => !insideLine(first, line[0] as Pixel) && Math.abs(areaOf(line)) > LEAST.thing);
  if (others.length > 0) return refused('shows several things on the sheet: lay one on it at a time');
  const holes = things.slice(1).filter((line) => insideLine(first, line[0] as Pixel));
  const drawn = (line: readonly Pixel[], dark: Side) =>
    asOutline(cornered(sharpened(line, { dark, light: flat.light }), line));
  return {
    kind: 'traced',
    traced: { outline: drawn(first, 'inside'), holes: holes.map((hole) => drawn(hole, 'outside')), map },
  };
}
