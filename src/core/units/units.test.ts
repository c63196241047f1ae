import { readLength } from './readLength.ts';
import { writePhrase } from './phrase.ts';
import { seeded } from '../seeded.ts';
import { writeBetween } from './writeBetween.ts';
import { apartStyle, lengthRule, writeEditable, writeFigure, writeLength } from './writeLength.ts';
import { LENGTH_UNITS } from './lengthUnit.ts';

describe('readLength', () => {
  it.each([
    ['84', 'mm', 84],
    ['84', 'cm', 840],
    ['84', 'inch', 84 * 25.4],
    [' 84 ', 'mm', 84],
    ['8.4 cm', 'mm', 84],
    ['8,4cm', 'inch', 84],
    ['.5', 'mm', 0.5],
    ['3 5/16"', 'mm', 84.1375],
    ['3 5/16', 'inch', 84.1375],
    ['3½″', 'mm', 88.9],
    ['½ in', 'mm', 12.7],
    ['5/16"', 'mm', 7.9375],
    ['84/2', 'mm', 42],
    ['84 / 2 cm', 'mm', 420],
    ['8.4 cm/2', 'mm', 42],
    ['3 x 12 mm', 'cm', 36],
    ['10 cm - 4 mm', 'inch', 96],
    ['1 1/2 in + 2 mm', 'mm', 40.1],
    ['-5', 'mm', -5],
    ['0', 'mm', 0],
    ['3-5/16"', 'mm', 84.1375],
    ['3-5/16', 'inch', 84.1375],
    ['3 - 5/16', 'inch', 68.2625],
    ['10-4', 'mm', 6],
    ['10-4/3', 'mm', 10 - 4 / 3],
    ['1\'2"', 'mm', 355.6],
    ["1'2", 'inch', 355.6],
    ['1\' 2 1/2"', 'mm', 368.3],
    ['1\' 2-1/2"', 'mm', 368.3],
    ['1′ 2½″', 'mm', 368.3],
    ['1 ft 2 in', 'mm', 355.6],
    ["2'", 'mm', 609.6],
    ["1' + 2 mm", 'mm', 306.8],
    ['3 5⁄16”', 'mm', 84.1375],
    ['3⅝"', 'mm', 92.075],
    ['8,4', 'mm', 8.4],
    ['8,40 cm', 'mm', 84],
    ['1 200', 'mm', 1200],
    ['12\u202F000', 'mm', 12_000],
    ['1,200', 'mm', 1200],
    ['1,200,000', 'mm', 1_200_000],
    ['1,200.5', 'mm', 1200.5],
    ['0,125', 'inch', 3.175],
    ['1e3', 'mm', 1000],
    ['1.5E+2', 'mm', 150],
    ['８４', 'mm', 84],
    ['８．４ｃｍ', 'mm', 84],
    ['84 − 2', 'mm', 82],
    ['84mm', 'cm', 84],
  ] as const)('reads %s, shown in %s, as %d mm', (text, unit, mm) => {
    const reading = readLength(text, unit);
    expect(reading.kind).toBe('length');
    expect(reading.kind === 'length' && reading.mm).toBeCloseTo(mm, 9);
  });

  it.each([
    '',
    '   ',
    'wide',
    '84 furlongs',
    '84 84',
    '8/0',
    '2 cm x 3 cm',
    '3 5/',
    '+',
    '4 *',
    '1e',
    "'",
    "1''2'",
    '1,2,3',
    '1 20',
    'cm',
    '4 - -3',
  ])('refuses "%s" with a rule', (text) => {
    const reading = readLength(text, 'mm');
    expect(reading).toEqual({ kind: 'unreadable', rule: expect.stringMatching(/\w+/) });
  });

  it('says how a comma was read that could mean two things', () => {
    const note = (text: string) => {
      const reading = readLength(text, 'mm');
      return reading.kind === 'length' && reading.note;
    };
    expect(note('1,200')).toBe('read as 1200; with a point it is 1.200');
    for (const text of ['1 200', '1,200,000', '1,200.5', '8,4', '0,125', '12,25']) expect(note(text)).toBeUndefined();
  });
});

