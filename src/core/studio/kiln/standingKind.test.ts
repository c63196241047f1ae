import { newTarget } from '../../target/target.ts';
import { bounds } from '../../geometry/outline/outline.ts';
import { sizeInKiln, standingKind } from './standingKind.ts';

const bar = { wet: 100, dry: 94, bisque: 93, fired: 88, run: 'any' } as const;

it.each([
  ['bisque', [bar], 0.94],
  ['once', [bar], 0.94],
  ['glaze', [bar], 0.93],
  ['glaze', [{ wet: 100, dry: 94, run: 'any' as const }], 0.94],
  ['bisque', [{ wet: 100, fired: 88, run: 'any' as const }], 1],
  ['glaze', [], 1],
] as const)('a piece goes into a %s firing at its share of the wet size', (kind, bars, share) => {
  expect(sizeInKiln(kind, bars)).toBeCloseTo(share, 12);
});

it('a tumbler of 84 x 110 fired stands dry as 84 / 0.88 x 0.94', () => {
  const { outline, height } = standingKind(newTarget('Tumbler'), 0.94);
  const { minX, maxX, minY, maxY } = bounds(outline);
  expect([maxX - minX, maxY - minY]).toEqual([
    expect.closeTo((84 / 0.88) * 0.94, 1),
    expect.closeTo((84 / 0.88) * 0.94, 1),
  ]);
  expect([minX + maxX, minY + maxY]).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)]);
  expect(height).toBeCloseTo((110 / 0.88) * 0.94, 6);
});
