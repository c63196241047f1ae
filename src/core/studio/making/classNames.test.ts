import { CLASS_LIMITS, namesIn } from './classNames.ts';

describe('names of a class', () => {
  it.each<[string, string[]]>([
    ['', []],
    ['Ada\nBen\n\n Cleo ', ['Ada', 'Ben', 'Cleo']],
    ['Ada\r\nBen', ['Ada', 'Ben']],
    ['Ada, Ben; Cleo', ['Ada', 'Ben', 'Cleo']],
    ['Lovelace, Ada\nO’Hara, Ben', ['Lovelace, Ada', 'O’Hara, Ben']],
    ['"Ada"\n"Ben"', ['Ada', 'Ben']],
    ['A\u202Eda\nB\u0000en', ['Ada', 'Ben']],
    ['Ada', ['Ada']],
  ])('in %j are %j', (text, wanted) => {
    expect(namesIn(text)).toEqual(wanted);
  });

  it('are no more and no longer than a making holds', () => {
    const found = namesIn(Array.from({ length: 99 }, (_, index) => `${index} ${'x'.repeat(90)}`).join('\n'));
    expect(found).toHaveLength(CLASS_LIMITS.names);
    expect(Math.max(...found.map(({ length }) => length))).toBe(CLASS_LIMITS.name);
  });
});
