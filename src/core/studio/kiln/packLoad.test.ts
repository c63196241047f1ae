import polygonClipping, { type Pair, type Ring } from 'polygon-clipping';
import type { Outline, Vertex } from '../../geometry/outline/outline.ts';
import { seeded } from '../../seeded.ts';
import { boxRows } from './boxRows.ts';
import { kindOf, type Loaded, type LoadJob, type LoadPiece, type LoadShelf, type Placed } from './loadJob.ts';
import { packLoad } from './packLoad.ts';

const disc = (across: number): Outline => [
  [-across / 2, 0, 1],
  [across / 2, 0, 1],
];
const box = (wide: number, deep: number, x = 0, y = 0): Outline => [
  [x, y, 0],
  [x + wide, y, 0],
  [x + wide, y + deep, 0],
  [x, y + deep, 0],
];
const sided = (sides: number, radius: number): Outline =>
  Array.from({ length: sides }, (_, side): Vertex => [
    radius * Math.cos((2 * Math.PI * side) / sides),
    radius * Math.sin((2 * Math.PI * side) / sides),
    0,
  ]);
/** A mug seen from above: a disc with a handle. */
const mug = (across: number): Outline => {
  const [r, half] = [across / 2, 8];
  const x = Math.sqrt(r ** 2 - half ** 2);
  const bulge = Math.tan((2 * Math.PI - 2 * Math.asin(half / r)) / 4);
  return [
    [x, half, bulge],
    [x, -half, 0],
    [r + 30, -half, 0],
    [r + 30, half, 0],
  ];
};

/** How far apart points of an arc stand at most (degrees): what lies between bows by a hundredth of a mm. */
const STEP = 2;

/** An outline as a ring of points, turned and moved. */
function ringOf(outline: Outline, { x, y, turn }: Placed): Ring {
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const points = outline.flatMap(([x0, y0, bulge], index): Pair[] => {
    const [x1, y1] = outline[(index + 1) % outline.length] as Vertex;
    const angle = 4 * Math.atan(bulge);
    if (Math.abs(angle) < 1e-9) return [[x0, y0]];
    const reach = (1 - bulge * bulge) / (4 * bulge);
    const [mx, my] = [(x0 + x1) / 2 - reach * (y1 - y0), (y0 + y1) / 2 + reach * (x1 - x0)];
    const count = Math.ceil((Math.abs(angle) * 180) / Math.PI / STEP);
    return Array.from({ length: count }, (_, at): Pair => {
      const [cos, sin] = [Math.cos((angle * at) / count), Math.sin((angle * at) / count)];
      return [mx + cos * (x0 - mx) - sin * (y0 - my), my + sin * (x0 - mx) + cos * (y0 - my)];
    });
  });
  return points.map(([px, py]): Pair => [c * px - s * py + x, s * px + c * py + y]);
}

/** Least distance between two rings that do not overlap (mm). */
function apart(one: Ring, other: Ring): number {
  const toEdge = ([px, py]: Pair, [ax, ay]: Pair, [bx, by]: Pair) => {
    const [dx, dy] = [bx - ax, by - ay];
    const along = Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy)));
    return Math.hypot(px - ax - along * dx, py - ay - along * dy);
  };
  const oneWay = (from: Ring, to: Ring) =>
    Math.min(...from.flatMap((point) => to.map((start, at) => toEdge(point, start, to[(at + 1) % to.length] as Pair))));
  return Math.min(oneWay(one, other), oneWay(other, one));
}

/** Whether the boxes round two rings are more than a gap apart (mm), and so the rings too. */
function boxesApart(one: Ring, other: Ring, gap: number): boolean {
  return ([0, 1] as const).some((axis) => {
    const [a, b] = [one, other].map((ring) => ring.map((point) => point[axis])) as [number[], number[]];
    return Math.min(...a) - Math.max(...b) > gap || Math.min(...b) - Math.max(...a) > gap;
  });
}

/** Everything that is wrong with a load. */
function faultsOf(job: LoadJob, loaded: Loaded): string[] {
  const faults: string[] = [];
  const pieceOf = new Map(job.pieces.map((piece) => [piece.id, piece]));
  loaded.shelves.forEach(({ id, placements }, index) => {
    const shelf = job.shelves[index] as LoadShelf;
    const rings = placements.map((placed) => ringOf((pieceOf.get(placed.id) as LoadPiece).outline, placed));
    const off = ([x, y]: Pair) =>
      'width' in shelf
        ? x < -1e-6 || y < -1e-6 || x > shelf.width + 1e-6 || y > shelf.depth + 1e-6
        : Math.hypot(x, y) > shelf.diameter / 2 + 1e-6;
    rings.forEach((ring, at) => {
      if ((pieceOf.get(placements[at]?.id ?? '')?.height ?? Infinity) > shelf.clear)
        faults.push(`${id} ${at}: too high`);
      if (ring.some(off)) faults.push(`${id} ${at}: over the edge`);
      rings.slice(0, at).forEach((other, before) => {
        if (boxesApart(ring, other, job.gap)) return;
        if (polygonClipping.intersection([ring], [other]).length > 0) faults.push(`${id} ${before} ${at}: overlap`);
        else if (apart(ring, other) < job.gap - 0.02) faults.push(`${id} ${before} ${at}: ${apart(ring, other)} apart`);
      });
    });
  });
  for (const { id, count } of job.pieces) {
    const placed = loaded.shelves.flatMap(({ placements }) => placements).filter((one) => one.id === id).length;
    const left = loaded.left.find((one) => one.id === id)?.count ?? 0;
    if (placed + left !== count) faults.push(`${id}: ${placed} stand and ${left} are left of ${count}`);
  }
  return faults;
}

