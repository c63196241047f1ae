import { PAPER_NAMES, PAPERS } from './paper.ts';
import { checkSheet, CHECK_LENGTHS, printedSize, printerFinding, stretchOf } from './printerCheck.ts';

it.each([
  ['a true one', 150, 200, 'true'],
  ['a true one, read to a fifth of a millimetre', 150.2, 199.8, 'true'],
  ['one that feeds too far', 150, 198.2, 'off'],
  ['one that is off both ways', 145.95, 198.2, 'off'],
  ['a sheet that was fitted to the page', 145.5, 194, 'fitted'],
  ['A4 drawn out to Letter', 154.2, 205.6, 'fitted'],
  ['a slip of the ruler', 15, 200, 'misread'],
  ['the lengths changed for one another', 200, 150, 'misread'],
])('%s, measured %d and %d, is told: %s', (_, across, up, kind) => {
  expect(printerFinding({ across, up }).kind).toBe(kind);
});

it('what is drawn larger by the stretch prints true, upright and lying', () => {
  const scale = { short: 0.973, long: 0.991 };
  const upright = { width: 210, height: 297 };
  expect(stretchOf(upright, scale)).toEqual([1 / 0.973, 1 / 0.991]);
  expect(stretchOf({ width: 297, height: 210 }, scale)).toEqual([1 / 0.991, 1 / 0.973]);
  expect(printedSize(upright, scale)).toEqual({
    width: expect.closeTo(204.33, 9) as number,
    height: expect.closeTo(294.327, 9) as number,
  });
});

it.each(PAPER_NAMES)('the check sheet has its two lengths on %s, clear of the edge', (paper) => {
  const lines = checkSheet(PAPERS[paper]).flatMap((item) => (item.kind === 'line' ? [item] : []));
  const lengths = lines.map(({ from, to }) => Math.hypot(to[0] - from[0], to[1] - from[1]));
  expect(lengths).toEqual(expect.arrayContaining([CHECK_LENGTHS.across, CHECK_LENGTHS.up]));
  for (const { from, to } of lines) {
    for (const [x, y] of [from, to])
      expect(x > 10 && x < PAPERS[paper].width - 10 && y > 10 && y < PAPERS[paper].height - 10).toBe(true);
  }
});
