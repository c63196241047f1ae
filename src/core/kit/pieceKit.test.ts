import { develop } from '../piece/develop.ts';
import { newTarget, type Target } from '../piece/target.ts';
import { level } from '../piece/targets.test.helper.ts';
import type { KitItem } from './kit.ts';
import { pieceKit } from './pieceKit.ts';

const KIT: readonly KitItem[] = [
  { kind: 'stick', name: 'Ash sticks, 6', sizes: { thickness: 6 } },
  { kind: 'cutter', name: 'Cutter 90', sizes: { diameter: 90 } },
  { kind: 'cutter', name: 'Cutter 95', sizes: { diameter: 95.5 } },
  { kind: 'former', name: 'Pipe', sizes: { diameter: 75, sleeve: 0.5 } },
  { kind: 'shelf', name: 'Low shelf', sizes: { length: 480, width: 420, clear: 120 } },
  { kind: 'round-shelf', name: 'Round shelf', sizes: { diameter: 310, clear: 200 } },
];
const used = (target: Target) => pieceKit(KIT, target, develop(target));

it('a tumbler uses its sticks and its cutter, and stands on the shelf that is clear enough', () => {
  const { slabs, cutter, former, shelves } = used(newTarget('Rack tumbler'));
  expect(slabs).toEqual([{ thickness: 6, kind: 'stick', name: 'Ash sticks, 6', nearest: 6 }]);
  // The base is 84 / 0.88 = 95.45 across, the piece 125 high when it is wet.
  expect(cutter).toEqual({ name: 'Cutter 95', diameter: 95.5, fits: true });
  expect(former).toBeNull();
  expect(shelves).toEqual([
    { name: 'Low shelf', count: 18, tall: false },
    { name: 'Round shelf', count: 7, tall: true },
  ]);
});

it('a piece on a former names it, a base that no cutter cuts its nearest, a slab without sticks the nearest ones', () => {
  const cup = level({ kind: 'former', diameter: 75, sleeve: 0.5, height: 90 }, { slab: { wall: 4, base: 6 } });
  const { slabs, cutter, former } = used(cup);
  expect(slabs.map(({ kind, nearest }) => [kind, nearest])).toEqual([['none', 6], ['stick', 6]]); // prettier-ignore
  expect(cutter?.fits).toBe(false);
  expect(former).toBe('Pipe');
});

it('an oblong piece is packed by its plan', () => {
  const { shelves, cutter } = used(level({ kind: 'box', length: 160, width: 80, height: 60 }, { size: { state: 'wet' } })); // prettier-ignore
  expect(cutter).toBeNull();
  // 480 / 165 and 420 / 85 both ways: two by four lying, five by two turned.
  expect(shelves[0]).toEqual({ name: 'Low shelf', count: 10, tall: true });
});
