import { boxRows } from './boxRows.ts';
import { turnedReach } from './footprint.ts';
import {
  kindOf,
  middleOfPlaced,
  placedAt,
  shelfArea,
  type Kind,
  type Loaded,
  type LoadJob,
  type LoadShelf,
  type Placed,
} from './loadJob.ts';
import { ShelfRoom, type Pair, type Slide, type Way } from './shelfRoom.ts';
import type { Point } from '../../geometry/point.ts';
import { ROUNDING } from '../../numbers.ts';

/** Randomness and time are given from outside, so that core is deterministic. */
export interface LoadRun {
  /** Numbers from 0 to 1. */
  readonly random: () => number;
  /** Whether there is time left. */
  readonly going: () => boolean;
}

/** How a place on a shelf is chosen: the lowest goes first, then the piece is slid. */
interface Rule {
  readonly score: (way: Way, point: Point) => number;
  readonly slides: readonly Slide[];
}

const left: Slide = () => [-1, 0];
const down: Slide = () => [0, -1];
const out: Slide = ([x, y]) => unit(x, y);

function unit(x: number, y: number): Point {
  const far = Math.hypot(x, y);
  return far > ROUNDING ? [x / far, y / far] : [1, 0];
}

/** Along one side the place with the nearest far edge; of those the one furthest along the other. */
const ASIDE = 1e-4;
const RULES: readonly Rule[] = [
  { score: ({ reach }, [x, y]) => y + (reach[90] as number) + ASIDE * x, slides: [down, left] },
  { score: ({ reach }, [x, y]) => x + (reach[0] as number) + ASIDE * y, slides: [left, down] },
  // Round the rim of a disc.
  { score: (_, [x, y]) => -Math.hypot(x, y), slides: [out] },
];

/** A shelf while it is filled. */
interface Filling {
  readonly shelf: LoadShelf;
  readonly room: ShelfRoom;
  readonly placed: Placed[];
  /** Places that a way of a kind may have, not all of them free any more. */
  readonly places: Map<Way, { points: Point[]; known: number }>;
  /** Kinds without a place: pieces are never removed, so they will not find one later. */
  readonly full: Set<Kind>;
  covered: number;
}

function filling(shelf: LoadShelf, gap: number, pairs: (Pair | undefined)[][]): Filling {
  const room = new ShelfRoom(shelf, gap, pairs);
  return { shelf, room, placed: [], places: new Map(), full: new Set(), covered: 0 };
}

function stand(filling: Filling, kind: Kind, { at, way }: { readonly at: Point; readonly way: Way }): void {
  filling.room.standing.push({ way, x: at[0], y: at[1] });
  filling.placed.push(placedAt(kind, at, way.turn));
  filling.covered += kind.footprint.area;
}

/** Free places for a way of a kind: those known before that are still free, and the ones beside what came since. */
function freePlaces({ room, places }: Filling, way: Way): readonly Point[] {
  const known = places.get(way) ?? {
    points: room.firstPlaces(way).filter((point) => room.isOn(way, ...point)),
    known: 0,
  };
  if (known.known === room.standing.length && places.has(way)) return known.points;
  const came = room.standing.slice(known.known);
  const still = known.points.filter(([x, y]) => came.every((other) => room.isClear({ way, x, y }, other)));
  const beside = came.flatMap((other) => room.placesBeside(way, other)).filter(([x, y]) => room.canStand(way, x, y));
  const points = [...still, ...beside];
  places.set(way, { points, known: room.standing.length });
  return points;
}

/** Places one of a kind where the rule says; false where it finds no room. */
function placeOne(to: Filling, kind: Kind, { rule, askew }: { readonly rule: Rule; readonly askew: boolean }): boolean {
  if (kind.piece.height > to.shelf.clear || to.full.has(kind)) return false;
  let best: { way: Way; at: Point; score: number } | null = null;
  for (const way of kind.ways) {
    if (!askew && way.turn % 90 !== 0) continue;
    for (const point of freePlaces(to, way)) {
      const score = rule.score(way, point);
      if (!best || score < best.score) best = { way, at: point, score };
    }
  }
  if (!best) {
    to.full.add(kind);
    return false;
  }
  const at = to.room.settled(best.way, best.at, rule.slides);
  stand(to, kind, { at, way: best.way });
  return true;
}

