/** Figures as a keyboard has them, and how a comma was read where it could mean two things. */
export interface PlainFigures {
  readonly plain: string;
  readonly note: string | null;
}

/** Fractions of one sign: ½, ¾, ⅛ and the like. */
const ONE_SIGN = /[\u00BC-\u00BE\u2150-\u215E]/g;

/** Groups of three figures with blanks (also narrow ones) or apostrophes between: `1 200`, `12 000`. */
const BLANK_GROUPS = /(?<![\d.,])\d{1,3}(?:[ \u00A0\u2009\u202F]\d{3})+(?![\d/]| ?\/)/g;

/** ... with commas, where they can only be thousands: more than one group, or decimals after them. */
const COMMA_GROUPS = /(?<![\d.])\d{1,3}(?:(?:,\d{3}){2,}(?:\.\d+)?|,\d{3}\.\d+)(?![\d,])/g;

/** ... and one group, which could be three decimals. */
const ONE_GROUP = /(?<![\d.,])[1-9]\d{0,2},\d{3}(?![\d,.])/g;

/**
 * Writes figures as they are read further on: typographic fractions, primes, minus and full-width signs as plain ones,
 * thousands closed up, a decimal comma as a point.
 */
export function plainFigures(text: string): PlainFigures {
  let note: string | null = null;
  const plain = text
    .replace(/[″”“]|''|′′/g, '"')
    .replace(/[′’‘`´]/g, "'")
    .replace(ONE_SIGN, (sign) => ` ${sign.normalize('NFKC')}`)
    .replace(/[\uFF01-\uFF5E]/g, (sign) => sign.normalize('NFKC'))
    .replace(/[⁄∕]/g, '/')
    .replace(/[−–—]/g, '-')
    .replace(BLANK_GROUPS, (group) => group.replace(/\D/g, ''))
    .replace(COMMA_GROUPS, (group) => group.replaceAll(',', ''))
    .replace(ONE_GROUP, (group) => {
      const whole = group.replace(',', '');
      note = `read as ${whole}; with a point it is ${group.replace(',', '.')}`;
      return whole;
    })
    .replace(/(\d),(?=\d)|,(?=\d)/g, (_, before: string | undefined) => `${before ?? ''}.`)
    .trim();
  return { plain, note };
}
