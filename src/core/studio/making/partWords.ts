import { bounds } from '../../geometry/outline/outline.ts';
import type { Lean } from '../../parts/part/lean.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Phrase } from '../../units/phrase.ts';

/** An edge in a sentence. */
const EDGES: Readonly<Record<Lean['edge'], string>> = {
  rim: 'along the rim',
  foot: 'along the foot',
  left: 'at the left end',
  right: 'at the right end',
  side: 'down both sides',
  round: 'all round',
  'dart-left': 'on the left of each dart',
  'dart-right': 'on the right of each dart',
};

/** Which way the knife leans for a lean's word. */
const WAYS = { spread: 'outward', tuck: 'inward' } as const;

/** One sentence for each edge that leans, alike ones once; the rest is cut straight down. */
export function leanSentences({ leans, outline }: Part): Phrase[] {
  const said = new Map<string, Phrase>();
  for (const { edge, lean, least, greatest, word } of leans) {
    if (word === 'straight down') continue;
    const [low, high] = [least, greatest].map((angle) => Math.abs(angle ?? lean)).sort((one, other) => one - other) as [
      number,
      number,
    ];
    const angle: Phrase =
      high - low > 2 ? [{ degrees: low }, ' to ', { degrees: high }] : [{ degrees: Math.abs(lean) }];
    const sentence: Phrase = ['Lean the knife ', ...angle, ` ${WAYS[word]} ${EDGES[edge]}.`];
    said.set(JSON.stringify(sentence), sentence);
  }
  const told = leans.reduce(
    (sum, { edge, from, to }) =>
      sum + (edge === 'round' ? outline.length : (to - from + outline.length) % outline.length),
    0,
  );
  const straight = told < outline.length || leans.some(({ word }) => word === 'straight down');
  const rest = said.size === 0 ? 'Cut straight down all round.' : 'Cut straight down along the other edges.';
  return [...said.values(), ...(straight ? [[rest]] : [])];
}

/** Length and width of a part as it lies (mm). */
export function sizeOf(part: Part): Phrase {
  const { minX, minY, maxX, maxY } = bounds(part.outline);
  const [across, up] = [maxX - minX, maxY - minY];
  const round = Math.abs(across - up) < 0.05 && part.outline.every(([, , bulge]) => bulge !== 0);
  return round ? [{ mm: across }, ' across'] : [{ mmPlain: across }, ' × ', { mm: up }];
}

/** The name of a part in a sentence: "the wall", "two long sides", "three foot pads". */
export function namedPart({ name, count }: Part): string {
  const lower = name.charAt(0).toLowerCase() + name.slice(1);
  if (count === 1) return /\d$/.test(name) ? lower : `the ${lower}`;
  const NUMBERS = ['', '', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
  return `${NUMBERS[count] ?? count} ${lower}s`;
}