/** Everything that is wanted, kind by kind. */
interface Wanted {
  readonly free: readonly Kind[];
  readonly started: () => Filling[];
  /** How many ways of standing are numbered. */
  readonly ways: number;
}

function wantedOf(job: LoadJob): Wanted {
  let ways = 0;
  const kinds = job.pieces.map((piece) => {
    const kind = kindOf(piece, ways);
    ways += kind.ways.length;
    return kind;
  });
  const byId = new Map(kinds.map((kind) => [kind.piece.id, kind]));
  const used = new Map<Kind, number>();
  const locks = job.shelves.map(({ id }) =>
    (job.locked?.[id] ?? []).flatMap((placed) => {
      const kind = byId.get(placed.id);
      if (!kind) return [];
      used.set(kind, (used.get(kind) ?? 0) + 1);
      const way = kind.ways.find(({ turn }) => turn === placed.turn) ?? {
        turn: placed.turn,
        reach: turnedReach(kind.footprint, placed.turn),
        index: ways++,
      };
      return [{ kind, at: middleOfPlaced(kind, placed), way }];
    }),
  );
  const free = kinds.flatMap((kind) => Array<Kind>(Math.max(0, kind.piece.count - (used.get(kind) ?? 0))).fill(kind));
  const pairs: (Pair | undefined)[][] = [];
  const started = () =>
    job.shelves.map((shelf, index) => {
      const one = filling(shelf, job.gap, pairs);
      for (const { kind, at, way } of locks[index] ?? []) stand(one, kind, { at, way });
      return one;
    });
  return { free, started, ways };
}

/** A loading and how good it is: as many pieces as can be, then as much of the shelves covered. */
interface Try {
  readonly shelves: readonly Filling[];
  readonly count: number;
  readonly covered: number;
}

function tryOf(shelves: readonly Filling[]): Try {
  const count = shelves.reduce((sum, { placed }) => sum + placed.length, 0);
  return { shelves, count, covered: shelves.reduce((sum, { covered }) => sum + covered, 0) };
}

const better = (one: Try, other: Try) =>
  one.count > other.count || (one.count === other.count && one.covered > other.covered);

/** Shelves in the order in which they are filled: those with the least height that will do come first. */
const lowestFirst = (shelves: readonly Filling[]) =>
  [...shelves].sort((one, other) => one.shelf.clear - other.shelf.clear);

/** How a load is made: the order of the pieces, the rule on each shelf, and which shelf is asked first. */
interface Recipe {
  readonly order: readonly Kind[];
  readonly rules: readonly Rule[];
  /** Shelves by their place in the job; left out, the lowest that will do come first. */
  readonly shelves?: readonly number[];
  /** Pieces may stand askew too, not only straight: slower, and seldom better. */
  readonly askew?: boolean;
}

function greedy({ started }: Wanted, { order, rules, shelves: asked, askew = false }: Recipe): Try {
  const shelves = started();
  const ruleOf = new Map(shelves.map((shelf, index) => [shelf, rules[index] as Rule]));
  const filled = asked ? asked.map((index) => shelves[index] as Filling) : lowestFirst(shelves);
  for (const kind of order) filled.some((to) => placeOne(to, kind, { rule: ruleOf.get(to) as Rule, askew }));
  return tryOf(shelves);
}

/** Rows of boxes on shelves that hold nothing locked. */
function rows({ started, ways }: Wanted, order: readonly Kind[], gap: number): Try {
  const shelves = started();
  let left = [...order];
  for (const to of lowestFirst(shelves)) {
    if (to.placed.length > 0) continue;
    const fitting = left.filter(({ piece }) => piece.height <= to.shelf.clear);
    for (const { kind, turn, x, y } of boxRows(to.shelf, gap, fitting)) {
      const way = kind.ways.find((one) => one.turn === turn) ?? {
        turn,
        reach: turnedReach(kind.footprint, turn),
        index: ways,
      };
      stand(to, kind, { at: [x, y], way });
      left.splice(left.indexOf(kind), 1);
    }
    left = [...left];
  }
  return tryOf(shelves);
}

