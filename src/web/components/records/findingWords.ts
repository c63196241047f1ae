import type { ClayRecords } from '../../../contract/made.ts';
import { NEEDED, type Difference } from '../../../core/studio/learning/findings.ts';

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];

/** A small number at the head of a sentence. */
export const numberWord = (count: number) => NUMBERS[count] ?? String(count);

/** A count and its noun. */
export const counted = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;

/** A share in percent. */
export const percent = (share: number, digits = 1) => `${(100 * share).toFixed(digits)} %`;

/** How a clay stands in the list. */
export function tagOf({ finding }: ClayRecords): string {
  if (finding.kind === 'offer') return '1 offer';
  if (finding.kind === 'few') return finding.pieces + finding.firedOnly > 0 ? 'too few' : 'nothing yet';
  return counted(finding.pieces, 'piece');
}

/** "Eight pieces of Rack tumbler came out 0.6 mm small". A difference that its interval does not tell from none is none. */
export function headingOf({ name, finding }: ClayRecords, length: (mm: number) => string): string {
  const { difference, kind } = finding;
  if (!difference) return kind === 'few' ? `Nothing of ${name} was measured fired yet` : `What pieces of ${name} say`;
  return `${numberWord(difference.count)} ${difference.count === 1 ? 'piece' : 'pieces'} of ${difference.name} came out ${howOf(difference, length)}`;
}

function howOf({ mean, interval }: Difference, length: (mm: number) => string): string {
  if (interval && interval[0] <= 0 && interval[1] >= 0) return 'as drawn';
  return `${length(Math.abs(mean))} ${mean < 0 ? 'small' : 'large'}`;
}

/** "Between 0.3 and 0.9 mm": the interval of the difference, as sizes; null of one piece. */
export function betweenOf({ mean, interval }: Difference, length: (mm: number) => string): string | null {
  if (!interval || (interval[0] <= 0 && interval[1] >= 0)) return null;
  const [low, high] = mean < 0 ? [-interval[1], -interval[0]] : interval;
  return `Between ${length(low)} and ${length(high)}.`;
}

/** What is still missing before a figure can be offered. */
export function missingOf({ finding }: ClayRecords): string[] {
  const { pieces, firings, firedOnly } = finding;
  const more = (have: number, needed: number, one: string) =>
    have < needed ? [`${counted(needed - have, `more ${one}`)}`] : [];
  const needs = [...more(pieces, NEEDED.pieces, 'piece'), ...more(firings, NEEDED.firings, 'firing')];
  return [
    ...(needs.length > 0 ? [`Missing: ${needs.join(' and ')}, measured wet after joining and again fired.`] : []),
    ...(firedOnly > 0
      ? [
          `${counted(firedOnly, 'piece was', 'pieces were')} measured fired only: without the wet size nobody knows how much shrank.`,
        ]
      : []),
  ];
}
