import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const css = readFileSync(join(import.meta.dirname, 'table.css'), 'utf8');

/** The colours of a light by their names. */
function coloursOf(light: 'day' | 'evening'): Readonly<Record<string, string>> {
  const block = new RegExp(`\\.v-theme--${light} \\{([^}]*)\\}`).exec(css)?.[1] ?? '';
  return Object.fromEntries([...block.matchAll(/--([\w-]+): (#[0-9a-f]{6})/g)].map(([, name, value]) => [name, value]));
}

/** Relative luminance of a colour (WCAG 2.2). */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Contrast of two colours, 1 to 21. */
export function contrast(one: string, other: string): number {
  const [low = 0, high = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (high + 0.05) / (low + 0.05);
}

/** What is written on what: words need 4.5; lines, edges and grips that say something need 3. */
const WORDS: readonly (readonly [ink: string, ground: readonly string[]])[] = [
  ['ink', ['ground', 'panel', 'cloth', 'cloth-weave', 'slab', 'wood', 'note', 'care', 'stop', 'press-soft']],
  ['ink-soft', ['ground', 'panel', 'cloth', 'cloth-weave']],
  ['press', ['ground', 'panel', 'cloth', 'cloth-weave', 'press-soft']],
  ['press-ink', ['press']],
  ['bar-ink', ['bar']],
  ['bar-soft', ['bar']],
];
const LINES: readonly (readonly [line: string, ground: readonly string[]])[] = [
  ['ink-soft', ['cloth', 'cloth-weave', 'slab']],
  ['slab-edge', ['cloth', 'cloth-weave', 'slab']],
  ['press', ['cloth', 'cloth-weave']],
  ['note-edge', ['note']],
  ['care-edge', ['care']],
  ['stop-edge', ['stop']],
];

describe.each(['day', 'evening'] as const)('colours by %s', (light) => {
  const colours = coloursOf(light);
  const weak = (pairs: typeof WORDS, least: number) =>
    pairs.flatMap(([ink, grounds]) =>
      grounds
        .map((ground) => ({ on: `${ink} on ${ground}`, ratio: contrast(colours[ink] ?? '', colours[ground] ?? '') }))
        .filter(({ ratio }) => !(ratio >= least)),
    );

  it('are those that this test knows', () => {
    for (const [ink, grounds] of [...WORDS, ...LINES])
      for (const name of [ink, ...grounds]) expect(colours).toHaveProperty(name);
  });

  it('let words be read on the cloth, on clay and on advice', () => {
    expect(weak(WORDS, 4.5)).toEqual([]);
  });

  it('let lines and edges be seen', () => {
    expect(weak(LINES, 3)).toEqual([]);
  });
});
