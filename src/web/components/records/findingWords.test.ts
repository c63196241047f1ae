import type { ClayRecords } from '../../../contract/made.ts';
import type { Difference, Finding } from '../../../core/studio/learning/findings.ts';
import { betweenOf, counted, headingOf, missingOf, numberWord, percent, tagOf } from './findingWords.ts';

const length = (mm: number) => `${mm.toFixed(1)} mm`;
const difference = (mean: number, interval: readonly [number, number] | null, count = 8): Difference => ({
  name: 'Rack tumbler',
  count,
  drawn: 84,
  mean,
  interval,
});
const records = (finding: Partial<Finding>): ClayRecords =>
  ({
    name: 'Siding buff',
    finding: { kind: 'few', pieces: 0, firings: 0, firedOnly: 0, difference: null, ...finding },
  }) as ClayRecords;

describe('what pieces of a clay say, in words', () => {
  it.each<[Partial<Finding>, string]>([
    [{ difference: difference(-0.6, [-0.9, -0.3]) }, 'Eight pieces of Rack tumbler came out 0.6 mm small'],
    [{ difference: difference(0.6, [0.3, 0.9]) }, 'Eight pieces of Rack tumbler came out 0.6 mm large'],
    [{ difference: difference(0.2, [-0.1, 0.5]) }, 'Eight pieces of Rack tumbler came out as drawn'],
    [{ difference: difference(-0.4, null, 1) }, 'One piece of Rack tumbler came out 0.4 mm small'],
    [{ difference: difference(1, [0.5, 1.5], 13) }, '13 pieces of Rack tumbler came out 1.0 mm large'],
    [{ kind: 'few' }, 'Nothing of Siding buff was measured fired yet'],
    [{ kind: 'agrees' }, 'What pieces of Siding buff say'],
  ])('%j: %s', (finding, words) => {
    expect(headingOf(records(finding), length)).toBe(words);
  });

  it.each<[Difference, string | null]>([
    [difference(-0.6, [-0.9, -0.3]), 'Between 0.3 mm and 0.9 mm.'],
    [difference(0.6, [0.3, 0.9]), 'Between 0.3 mm and 0.9 mm.'],
    [difference(0.2, [-0.1, 0.5]), null],
    [difference(0.2, null), null],
  ])('the range of %j: %s', (one, words) => {
    expect(betweenOf(one, length)).toBe(words);
  });

  it.each<[Partial<Finding>, string]>([
    [{ kind: 'offer', pieces: 9 }, '1 offer'],
    [{ kind: 'few', pieces: 2 }, 'too few'],
    [{ kind: 'few', firedOnly: 1 }, 'too few'],
    [{ kind: 'few' }, 'nothing yet'],
    [{ kind: 'agrees', pieces: 1 }, '1 piece'],
    [{ kind: 'agrees', pieces: 12 }, '12 pieces'],
  ])('%j stands in the list as "%s"', (finding, tag) => {
    expect(tagOf(records(finding))).toBe(tag);
  });

  it.each<[number, number, number, string[]]>([
    [0, 0, 0, ['Missing: 5 more pieces and 2 more firings, measured wet after joining and again fired.']],
    [4, 1, 0, ['Missing: 1 more piece and 1 more firing, measured wet after joining and again fired.']],
    [5, 1, 0, ['Missing: 1 more firing, measured wet after joining and again fired.']],
    [6, 2, 1, ['1 piece was measured fired only: without the wet size nobody knows how much shrank.']],
    [6, 2, 3, ['3 pieces were measured fired only: without the wet size nobody knows how much shrank.']],
    [6, 2, 0, []],
  ])('%i pieces of %i firings, %i fired only', (pieces, firings, firedOnly, words) => {
    expect(missingOf(records({ pieces, firings, firedOnly }))).toEqual(words);
  });

  it.each([
    [0, 'No', '0 pieces'],
    [1, 'One', '1 piece'],
    [12, 'Twelve', '12 pieces'],
    [13, '13', '13 pieces'],
  ])('%i is "%s"', (count, word, pieces) => {
    expect([numberWord(count), counted(count, 'piece')]).toEqual([word, pieces]);
  });

  it('has shares in percent', () => {
    expect([percent(0.1234), percent(0.1234, 2), percent(0)]).toEqual(['12.3 %', '12.34 %', '0.0 %']);
  });
});