describe('writing lengths', () => {
  it.each([
    [84, { unit: 'mm' }, '84.0 mm'],
    [84, { unit: 'cm' }, '8.40 cm'],
    [84, { unit: 'inch' }, '3 5/16"'],
    [84.9, { unit: 'inch', marks: 32 }, '3 11/32"'],
    [25.4, { unit: 'inch' }, '1"'],
    [25.39, { unit: 'inch' }, '1"'],
    [6.35, { unit: 'inch' }, '1/4"'],
    [-0.01, { unit: 'mm' }, '0.0 mm'],
    [-12.7, { unit: 'inch' }, '−1/2"'],
  ] as const)('writes %d in %j as %s', (mm, style, text) => {
    expect(writeLength(mm, style)).toBe(text);
  });

  it('reads back what it writes to be edited, in every unit', () => {
    for (let mm = 0.5; mm < 400; mm += 3.37) {
      for (const unit of LENGTH_UNITS) {
        const reading = readLength(writeEditable(mm, { unit }), unit);
        expect(reading.kind === 'length' && Math.abs(reading.mm - mm)).toBeLessThan(0.003);
      }
    }
  });

  it('stays within half a mark of an inch ruler', () => {
    for (let mm = 1; mm < 300; mm += 1.7) {
      for (const marks of [16, 32] as const) {
        const reading = readLength(`${writeFigure(mm, { unit: 'inch', marks })}"`, 'inch');
        expect(reading.kind === 'length' && Math.abs(reading.mm - mm)).toBeLessThanOrEqual(25.4 / marks / 2 + 1e-9);
      }
    }
  });

  it('writes every kind of figure in a phrase', () => {
    const phrase = [
      'a ',
      { mm: 84 },
      { mmPlain: 10 },
      { degrees: 45 },
      { percent: 6.7 },
      { grams: 740.2 },
      { ml: 443.6 },
    ];
    expect(writePhrase(phrase, { unit: 'cm' })).toBe('a 8.40 cm1.0045.0°6.7 %740 g444 ml');
  });
});

describe('figures that differ', () => {
  it.each([
    [[84.1, 84.4], { unit: 'inch' }, ['3 5/16', '3 21/64']],
    [[84.1, 90], { unit: 'inch' }, ['3 5/16', '3 9/16']],
    [[83.52, 83.48], { unit: 'mm' }, ['83.52', '83.48']],
    [[84.14, 84.14], { unit: 'inch' }, ['3 5/16', '3 5/16']],
    [[5, 5.5], { unit: 'inch' }, ['3/16', '7/32']],
  ] as const)('%j in %j read %j', (mms, style, wanted) => {
    const finer = apartStyle(mms, style);
    expect(mms.map((mm) => writeFigure(mm, finer))).toEqual(wanted);
  });

  it('never read alike in one sentence, in any unit, down to a tenth of a millimetre', () => {
    const random = seeded(1613);
    const alike: string[] = [];
    for (let round = 0; round < 2000; round += 1) {
      const is = 5 + 200 * random();
      const needs = is + (random() < 0.5 ? -1 : 1) * (0.2 + random());
      for (const unit of LENGTH_UNITS) {
        const [one, other] = writePhrase([{ mmPlain: is }, '|', { mmPlain: needs }], { unit }).split('|');
        if (one === other) alike.push(`${is} and ${needs} mm in ${unit}: ${one}`);
      }
    }
    expect(alike).toEqual([]);
  });

  it.each([
    [83.9, 84.3, { unit: 'inch' }, '3 5/16 ± 1/64"'],
    [83.5, 84.6, { unit: 'mm' }, 'between 83.5 and 84.6 mm'],
    [84.01, 84.04, { unit: 'mm' }, '84.0 ± 0.02 mm'],
    [84, 84, { unit: 'cm' }, '8.40 cm'],
  ] as const)('from %d to %d in %j: %s', (low, high, style, words) => {
    expect(writeBetween(low, high, style)).toBe(words);
  });

  it('never tells an interval narrower than it is', () => {
    const random = seeded(1614);
    let narrow = 0;
    const narrower: string[] = [];
    for (let round = 0; round < 3000; round += 1) {
      const low = 5 + 200 * random();
      const high = low + 1.2 * random() ** 3;
      for (const unit of LENGTH_UNITS) {
        const told = / ± (.+)$/.exec(writeBetween(low, high, { unit }))?.[1];
        if (told === undefined) continue;
        narrow += 1;
        const reading = readLength(told, unit);
        if (!(reading.kind === 'length' && reading.mm > (high - low) / 2 - 1e-6))
          narrower.push(`${low} ${high}: ${told}`);
      }
    }
    expect(narrower).toEqual([]);
    expect(narrow).toBeGreaterThan(500);
  });
});

describe('rules in the reader’s unit', () => {
  it.each([
    [{ code: 'out-of-range', rule: 'must be from 1 to 40' }, { unit: 'inch' }, 'must be from 1/16" to 1 9/16"'],
    [
      { code: 'out-of-range', rule: 'must be greater than 0 and at most 5000' },
      { unit: 'cm' },
      'must be greater than 0.00 cm and at most 500.00 cm',
    ],
    [
      { code: 'impossible-piece', rule: 'must be less than half the outside (46.5 mm)' },
      { unit: 'inch' },
      'must be less than half the outside (1 13/16")',
    ],
    [{ code: 'impossible-piece', rule: 'takes 3 pieces of 20 mm' }, { unit: 'mm' }, 'takes 3 pieces of 20.0 mm'],
  ] as const)('%j in %j', (fault, style, words) => {
    expect(lengthRule(fault, style)).toBe(words);
  });
});
