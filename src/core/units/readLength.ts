import { MM_PER, type LengthUnit } from './lengthUnit.ts';

/** A length as read, or the reason why it cannot be read. */
export type LengthReading =
  { readonly kind: 'length'; readonly mm: number } | { readonly kind: 'unreadable'; readonly rule: string };

type Token =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'unit'; readonly unit: LengthUnit }
  | { readonly kind: 'sign'; readonly sign: '+' | '-' | '*' | '/' };

const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
  mm: 'mm',
  cm: 'cm',
  '"': 'inch',
  '″': 'inch',
  '”': 'inch',
  in: 'inch',
  inch: 'inch',
  inches: 'inch',
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};

const TOKEN = /\s*(?:(\d+(?:[.,]\d+)?|[.,]\d+)(?:\s+(\d+)\s*\/\s*(\d+))?|(mm|cm|inches|inch|in|["″”])|([-+*/x×÷]))/iy;

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

function unreadable(rule: string): LengthReading {
  return { kind: 'unreadable', rule };
}

/** Splits the text into numbers (mixed fractions are one number), units and signs; null where a sign is unknown. */
function tokens(text: string): Token[] | null {
  const found: Token[] = [];
  TOKEN.lastIndex = 0;
  while (TOKEN.lastIndex < text.length) {
    const match = TOKEN.exec(text);
    if (!match) return null;
    const [, number, over, under, unit, sign] = match;
    if (number !== undefined) {
      const fraction = over && under ? Number(over) / Number(under) : 0;
      found.push({ kind: 'number', value: Number(number.replace(',', '.')) + fraction });
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
 * Reads a length as people write it: `84`, `8.4 cm`, `8,4 cm`, `3 5/16"`, `84/2`, `10 cm - 4 mm`.
 *
 * @param text what was typed; a number without a unit is in `shown`
 * @param shown the unit that the display is in
 * @returns the length in mm, which may be zero or negative, or the rule that the text breaks; never throws
 */
export function readLength(text: string, shown: LengthUnit): LengthReading {
  const plain = text.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => VULGAR[sign] ?? sign).trim();
  if (plain === '') return unreadable(EXAMPLES);
  const all = tokens(plain.replace(/^\s+(?=\d)/, ''));
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
  return { kind: 'length', mm: total };
}
