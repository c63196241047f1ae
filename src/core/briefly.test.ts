import { briefly } from './briefly.ts';

describe('a short text that stands for a long one', () => {
  it('is that of the standard hash', () => {
    // From the tables of FNV-1a, 32 bits.
    expect(briefly('')).toBe(`0-${(0x811c9dc5).toString(36)}`);
    expect(briefly('a')).toBe(`1-${(0xe40c292c).toString(36)}`);
    expect(briefly('foobar')).toBe(`6-${(0xbf9cf968).toString(36)}`);
  });

  it('is another for each of 20,000 texts that differ by little, and short', () => {
    const texts = Array.from({ length: 20_000 }, (_, index) => `{"height":${100 + index / 100}}`);
    const brief = texts.map(briefly);
    expect(new Set(brief).size).toBe(texts.length);
    expect(Math.max(...brief.map(({ length }) => length))).toBeLessThan(12);
  });
});
