import { plainFigures } from './plainFigures.ts';
import { MM_PER, type LengthUnit } from './lengthUnit.ts';

/** A length as read, with how it was read where the text could mean two things; or the reason why it cannot be read. */
export type LengthReading =
  | { readonly kind: 'length'; readonly mm: number; readonly note?: string }
  | { readonly kind: 'unreadable'; readonly rule: string };

type Token =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'unit'; readonly unit: LengthUnit }
  | { readonly kind: 'sign'; readonly sign: '+' | '-' | '*' | '/' };

const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
  mm: 'mm',
  cm: 'cm',
  '"': 'inch',
  in: 'inch',
  inch: 'inch',
  inches: 'inch',
};

const INCHES_PER_FOOT = 12;

/** A figure: with its decimals, and an exponent. */
const NUMBER = String.raw`(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?`;
/** Sixteenths of an inch and the like after a whole number, with a blank or a hyphen between: `3 5/16`, `3-5/16`. */
const FRACTION = String.raw`(?:\s+|-)(\d+)\/(\d+)`;
const FEET = new RegExp(
  String.raw`\s*(${NUMBER})\s*(?:'|ft\b|feet\b|foot\b)(?:\s*(${NUMBER})(?:${FRACTION})?\s*(?:"|inches\b|inch\b|in\b)?)?`,
  'iy',
);
const TOKEN = new RegExp(String.raw`\s*(?:(${NUMBER})(?:${FRACTION})?|(mm|cm|inches|inch|in|")|([-+*/x×÷]))`, 'iy');

const SIGNS: Readonly<Record<string, '+' | '-' | '*' | '/'>> = {
  '+': '+',
  '-': '-',
  '*': '*',
  x: '*',
  '×': '*',
  '/': '/',
  '÷': '/',
};

const EXAMPLES = 'write a length such as 84, 8.4 cm, 3 5/16" or 84/2';

/** Parts of an inch on a ruler: with one of these a hyphen joins, and takes nothing away. */
const RULED: readonly number[] = [2, 4, 8, 16, 32, 64];

function unreadable(rule: string): LengthReading {
  return { kind: 'unreadable', rule };
}

/** A whole number with a fraction after it; null where the hyphen between them takes away. */
function mixed(
  whole: string,
  {
    over,
    under,
    joined,
  }: { readonly over: string | undefined; readonly under: string | undefined; readonly joined: string },
): number | null {
  if (over === undefined || under === undefined) return Number(whole);
  if (/\d-\d/.test(joined) && (Number(over) >= Number(under) || !RULED.includes(Number(under)))) return null;
  return Number(whole) + Number(over) / Number(under);
}

/** Splits the text into numbers (mixed fractions, and feet with inches, are one number), units and signs; null where a sign is unknown. */
function tokens(text: string): Token[] | null {
  const found: Token[] = [];
  let at = 0;
  while (at < text.length) {
    FEET.lastIndex = at;
    const feet = FEET.exec(text);
    if (feet) {
      const [all, whole = '0', inches, over, under] = feet;
      const rest = inches === undefined ? 0 : mixed(inches, { over, under, joined: all.slice(all.indexOf("'") + 1) });
      if (rest === null) return null;
      found.push({ kind: 'number', value: INCHES_PER_FOOT * Number(whole) + rest }, { kind: 'unit', unit: 'inch' });
      at += all.length;
      continue;
    }
    TOKEN.lastIndex = at;
    const match = TOKEN.exec(text);
    if (!match) return null;
    const [all, number, over, under, unit, sign] = match;
    at += all.length;
    if (number !== undefined) {
      const value = mixed(number, { over, under, joined: all });
      found.push({ kind: 'number', value: value ?? Number(number) });
      // The hyphen takes away: what follows it is read again.
      if (value === null) at -= all.length - all.indexOf(number) - number.length;
    } else if (unit !== undefined) {
      found.push({ kind: 'unit', unit: UNIT_WORDS[unit.toLowerCase()] ?? 'mm' });
    } else if (sign !== undefined) {
      found.push({ kind: 'sign', sign: SIGNS[sign.toLowerCase()] ?? '+' });
    }
  }
  return found;
}

/** Reads one product (`84/2 cm`): numbers joined by times or over, with at most one unit for all of it. */
function readTerm(term: readonly Token[], shown: LengthUnit): LengthReading {
  let value = 1;
  let sign: '*' | '/' = '*';
  let unit: LengthUnit | null = null;
  let wants: 'number' | 'sign' = 'number';
  for (const token of term) {
    if (token.kind === 'number') {
      if (wants !== 'number') return unreadable(EXAMPLES);
      value = sign === '*' ? value * token.value : value / token.value;
      wants = 'sign';
    } else if (token.kind === 'unit') {
      if (wants === 'number') return unreadable(EXAMPLES);
      if (unit) return unreadable('has two units in one product; name the unit once');
      unit = token.unit;
    } else if (token.sign === '*' || token.sign === '/') {
      if (wants !== 'sign') return unreadable(EXAMPLES);
      sign = token.sign;
      wants = 'number';
    } else {
      return unreadable(EXAMPLES);
    }
  }
  if (wants === 'number') return unreadable(EXAMPLES);
  if (!Number.isFinite(value)) return unreadable('divides by nothing');
  return { kind: 'length', mm: value * MM_PER[unit ?? shown] };
}

/**
 * Reads a length as people write it: `84`, `8.4 cm`, `8,4 cm`, `1 200`, `1e3`, `3 5/16"`, `3-5/16"`, `1' 2 1/2"`, `84/2`,
 * `10 cm - 4 mm`; with typographic fractions and primes, and full-width figures.
 *
 * @param text what was typed; a number without a unit is in `shown`
 * @param shown the unit that the display is in
 * @returns the length in mm, which may be zero or negative, with a note where a comma could mean two things; or the rule that
 *   the text breaks; never throws
 */
export function readLength(text: string, shown: LengthUnit): LengthReading {
  const { plain, note } = plainFigures(text);
  if (plain === '') return unreadable(EXAMPLES);
  const all = tokens(plain);
  if (!all) return unreadable(EXAMPLES);
  let total = 0;
  let sign = 1;
  let term: Token[] = [];
  for (const token of [...all, { kind: 'sign', sign: '+' } as const]) {
    if (token.kind === 'sign' && (token.sign === '+' || token.sign === '-')) {
      if (term.length === 0 && total === 0 && sign === 1 && token.sign === '-') {
        sign = -1;
        continue;
      }
      const reading = readTerm(term, shown);
      if (reading.kind === 'unreadable') return reading;
      total += sign * reading.mm;
      sign = token.sign === '-' ? -1 : 1;
      term = [];
    } else {
      term.push(token);
    }
  }
  return { kind: 'length', mm: total, ...(note !== null && { note }) };
}
