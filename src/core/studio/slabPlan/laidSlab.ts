import type { Placement } from '../../geometry/nest/nestJob.ts';
import { distanceTo, nestShape, type Distance, type NestShape } from '../../geometry/nest/nestShape.ts';
import { boxAt } from '../../geometry/nest/skyline.ts';
import type { Outline } from '../../geometry/outline/outline.ts';

/** A placed part ready to be measured: its shape, and where its middle lies (mm, radians). */
interface Laid {
  readonly shape: NestShape;
  readonly x: number;
  readonly y: number;
  readonly cos: number;
  readonly sin: number;
  readonly turn: number;
}

function laid({ id, x, y, turn }: Placement, outlines: ReadonlyMap<string, Outline>): Laid {
  const shape = nestShape(outlines.get(id) ?? []);
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [mx, my] = shape.middle;
  return { shape, x: x + cos * mx - sin * my, y: y + sin * mx + cos * my, cos, sin, turn: angle };
}

/** The box round placed parts (mm); all 0 of none. */
export function laidBox(placements: readonly Placement[], outlines: ReadonlyMap<string, Outline>) {
  const boxes = placements.map((placement) => {
    const { shape, x, y, turn } = laid(placement, outlines);
    const { minX, minY, maxX, maxY } = boxAt(shape, turn);
    return { minX: x + minX, minY: y + minY, maxX: x + maxX, maxY: y + maxY };
  });
  if (boxes.length === 0) return { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  return {
    minX: Math.min(...boxes.map(({ minX }) => minX)),
    minY: Math.min(...boxes.map(({ minY }) => minY)),
    maxX: Math.max(...boxes.map(({ maxX }) => maxX)),
    maxY: Math.max(...boxes.map(({ maxY }) => maxY)),
  };
}

/** Nearer than the gap by less than this is not nearer (mm): points on arcs stand a little apart. */
const FORGIVEN = 0.15;

/** Least distance between two placed parts (mm, negative where they overlap). */
function apart(a: Laid, b: Laid, enough: number): number {
  if (Math.hypot(a.x - b.x, a.y - b.y) > a.shape.reach + b.shape.reach + enough) return Infinity;
  const found: Distance = { value: 0, gx: 0, gy: 0 };
  const oneWay = (from: Laid, to: Laid) => {
    let least = Infinity;
    const { samples } = from.shape;
    for (let at = 0; at < samples.length; at += 2) {
      const [px, py] = [samples[at] as number, samples[at + 1] as number];
      const [wx, wy] = [from.cos * px - from.sin * py + from.x - to.x, from.sin * px + from.cos * py + from.y - to.y];
      distanceTo(to.shape, [to.cos * wx + to.sin * wy, to.cos * wy - to.sin * wx], found);
      if (found.value < least) least = found.value;
    }
    return least;
  };
  return Math.min(oneWay(a, b), oneWay(b, a));
}

/** What is wrong with a layout made by hand, as places in the list of placements. */
export interface LaidFaults {
  /** Parts nearer to another than the gap, or over it. */
  readonly crowded: ReadonlySet<number>;
  /** Parts that reach over the clay. */
  readonly off: ReadonlySet<number>;
}

/** Looks for parts that lie too near to one another, or off the slab (`width` and `length` of the clay inside the margin, mm). */
export function laidFaults(
  placements: readonly Placement[],
  outlines: ReadonlyMap<string, Outline>,
  room: { readonly width: number; readonly length: number; readonly gap: number },
): LaidFaults {
  const all = placements.map((placement) => laid(placement, outlines));
  const crowded = new Set<number>();
  all.forEach((a, i) =>
    all.slice(i + 1).forEach((b, rest) => {
      if (apart(a, b, room.gap) >= room.gap - FORGIVEN) return;
      crowded.add(i).add(i + 1 + rest);
    }),
  );
  const off = placements.flatMap((placement, index) => {
    const { minX, minY, maxX, maxY } = laidBox([placement], outlines);
    const over = minX < -FORGIVEN || minY < -FORGIVEN || maxX > room.width + FORGIVEN || maxY > room.length + FORGIVEN;
    return over ? [index] : [];
  });
  return { crowded, off: new Set(off) };
}
