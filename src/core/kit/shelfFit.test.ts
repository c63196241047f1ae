import { seeded } from '../seeded.ts';
import type { KitItem } from './kit.ts';
import { KILN_GAP, shelfFit, type ShelfPiece } from './shelfFit.ts';

const shelf = (length: number, width: number, clear = 200): KitItem => ({ kind: 'shelf', name: 'Shelf', sizes: { length, width, clear } }); // prettier-ignore
const disc = (diameter: number, clear = 200): KitItem => ({ kind: 'round-shelf', name: 'Shelf', sizes: { diameter, clear } }); // prettier-ignore
const cup = (across: number, height = 100): ShelfPiece => ({ length: across, width: across, height, round: true });

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
    [shelf(400, 300), { length: 180, width: 90, height: 40, round: false }, 6],
    [shelf(200, 100), { length: 90, width: 190, height: 40, round: false }, 1],
  ] as const)('%# takes what can be counted by hand', (item, piece, count) => {
    expect(shelfFit(item, piece).places).toHaveLength(count);
  });

  it('says when the next shelf is too low', () => {
    expect(shelfFit(shelf(400, 400, 104), cup(90, 100)).tall).toBe(false);
    expect(shelfFit(shelf(400, 400, 105), cup(90, 100)).tall).toBe(true);
  });

  it('never lets two touch, nor one stand over the edge, for random pieces and shelves', () => {
    const random = seeded(81);
    for (let time = 0; time < 60; time += 1) {
      const round = random() < 0.5;
      const piece: ShelfPiece = { length: 40 + 120 * random(), width: 40 + 120 * random(), height: 90, round };
      const own = round ? { ...piece, width: piece.length } : piece;
      const item = random() < 0.5 ? shelf(200 + 300 * random(), 200 + 300 * random()) : disc(200 + 300 * random());
      const { places, turned } = shelfFit(item, own);
      const [l, w] = turned ? [own.width, own.length] : [own.length, own.width];
      places.forEach(([x, y], i) => {
        places.slice(i + 1).forEach(([u, v]) => {
          const apart = round ? Math.hypot(x - u, y - v) - l : Math.max(Math.abs(x - u) - l, Math.abs(y - v) - w);
          expect(apart).toBeGreaterThanOrEqual(KILN_GAP - 1e-6);
        });
        const { length = 0, width = 0, diameter } = item.sizes;
        if (diameter === undefined) expect(Math.max(Math.abs(x) + l / 2 - length / 2, Math.abs(y) + w / 2 - width / 2)).toBeLessThan(1e-6); // prettier-ignore
        else if (round) expect(Math.hypot(x, y) + l / 2).toBeLessThanOrEqual(diameter / 2 + 1e-6);
        else for (const [cx, cy] of [[1, 1], [1, -1], [-1, 1], [-1, -1]] as const) expect(Math.hypot(x + (cx * l) / 2, y + (cy * w) / 2)).toBeLessThanOrEqual(diameter / 2 + 1e-6); // prettier-ignore
      });
    }
  });
});
