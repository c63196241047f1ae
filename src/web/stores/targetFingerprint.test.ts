import { mouldOfMesh } from '../../core/forms/mould/importedMould.ts';
import { newTarget, type Target } from '../../core/target/target.ts';
import { sameTarget, targetFingerprint } from './targetFingerprint.ts';

const moulded = (...heights: readonly number[]): Target => ({
  ...newTarget('Dish'),
  form: mouldOfMesh({
    positions: Float64Array.from([
      0,
      0,
      0,
      ...heights.flatMap((z, turn) => [50 * Math.cos(turn), 50 * Math.sin(turn), z]),
    ]),
    triangles: Uint32Array.from(heights.slice(1).flatMap((_, turn) => [0, turn + 1, turn + 2])),
  }),
});
const DISH = moulded(20, 21, 22, 23);
const OTHERS: readonly Target[] = [
  newTarget('Dish'),
  newTarget('Cup'),
  { ...newTarget('Dish'), form: { kind: 'cylinder', diameter: 84, height: 100 } },
  DISH,
  { ...DISH, name: 'Deep dish' },
  moulded(20, 21, 22, 23.0001),
  moulded(21, 20, 22, 23),
  moulded(20, 21, 22),
  moulded(20, 21, 22, 23, 24),
];

it('fingerprints of targets are equal for equal content, however it came here, and for no other', () => {
  const again = OTHERS.map((target) => JSON.parse(JSON.stringify(target)) as Target);
  expect(again.map(targetFingerprint)).toEqual(OTHERS.map(targetFingerprint));
  expect(new Set(OTHERS.map(targetFingerprint)).size).toBe(OTHERS.length);
});

it('targets are the same with the same lists and equal fields; equal lists of another mesh are another', () => {
  expect(sameTarget(DISH, { ...DISH })).toBe(true);
  expect(sameTarget(DISH, { ...DISH, name: 'Deep dish' })).toBe(false);
  expect(sameTarget(DISH, moulded(20, 21, 22, 23))).toBe(false);
  expect(sameTarget(newTarget('Cup'), newTarget('Cup'))).toBe(true);
});
