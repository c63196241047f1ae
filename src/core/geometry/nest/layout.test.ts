import { circle, rectangle } from '../outline/shapes.ts';
import { seeded } from '../../seeded.ts';
import { Overlaps, type Piece } from './layout.ts';
import { nestGrid } from './nestGrid.ts';
import { distanceTo, nestShape } from './nestShape.ts';

const random = seeded(5);
const some = (size: number) => (random() - 0.5) * size;
const SHAPES = [rectangle(90, 40), circle(50), rectangle(30, 120)].map((outline) => nestShape(outline));
const GAP = 3;

function layout(size = 90): Piece[] {
  return SHAPES.map((shape, at) => ({
    id: String(at),
    shape,
    turns: 'any',
    x: 120 + some(size),
    y: 120 + some(size),
    turn: some(6),
  }));
}

describe('distances on a grid', () => {
  it.each([0, 1, 2])('differ by no more than their spread from the true one (shape %i)', (which) => {
    const shape = SHAPES[which] as (typeof SHAPES)[number];
    const grid = nestGrid(shape, 20);
    const found = { value: 0, gx: 0, gy: 0 };
    for (let times = 0; times < 400; times += 1) {
      const [x, y] = [some(2 * (shape.half[0] + 20)), some(2 * (shape.half[1] + 20))];
      distanceTo(shape, [x, y], found);
      const cell = Math.floor((y - grid.low) / grid.step) * grid.columns + Math.floor((x - grid.left) / grid.step);
      expect(Math.abs(found.value - (grid.cells[3 * cell] as number))).toBeLessThan(grid.spread);
    }
    // A narrower one is not made anew, a wider one is.
    expect(nestGrid(shape, 5)).toBe(grid);
    expect(nestGrid(shape, 30).margin).toBe(30);
  });
});

describe('the push on overlapping pieces', () => {
  const strip = { width: 240, length: 240, gap: GAP };
  const weights = new Float64Array(9).fill(1);
  const energyOf = (pieces: readonly Piece[]) => {
    const overlaps = new Overlaps(pieces, GAP);
    overlaps.all(strip, weights);
    const energy = [...overlaps.pairs, ...overlaps.edges].reduce((sum, one) => sum + one, 0);
    return { energy, overlaps };
  };

  it('is the slope of their energy, for shallow overlaps', () => {
    let seen = 0;
    for (let times = 0; times < 3000; times += 1) {
      const pieces = layout(160);
      const { energy, overlaps } = energyOf(pieces);
      if (energy === 0 || overlaps.deepest > 4) continue;
      seen += 1;
      const step = 1e-5;
      pieces.forEach((piece, slot) => {
        (['x', 'y', 'turn'] as const).forEach((axis, at) => {
          const aside = (by: number) =>
            energyOf(pieces.map((one, k) => (k === slot ? { ...piece, [axis]: piece[axis] + by } : one))).energy;
          const slope = (aside(step) - aside(-step)) / (2 * step);
          const push = overlaps.push[3 * slot + at] as number;
          expect(Math.abs(-2 * push - slope)).toBeLessThan(
            1e-3 * Math.max(1, Math.abs(slope)) + 0.02 * (at === 2 ? piece.shape.reach : 1),
          );
        });
      });
    }
    expect(seen).toBeGreaterThan(20);
  });

  it('is kept from step to step only where pieces cannot have met', () => {
    const pieces = layout().map((piece, at) => ({ ...piece, x: 120 + 400 * at }));
    const wide = { ...strip, width: 2000, length: 2000 };
    const overlaps = new Overlaps(pieces, GAP);
    for (let times = 0; times < 200; times += 1) {
      const slot = times % 3;
      overlaps.move(slot, { dx: some(120), dy: some(60), turned: some(1) });
      overlaps.all(wide, weights);
      const fresh = new Overlaps(
        pieces.map((piece, at) => overlaps.asLaid(at, piece)),
        GAP,
      );
      fresh.all(wide, weights);
      overlaps.pairs.forEach((energy, at) => expect(energy).toBeCloseTo(fresh.pairs[at] as number, 6));
    }
  });

  it('of a piece tried elsewhere is worked out as if it lay there', () => {
    for (let times = 0; times < 50; times += 1) {
      const [pieces, other] = [layout(), layout()];
      const moved = pieces.map((piece, at) => (at === 1 ? (other[1] as Piece) : piece));
      const tried = new Overlaps(pieces, GAP).tried(1, other[1] as Piece, { strip, weights });
      const { overlaps } = energyOf(moved);
      const there = (overlaps.edges[1] as number) + (overlaps.pairs[1] as number) + (overlaps.pairs[5] as number);
      expect(tried).toBeCloseTo(there, 6);
    }
  });
});
