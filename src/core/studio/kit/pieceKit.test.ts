import { DEFAULT_HANDLE } from '../../target/handle.ts';
import { DEFAULT_LID } from '../../target/lid.ts';
import { develop } from '../../piece/develop.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { level } from '../../piece/targets.test.helper.ts';
import type { KitItem } from './kit.ts';
import { kilnKit } from './kilnKit.ts';
import { pieceKit } from './pieceKit.ts';

const KIT: readonly KitItem[] = [
  { kind: 'stick', name: 'Ash sticks, 6', sizes: { thickness: 6 } },
  { kind: 'cutter', name: 'Cutter 90', sizes: { diameter: 90 } },
  { kind: 'cutter', name: 'Cutter 95', sizes: { diameter: 95.5 } },
  { kind: 'former', name: 'Pipe', sizes: { diameter: 75, sleeve: 0.5 } },
  { kind: 'shelf', name: 'Low shelf', sizes: { length: 480, width: 420, clear: 120 } },
  { kind: 'board', name: 'Large board', sizes: { length: 900, width: 500 } },
  { kind: 'board', name: 'Small board', sizes: { length: 400, width: 300 } },
  { kind: 'kiln', name: 'Low kiln', sizes: { length: 400, width: 400, height: 125 } },
  { kind: 'kiln', name: 'High kiln', sizes: { length: 400, width: 400, height: 400 } },
  { kind: 'printer', name: 'Printer', sizes: { length: 297, width: 210 } },
  { kind: 'plotter', name: 'Cutter', sizes: { length: 600, width: 305 } },
  { kind: 'round-shelf', name: 'Round shelf', sizes: { diameter: 310, clear: 200 } },
];
const used = (target: Target) => ({ ...pieceKit(KIT, target, develop(target)), ...kilnKit(KIT, target) });

it('a tumbler uses its sticks and its cutter, and stands on the shelf that is clear enough', () => {
  const { slabs, cutter, former, shelves } = used(newTarget('Rack tumbler'));
  expect(slabs).toEqual([{ thickness: 6, kind: 'stick', name: 'Ash sticks, 6', nearest: 6 }]);
  // The base is 84 / 0.88 = 95.45 across, the piece 125 high when it is wet.
  expect(cutter).toBe('Cutter 95');
  expect(former).toBeNull();
  expect(shelves).toEqual([
    { name: 'Low shelf', count: 18, tall: false },
    { name: 'Round shelf', count: 7, tall: true },
  ]);
});

it('lies on the smallest board, goes into the kiln that is high enough, and comes whole out of the machine that is long enough', () => {
  const { board, kilns, machines } = used(newTarget('Rack tumbler'));
  expect(board).toBe('Small board');
  // 125 wet and 5 above it; a wrap of 281 and its slant with 10 at each end.
  expect(kilns).toEqual([
    { name: 'Low kiln', fits: false },
    { name: 'High kiln', fits: true },
  ]);
  expect(machines).toEqual([
    { name: 'Printer', whole: false },
    { name: 'Cutter', whole: true },
  ]);
});

it('a handle takes its room on a shelf, a lid and pads theirs under the next', () => {
  const plain = newTarget('Mug');
  const shelf = (target: Target) => used(target).shelves[1];
  expect(shelf(plain)?.count).toBe(7);
  expect(shelf({ ...plain, handle: DEFAULT_HANDLE })?.count).toBeLessThan(7);
  const tall = { ...plain, form: { kind: 'cylinder', diameter: 84, height: 170 } } as const;
  expect(shelf(tall)?.tall).toBe(true);
  expect(shelf({ ...tall, lid: DEFAULT_LID })?.tall).toBe(false);
});

it('a piece on a former names it, a base that no cutter cuts names none, a slab without sticks the nearest ones', () => {
  const cup = level({ kind: 'former', diameter: 75, sleeve: 0.5, height: 90 }, { slab: { wall: 4, base: 6 } });
  const { slabs, cutter, former } = used(cup);
  expect(slabs.map(({ kind, nearest }) => [kind, nearest])).toEqual([
    ['none', 6],
    ['stick', 6],
  ]);
  expect(cutter).toBeNull();
  expect(former).toBe('Pipe');
});

it('an oblong piece is packed by its plan', () => {
  const { shelves, cutter } = used(
    level({ kind: 'box', length: 160, width: 80, height: 60 }, { size: { state: 'wet' } }),
  );
  expect(cutter).toBeNull();
  // 480 / 165 and 420 / 85 both ways: two by four lying, five by two turned.
  expect(shelves[0]).toEqual({ name: 'Low shelf', count: 10, tall: true });
});
