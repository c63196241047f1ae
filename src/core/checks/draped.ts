import type { DrapedTarget } from '../mould/draped.ts';
import { limitsOf } from '../mould/limits.ts';
import type { StrainLimits } from '../mould/mouldForm.ts';
import type { DevelopedForm } from '../piece/kinds/kind.ts';
import type { Bench } from './bench.ts';
import type { Check } from './check.ts';
import { checkFit } from './fit.ts';
import { checkSlabSize } from './slabSize.ts';

/** A slab that gives less than this part of its limits lies down by itself. A rule of the bench. */
export const BY_ITSELF = 1 / 3;

/** More gather than this (fraction) is not cut out in darts: the piece is made from sections. A rule of the bench. */
export const SECTIONS_BEYOND = 0.3;

/** What is to be done with a slab on its mould. */
export type DrapeAdvice = 'by-itself' | 'rib' | 'darts' | 'sections';

/** Advice by the greatest stretch and gather (fractions). */
export function drapeAdvice(most: StrainLimits, limits: StrainLimits): DrapeAdvice {
  if (most.gather > SECTIONS_BEYOND) return 'sections';
  if (most.stretch > limits.stretch || most.gather > limits.gather) return 'darts';
  const easy = most.stretch <= BY_ITSELF * limits.stretch && most.gather <= BY_ITSELF * limits.gather;
  return easy ? 'by-itself' : 'rib';
}

/** Words for each advice: its level, its title and what to do. */
const WORDS: Readonly<Record<DrapeAdvice, readonly [Check['level'], string, string]>> = {
  'by-itself': ['note', 'Lies down by itself', 'Press it on with the flat hand from the middle out.'],
  rib: ['note', 'Works with a rib', 'Ease it down from the middle out with a soft rib, a little at a time, all round.'],
  darts: ['care', 'Needs darts', 'It would fold at the rim: cut darts, or use a softer slab and a shallower mould.'],
  sections: ['stop', 'Make it from sections instead', 'No dart takes so much: a foot disc with tapered bands round it does.'], // prettier-ignore
};

/** At every key a quick blank is drawn, too coarse to be judged by. */
const UNLAID: Check = { code: 'drape', level: 'note', title: 'The blank is being laid', phrase: ['What the clay must do follows in a moment.'] }; // prettier-ignore

function checkStrain(target: DrapedTarget, { blank }: DevelopedForm): Check[] {
  if (!blank) return [];
  if (!blank.fine) return [UNLAID];
  const { stretch, gather, thin } = blank.strain.most;
  const limits = limitsOf(target);
  const [level, title, todo] = WORDS[drapeAdvice({ stretch, gather }, limits)];
  return [
    {
      code: 'drape',
      level,
      title,
      phrase: [
        'It stretches up to ',
        { percent: 100 * Math.max(0, stretch) },
        ` (this clay takes ${(100 * limits.stretch).toFixed(0)} %) and gathers up to `,
        { percent: 100 * Math.max(0, gather) },
        ` (${(100 * limits.gather).toFixed(0)} %); its thinnest place keeps `,
        { mm: thin * target.slab.wall },
        `. ${todo}`,
      ],
    },
    ...blank.missed.map((index): Check => ({ code: 'dart-missed', level: 'stop', title: `Dart ${index + 1} is not cut`, phrase: ['It misses the blank or crosses another one. Move it, or make it shorter.'] })), // prettier-ignore
  ];
}

/** A mould of clay takes pressing from leather-hard on. */
function checkMould({ form }: DrapedTarget): Check[] {
  if (form.kind !== 'mould' || form.own?.state !== 'soft') return [];
  return [{ code: 'mould-soft', level: 'care', title: 'The mould is too soft', phrase: ['A mould of clay must be leather-hard or drier before a slab is pressed on it. Let it stiffen first.'] }]; // prettier-ignore
}

/** Advice on a piece from a mould. */
export function checkDraped(target: DrapedTarget, developed: DevelopedForm, bench: Bench): Check[] {
  const large = checkSlabSize(developed.parts, bench.slab, null);
  return [...checkStrain(target, developed), ...checkMould(target), ...checkFit(target), ...(large ? [large] : [])];
}
