import { circle, rectangle } from '../../geometry/outline/shapes.ts';
import { seeded } from '../../seeded.ts';
import { footprintOf } from './footprint.ts';
import { ShelfRoom, type Shelf, type Slide, type Standing, type Way } from './shelfRoom.ts';

const GAP = 5;
const way = (index: number, outline: Parameters<typeof footprintOf>[0]): Way => ({
  turn: 0,
  reach: footprintOf(outline).reach,
  index,
});
const DISC = way(0, circle(80));
const BOX = way(1, rectangle(100, 60));

const RECTANGLE: Shelf = { width: 500, depth: 400 };
const ROUND: Shelf = { diameter: 420 };
const toLeft: Slide = () => [-1, 0];
const down: Slide = () => [0, -1];

/** A shelf on which something stands. */
const roomWith = (shelf: Shelf, ...standing: readonly Standing[]) => {
  const room = new ShelfRoom(shelf, GAP);
  room.standing.push(...standing);
  return room;
};

describe('a piece on a shelf', () => {
  it.each<[string, Shelf, Way, readonly [number, number], boolean]>([
    ['a disc in the corner', RECTANGLE, DISC, [40, 40], true],
    ['a disc a hair over the left edge', RECTANGLE, DISC, [39.99, 200], false],
    ['a disc a hair over the far edge', RECTANGLE, DISC, [200, 360.01], false],
    ['a box in the far corner', RECTANGLE, BOX, [450, 370], true],
    ['a box a hair over the right edge', RECTANGLE, BOX, [450.01, 200], false],
    ['a disc in the middle of a round one', ROUND, DISC, [0, 0], true],
    ['a disc at its rim', ROUND, DISC, [169, 0], true],
    ['a disc over its rim', ROUND, DISC, [170.1, 0], false],
    ['a box whose corner is over its rim', ROUND, BOX, [140, 100], false],
  ])('lies wholly on it or not: %s', (_, shelf, piece, [x, y], on) => {
    expect(new ShelfRoom(shelf, GAP).isOn(piece, x, y)).toBe(on);
  });

  it.each<[string, Way, readonly [number, number], boolean]>([
    ['the gap away', DISC, [285.001, 200], true],
    ['a little less away', DISC, [284.9, 200], false],
    ['the gap away, askew', DISC, [200 + 60.11, 200 + 60.11], true],
    ['a box the gap to its right', BOX, [295.001, 200], true],
    ['a box a little less to its right', BOX, [294.9, 200], false],
    ['a box the gap above it', BOX, [200, 275.001], true],
    ['in the same place', DISC, [200, 200], false],
  ])('stands clear of a disc or not: %s', (_, piece, [x, y], clear) => {
    expect(roomWith(RECTANGLE, { way: DISC, x: 200, y: 200 }).canStand(piece, x, y)).toBe(clear);
  });
});

describe('a piece that is slid', () => {
  it('goes to the corner, or as far as the gap to what stands there', () => {
    expect(roomWith(RECTANGLE).settled(DISC, [300, 300], [toLeft, down])).toEqual([
      expect.closeTo(40, 4),
      expect.closeTo(40, 4),
    ]);
    const beside = roomWith(RECTANGLE, { way: BOX, x: 50, y: 30 }).settled(DISC, [300, 40], [toLeft]);
    expect(beside[0]).toBeCloseTo(145, 2);
  });

  it('never ends where it cannot stand, and touches something the way that it went', () => {
    const random = seeded(6);
    for (const shelf of [RECTANGLE, ROUND]) {
      const centre = 'width' in shelf ? ([250, 200] as const) : ([0, 0] as const);
      for (let round = 0; round < 60; round += 1) {
        const piece = random() < 0.5 ? DISC : BOX;
        const other: Standing = {
          way: BOX,
          x: centre[0] + 160 * (random() - 0.5),
          y: centre[1] + 120 * (random() - 0.5),
        };
        const room = roomWith(shelf, other);
        const from = [centre[0] + 240 * (random() - 0.5), centre[1] + 200 * (random() - 0.5)] as const;
        if (!room.canStand(piece, ...from)) continue;
        const [x, y] = room.settled(piece, from, [toLeft]);
        expect(room.canStand(piece, x, y)).toBe(true);
        expect([y, x <= from[0]]).toEqual([from[1], true]);
        expect(room.canStand(piece, x - 0.05, y)).toBe(false);
      }
    }
  });
});

describe('places beside a piece', () => {
  it('touch it: there is the gap, and no more, on the way to it', () => {
    const there: Standing = { way: DISC, x: 250, y: 200 };
    const room = roomWith(RECTANGLE, there);
    for (const [x, y] of room.placesBeside(DISC, there)) {
      expect(Math.hypot(x - 250, y - 200)).toBeCloseTo(85, 1);
      expect(room.isClear({ way: DISC, x, y }, there)).toBe(true);
      expect(room.isClear({ way: DISC, x: x + 0.01 * (250 - x), y: y + 0.01 * (200 - y) }, there)).toBe(false);
    }
  });

  it('are also at the rim of a round shelf, touching both', () => {
    const there: Standing = { way: DISC, x: 169, y: 0 };
    const room = roomWith(ROUND, there);
    const rim = room.placesBeside(DISC, there).slice(0, 2);
    expect(rim.map(([, y]) => Math.sign(y))).toEqual([1, -1]);
    for (const [x, y] of rim) {
      expect(room.canStand(DISC, x, y)).toBe(true);
      expect(Math.hypot(x, y)).toBeCloseTo(170, 1);
      expect(Math.hypot(x - 169, y)).toBeCloseTo(85, 1);
    }
  });
});
