import { seeded } from '../../seeded.ts';
import type { KitItem } from './kit.ts';
import { KILN_GAP, shelfFit, type ShelfPiece } from './shelfFit.ts';

const shelf = (length: number, width: number, clear = 200): KitItem => ({
  kind: 'shelf',
  name: 'Shelf',
  sizes: { length, width, clear },
});
const disc = (diameter: number, clear = 200): KitItem => ({
  kind: 'round-shelf',
  name: 'Shelf',
  sizes: { diameter, clear },
});
const cup = (across: number, height = 100): ShelfPiece => ({ reach: () => across / 2, height });
const box = (length: number, width: number): ShelfPiece => ({
  reach: (phi) => (length / 2) * Math.abs(Math.cos(phi)) + (width / 2) * Math.abs(Math.sin(phi)),
  height: 40,
});
const oval = (length: number, width: number): ShelfPiece => ({
  reach: (phi) => Math.hypot((length / 2) * Math.cos(phi), (width / 2) * Math.sin(phi)),
  height: 40,
});

describe('a kiln shelf', () => {
  it.each([
    // Staggered: rows of four and three in turn, five of them within 464; straight rows take sixteen.
    [shelf(480, 420), cup(100), 18],
    [shelf(430, 420), cup(100), 16],
    // Staggered rows take more than straight ones on a long shelf.
    [shelf(300, 205), cup(95), 6],
    [disc(310), cup(100), 7],
    [disc(104), cup(100), 1],
    [disc(99), cup(100), 0],
    [shelf(400, 300), box(180, 90), 6],
    [shelf(200, 100), box(90, 190), 1],
    // Staggered, ovals lie closer than the boxes round them do.
    [shelf(480, 420), oval(130, 95), 13],
    [shelf(480, 420), box(130, 95), 12],
  ] as const)('%# takes what can be counted by hand', (item, piece, count) => {
    expect(shelfFit(item, piece).places).toHaveLength(count);
  });

  it('says when the next shelf is too low', () => {
    expect(shelfFit(shelf(400, 400, 104), cup(90, 100)).tall).toBe(false);
    expect(shelfFit(shelf(400, 400, 105), cup(90, 100)).tall).toBe(true);
  });

  it('never lets two touch, nor one stand over the edge, for random ovals, boxes and shelves', () => {
    const random = seeded(81);
    const turns = Array.from({ length: 360 }, (_, step) => (step * Math.PI) / 180);
    for (let time = 0; time < 60; time += 1) {
      const [length, width] = [40 + 120 * random(), 40 + 120 * random()];
      const piece = random() < 0.5 ? oval(length, width) : box(length, width);
      const item = random() < 0.5 ? shelf(200 + 300 * random(), 200 + 300 * random()) : disc(200 + 300 * random());
      const { places, turned } = shelfFit(item, piece);
      const reach = (phi: number) => piece.reach(turned ? phi - Math.PI / 2 : phi);
      const [apart, over]: [number[], number[]] = [[], []];
      places.forEach(([x, y], index) => {
        for (const [u, v] of places.slice(index + 1)) {
          // Some direction sees the gap between the two.
          apart.push(
            Math.max(
              ...turns.map(
                (phi) => (u - x) * Math.cos(phi) + (v - y) * Math.sin(phi) - reach(phi) - reach(phi + Math.PI),
              ),
            ),
          );
        }
        const { length: long = 0, width: wide = 0, diameter } = item.sizes;
        for (const phi of turns) {
          const edge = reach(phi) + x * Math.cos(phi) + y * Math.sin(phi);
          over.push(
            diameter !== undefined
              ? edge - diameter / 2 - 0.05
              : edge - (long / 2) * Math.abs(Math.cos(phi)) - (wide / 2) * Math.abs(Math.sin(phi)),
          );
        }
      });
      expect(Math.min(...apart)).toBeGreaterThanOrEqual(KILN_GAP - 1e-6);
      expect(Math.max(...over)).toBeLessThanOrEqual(1e-6);
    }
  });
});