/** So many tries and no more: the same on every machine. */
const run = (tries: number, seed = 1) => {
  let left = tries;
  return { random: seeded(seed), going: () => (left -= 1) > 0 };
};

const SHAPES: readonly ((size: number) => Outline)[] = [
  disc,
  mug,
  (size) => box(size, 0.6 * size, 30, -12),
  (size) => sided(6, size / 2),
  (size) => sided(3, size / 2),
  (size) => box(size, size),
];

function madeUpJob(seed: number): LoadJob {
  const random = seeded(seed);
  const between = (low: number, high: number) => low + random() * (high - low);
  const shelves = Array.from({ length: 1 + Math.floor(3 * random()) }, (_, index): LoadShelf => {
    const clear = between(80, 200);
    return random() < 0.5
      ? { id: `shelf ${index}`, width: between(250, 550), depth: between(250, 450), clear }
      : { id: `shelf ${index}`, diameter: between(280, 480), clear };
  });
  const pieces = Array.from({ length: 1 + Math.floor(4 * random()) }, (_, index): LoadPiece => ({
    id: `piece ${index}`,
    count: 1 + Math.floor(14 * random()),
    outline: (SHAPES[Math.floor(random() * SHAPES.length)] as (size: number) => Outline)(between(50, 160)),
    height: between(40, 210),
  }));
  return { shelves, gap: between(0, 10), pieces };
}

describe('a kiln’s load', () => {
  it.each(Array.from({ length: 36 }, (_, seed) => seed))(
    'of chance %d: nothing overlaps, stands out, or is lost',
    (seed) => {
      const job = madeUpJob(seed);
      expect(faultsOf(job, packLoad(job, run(12, seed)))).toEqual([]);
    },
  );

  it('is never worse than rows of bounding boxes', () => {
    for (let seed = 100; seed < 116; seed += 1) {
      const job = { ...madeUpJob(seed), shelves: [madeUpJob(seed).shelves[0] as LoadShelf] };
      const shelf = job.shelves[0] as LoadShelf;
      const kinds = job.pieces
        .map((piece, index) => kindOf(piece, 100 * index))
        .filter(({ piece }) => piece.height <= shelf.clear);
      const most = [...kinds.keys()].map((first) => {
        const order = [...kinds.slice(first), ...kinds.slice(0, first)];
        return boxRows(
          shelf,
          job.gap,
          order.flatMap((kind) => Array<typeof kind>(kind.piece.count).fill(kind)),
        ).length;
      });
      const stand = packLoad(job, run(24)).shelves[0]?.placements.length ?? 0;
      expect(stand).toBeGreaterThanOrEqual(Math.max(0, ...most));
    }
  });

  it.each<[string, LoadShelf, Outline, number]>([
    [
      '25 tumblers of 95 on a shelf of 500, by hand: five rows of five',
      { id: 'a', width: 495, depth: 495, clear: 150 },
      disc(95),
      25,
    ],
    [
      '7 discs of 100 in a ring on a disc of 310: six round one',
      { id: 'a', diameter: 310.5, clear: 150 },
      disc(100),
      7,
    ],
    [
      'staggered rows where straight ones would hold fewer',
      { id: 'a', width: 405, depth: 282, clear: 150 },
      disc(100),
      11,
    ],
  ])('%s', (_, shelf, outline, count) => {
    const job = {
      shelves: [shelf],
      gap: 'diameter' in shelf || shelf.width === 405 ? 0 : 5,
      pieces: [{ id: 't', count: 60, outline, height: 100 }],
    };
    expect(packLoad(job, run(60)).shelves[0]?.placements.length).toBe(count);
  });

  it('leaves what is too high for every shelf, and puts what is low on the low shelf', () => {
    const shelves: LoadShelf[] = [
      { id: 'high', width: 200, depth: 200, clear: 150 },
      { id: 'low', width: 200, depth: 200, clear: 80 },
    ];
    const pieces = [
      { id: 'vase', count: 1, outline: disc(90), height: 200 },
      { id: 'cup', count: 2, outline: disc(90), height: 140 },
      { id: 'dish', count: 2, outline: disc(90), height: 30 },
    ];
    const {
      shelves: [high, low],
      left,
    } = packLoad({ shelves, gap: 5, pieces }, run(30));
    expect(high?.placements.map(({ id }) => id)).toEqual(['cup', 'cup']);
    expect(low?.placements.map(({ id }) => id)).toEqual(['dish', 'dish']);
    expect(left).toEqual([{ id: 'vase', count: 1 }]);
  });

  it('leaves what is locked where it stands, and packs round it', () => {
    const at: Placed = { id: 'dish', x: 120, y: 130, turn: 30 };
    const job: LoadJob = {
      shelves: [{ id: 'a', width: 400, depth: 400, clear: 100 }],
      gap: 5,
      pieces: [{ id: 'dish', count: 6, outline: box(120, 80), height: 50 }],
      locked: { a: [at] },
    };
    const loaded = packLoad(job, run(30));
    expect(loaded.shelves[0]?.placements[0]).toEqual({ ...at, x: expect.closeTo(120, 9), y: expect.closeTo(130, 9) });
    expect(faultsOf(job, loaded)).toEqual([]);
    expect(loaded.left).toEqual([]);
  });
});
