import type { Blank } from '../forms/kind/blank.ts';
import type { DrapedTarget } from '../forms/mould/draped.ts';
import { limitsOf, withinLimits } from '../forms/mould/limits.ts';
import type { DartProposal, StrainLimits } from '../target/mouldForm.ts';
import type { DevelopedForm } from '../forms/kind/kind.ts';
import type { Phrase } from '../units/phrase.ts';
import type { Bench } from './bench.ts';
import { hoursToStiffen } from '../bench/ownMould/castMould.ts';
import type { Check } from './check.ts';
import { checkFit } from './fit.ts';
import { checkSlabSize } from './slabSize.ts';

/** A slab strained by less than this share of its limits settles by itself. A rule of the bench. */
export const BY_ITSELF = 1 / 3;

/** What is to be done with a slab on its mould. `darts` says that darts do it; `unknown` that it has not been found out yet. */
export type DrapeAdvice = 'by-itself' | 'rib' | 'darts' | 'fewer-darts' | 'sections' | 'unknown';

/**
 * Advice by the greatest stretch and gather (fractions). What exceeds the limits is told by the search for darts alone, so
 * that advice and proposal never differ.
 */
export function drapeAdvice(most: StrainLimits, limits: StrainLimits, proposal: DartProposal | undefined): DrapeAdvice {
  if (withinLimits(most, limits)) {
    const easy = most.stretch <= BY_ITSELF * limits.stretch && most.gather <= BY_ITSELF * limits.gather;
    return easy ? 'by-itself' : 'rib';
  }
  if (!proposal || proposal.kind === 'stopped') return 'unknown';
  if (proposal.kind === 'none-needed') return 'fewer-darts';
  return proposal.kind === 'darts' ? 'darts' : 'sections';
}

/** Words for each advice: its level, its title and what to do. */
const WORDS: Readonly<Record<DrapeAdvice, readonly [Check['level'], string, string]>> = {
  'by-itself': ['note', 'Lies down by itself', 'Press it on with the flat hand from the middle out.'],
  rib: ['note', 'Works with a rib', 'Ease it down from the middle out with a soft rib, a little at a time, all round.'],
  darts: ['care', 'Needs darts', ''],
  'fewer-darts': [
    'care',
    'Better without these darts',
    'Without any darts this slab stays within what the clay takes.',
  ],
  sections: [
    'stop',
    'Make it from sections instead',
    'No darts that were tried do it: a foot disc with tapered bands round it does, or a softer slab on a shallower mould.',
  ],
  unknown: ['care', 'More than this clay takes', 'Working out whether darts solve it.'],
};

/** What the proposal would have the potter cut. */
function dartsTodo({ form }: DrapedTarget, proposal: DartProposal | undefined): Phrase {
  if (proposal?.kind !== 'darts') return [];
  const few = (form.darts ?? []).length > 0 ? 'These darts are not enough: ' : 'It would fold: ';
  return [
    few,
    `${proposal.darts.length} darts do it, each `,
    { mm: proposal.darts[0]?.depth ?? 0 },
    ' deep. Propose darts cuts them.',
  ];
}

/** At every keystroke a quick blank is drawn, too coarse for a verdict. */
const UNLAID: Check = {
  code: 'drape',
  level: 'note',
  title: 'Laying the blank flat',
  phrase: ['What the clay must do will be shown in a moment.'],
};

function checkStrain(target: DrapedTarget, { blank }: DevelopedForm): Check[] {
  if (!blank) return [];
  if (!blank.fine) return [UNLAID];
  const { most, gathers } = blank.strain;
  const { stretch, gather, thin } = most;
  const limits = limitsOf(target);
  const advice = drapeAdvice({ stretch, gather }, limits, blank.proposal);
  const [level, title, todo] = WORDS[advice];
  const more = (target.form.darts ?? []).length > 0;
  const where =
    gather <= limits.gather || !more
      ? ''
      : gathers === 'tip'
        ? ' at the tips of its darts'
        : ' at the rim between its darts';
  return [
    {
      code: 'drape',
      level,
      title,
      phrase: [
        'It stretches up to ',
        { percent: 100 * stretch },
        ` (this clay takes ${(100 * limits.stretch).toFixed(0)} %) and gathers up to `,
        { percent: 100 * gather },
        `${where} (${(100 * limits.gather).toFixed(0)} %); its thinnest place keeps `,
        { mm: thin * target.slab.wall },
        '. ',
        ...(advice === 'darts' ? dartsTodo(target, blank.proposal) : [todo]),
      ],
    },
    ...checkDepths(target, blank),
    ...blank.missed.map((index): Check => ({
      code: 'dart-missed',
      level: 'stop',
      title: `Dart ${index + 1} is not cut`,
      phrase: ['It misses the blank or crosses another one. Move it, or make it shorter.'],
    })),
  ];
}

const LISTED = new Intl.ListFormat('en-GB');

/** Darts whose depths differ by less are named together (mm). */
const ALIKE = 0.5;

/** Darts that are cut less deep than was asked for, those of about one depth together. */
function checkDepths({ form }: DrapedTarget, blank: Blank): Check[] {
  const { cutTo = [] } = blank;
  const shorter = cutTo.flatMap((depth, index) => (depth < (form.darts?.[index]?.depth ?? 0) ? [index] : []));
  const depthOf = (index: number) => cutTo[index] ?? 0;
  const groups = [...shorter]
    .sort((one, other) => depthOf(one) - depthOf(other))
    .reduce<number[][]>((made, index) => {
      const last = made.at(-1);
      if (last && depthOf(index) - depthOf(last[0] ?? 0) < ALIKE) last.push(index);
      else made.push([index]);
      return made;
    }, []);
  return groups.map((alike): Check => {
    const depth = depthOf(alike[0] ?? 0);
    alike.sort((one, other) => one - other);
    const letters = alike.map((index) => String.fromCharCode(65 + index));
    const named = `Dart${letters.length > 1 ? 's' : ''} ${LISTED.format(letters)} ${letters.length > 1 ? 'are' : 'is'}`;
    return {
      code: 'dart-shorter',
      level: 'note',
      title: 'Deeper would not help',
      phrase: [
        `${named} cut `,
        { mm: depth },
        ' deep: further into the floor the slab gathers more beside it, not less.',
      ],
    };
  });
}

/** A mould of clay takes pressing from leather-hard on. */
function checkMould({ form }: DrapedTarget): Check[] {
  if (form.kind !== 'mould' || form.own?.state !== 'soft') return [];
  return [
    {
      code: 'mould-soft',
      level: 'care',
      title: 'The mould is too soft',
      phrase: [
        'A mould of clay must be leather-hard or drier before a slab is pressed on it. ' +
          `In the open that takes about ${Math.round(hoursToStiffen(form.own))} hours; it depends on air and cover.`,
      ],
    },
  ];
}

/** Advice on a piece from a mould. */
export function checkDraped(target: DrapedTarget, developed: DevelopedForm, bench: Bench): Check[] {
  const large = checkSlabSize(developed.parts, bench.slab, null);
  return [...checkStrain(target, developed), ...checkMould(target), ...checkFit(target), ...(large ? [large] : [])];
}
