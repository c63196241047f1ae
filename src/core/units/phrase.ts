import { writeMass } from './mass.ts';
import { writeVolume } from './volume.ts';
import { apartStyle, systemsOf, writeFigure, writeLength, type LengthStyle } from './writeLength.ts';

/** A figure inside a sentence or formula that is written in the reader's unit. */
export type PhraseFigure =
  | { readonly mm: number }
  | { readonly mmPlain: number }
  | { readonly degrees: number }
  | { readonly percent: number }
  | { readonly grams: number }
  | { readonly ml: number };

/** A sentence or formula with its figures kept as numbers, so that one switch of units rewrites all of it. */
export type Phrase = readonly (string | PhraseFigure)[];

/** Writes one figure: `mm` with its unit, `mmPlain` without, angles and shares as they are, masses and volumes in what goes with the unit. */
export function writePhraseFigure(figure: PhraseFigure, style: LengthStyle): string {
  if ('mm' in figure) return writeLength(figure.mm, style);
  if ('mmPlain' in figure) return writeFigure(figure.mmPlain, style);
  if ('degrees' in figure) return `${figure.degrees.toFixed(1)}°`;
  if ('percent' in figure) return `${figure.percent.toFixed(1)} %`;
  if ('grams' in figure) return writeMass(figure.grams, systemsOf(style).mass);
  return writeVolume(figure.ml, systemsOf(style).volume);
}

/** Writes the whole phrase in the reader's unit; lengths in it that differ never read alike. */
export function writePhrase(phrase: Phrase, style: LengthStyle): string {
  const lengths = phrase.flatMap((part) => {
    if (typeof part === 'string') return [];
    return 'mm' in part ? [part.mm] : 'mmPlain' in part ? [part.mmPlain] : [];
  });
  const apart = lengths.length > 1 ? apartStyle(lengths, style) : style;
  return phrase.map((part) => (typeof part === 'string' ? part : writePhraseFigure(part, apart))).join('');
}