/** Orders in which pieces are taken. */
const KEYS: readonly ((kind: Kind) => number)[] = [
  ({ footprint }) => -footprint.area,
  ({ box }) => -Math.max(box.width, box.depth),
  ({ piece, footprint }) => -piece.height * 1e7 - footprint.area,
  ({ footprint }) => footprint.area,
  ({ box }) => -box.depth,
  ({ box }) => -box.width,
  ({ box }) => Math.max(box.width, box.depth),
];

/**
 * Loads a kiln: every piece stands on a shelf that is high enough for it, a gap from every other, by the hull of its outline
 * as it is seen from above. Pieces are taken in several orders and put as far into a corner, or out to the rim, as they go;
 * rows of bounding boxes are tried too, and never beaten by. While there is time and something is left, orders are shuffled.
 */
export function packLoad(job: LoadJob, run: LoadRun): Loaded {
  const wanted = wantedOf(job);
  const all = wanted.started().reduce((sum, { placed }) => sum + placed.length, 0) + wanted.free.length;
  let best = tryOf(wanted.started());
  const take = (found: Try) => {
    if (better(found, best)) best = found;
    return best.count < all && run.going();
  };
  let [from, fromTry]: [Recipe | null, Try] = [null, best];
  const ruled = (first: number) => job.shelves.map((shelf) => RULES['width' in shelf ? first % 2 : first] as Rule);
  search: {
    for (const key of KEYS) {
      const order = [...wanted.free].sort((one, other) => key(one) - key(other));
      for (const first of [0, 1, 2]) {
        const recipe = { order, rules: ruled(first) };
        const found = greedy(wanted, recipe);
        if (!from || better(found, fromTry)) [from, fromTry] = [recipe, found];
        if (!take(found)) break search;
      }
      if (!take(rows(wanted, order, job.gap))) break search;
    }
    while (from) {
      const recipe: Recipe = changed(from, job, run.random);
      const found = greedy(wanted, recipe);
      // Keep a change that is no worse: it may allow the next improvement.
      if (!better(fromTry, found)) [from, fromTry] = [recipe, found];
      if (!take(found)) break search;
    }
  }
  const counts = new Map<string, number>();
  for (const { id } of best.shelves.flatMap(({ placed }) => placed)) counts.set(id, (counts.get(id) ?? 0) + 1);
  return {
    shelves: best.shelves.map(({ shelf, placed, covered }) => ({
      id: shelf.id,
      placements: placed,
      full: covered / shelfArea(shelf),
    })),
    left: job.pieces.flatMap(({ id, count }) => {
      const rest = count - (counts.get(id) ?? 0);
      return rest > 0 ? [{ id, count: rest }] : [];
    }),
  };
}

/** A slightly changed recipe: some pieces earlier or later, sometimes another rule or order of the shelves. */
function changed({ order, rules, shelves }: Recipe, job: LoadJob, random: () => number): Recipe {
  const pick = (count: number) => Math.floor(random() * count);
  const next = [...order];
  for (let times = 1 + pick(4); times > 0; times -= 1) {
    const [moved] = next.splice(pick(next.length), 1);
    if (moved) next.splice(pick(next.length + 1), 0, moved);
  }
  const rule = pick(job.shelves.length);
  const other = RULES[pick('width' in (job.shelves[rule] as LoadShelf) ? 2 : RULES.length)] as Rule;
  const asked = shelves ?? lowestOf(job);
  return {
    order: next,
    rules: random() < 0.3 ? rules.map((one, index) => (index === rule ? other : one)) : rules,
    askew: random() < 0.1,
    shelves: random() < 0.15 ? swapped(asked, pick(asked.length), pick(asked.length)) : asked,
  };
}

const lowestOf = ({ shelves }: LoadJob) =>
  shelves.map((_, index) => index).sort((one, other) => (shelves[one]?.clear ?? 0) - (shelves[other]?.clear ?? 0));

function swapped(list: readonly number[], one: number, other: number): number[] {
  return list.map((value, index) => list[index === one ? other : index === other ? one : index] ?? value);
}
