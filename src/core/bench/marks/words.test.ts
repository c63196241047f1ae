import type { Part } from '../../parts/part/part.ts';
import { develop } from '../../piece/develop.ts';
import { level } from '../../piece/targets.test.helper.ts';
import type { Form, Target, WallMarks } from '../../target/target.ts';

const FORMS: readonly Form[] = [
  { kind: 'cylinder', diameter: 84, height: 110 },
  { kind: 'taper', rim: 120, foot: 80, height: 90 },
  { kind: 'oval', length: 150, width: 100, height: 60 },
  {
    kind: 'loft',
    rim: { kind: 'ellipse', length: 150, width: 100 },
    foot: { kind: 'circle', diameter: 80 },
    height: 70,
  },
  { kind: 'facet', sides: 6, rim: 90, foot: 80, height: 80, fold: 'separate' },
  { kind: 'facet', sides: 6, rim: 90, foot: 80, height: 80, fold: 'strip' },
  { kind: 'box', length: 120, width: 80, height: 60 },
];
const marked = (form: Form, marks: WallMarks, more: Parameters<typeof level>[1] = {}): Target => ({
  ...level(form, more),
  marks,
});
const wordsOf = ({ parts }: { readonly parts: readonly Part[] }) =>
  parts.flatMap(({ marks }) => marks.flatMap((mark) => (mark.kind === 'words' ? [mark] : [])));
const heldBy = (target: Target, text: string) => wordsOf(develop(target)).find((mark) => mark.text.startsWith(text));

describe('words on the wall', () => {
  it.each(FORMS)('of a feature stand at its angle on a $kind', (form) => {
    const target = marked(form, { places: [{ kind: 'feature', at: 180, text: 'face' }] });
    expect(heldBy(target, 'face')).toBeDefined();
    const lines = develop(target).parts.flatMap(({ marks }) =>
      marks.filter((mark) => mark.kind === 'line' && mark.name === 'place'),
    );
    expect(lines).toHaveLength(1);
  });

  it.each(FORMS)('go where they are moved on a $kind: round, and up', (form) => {
    const at = (where: number, up: number) =>
      heldBy(marked(form, { text: 'car four', textAt: { at: where, up } }), 'car four')?.at;
    const [low, high] = [at(90, 0.2), at(90, 0.8)];
    const aside = at(120, 0.2);
    if (!low || !high || !aside) throw new Error('no words');
    expect(Math.hypot(high[0] - low[0], high[1] - low[1])).toBeGreaterThan(25);
    expect(Math.hypot(aside[0] - low[0], aside[1] - low[1]) > 5 || form.kind === 'facet' || form.kind === 'box').toBe(
      true,
    );
  });
});

describe('every other panel', () => {
  it.each([
    [6, 1, 3, false],
    [7, 1, 4, true],
    [6, 2, 2, true],
    [8, 2, 2, false],
  ])('of %d in %d pieces has %d signs on what is cut, and clashes at the seam: %s', (count, pieces, signs, clash) => {
    const target = marked(
      { kind: 'cylinder', diameter: 120, height: 60 },
      { panels: { count, marked: 'every-other' } },
      { seam: { kind: 'butt', panels: pieces } },
    );
    const developed = develop(target);
    expect(wordsOf(developed).filter(({ text }) => text === '×')).toHaveLength(signs);
    expect(developed.checks.some(({ code }) => code === 'panels-odd')).toBe(clash);
  });

  it('of an oval in two panels are counted right round', () => {
    const target = marked(
      { kind: 'oval', length: 150, width: 100, height: 60 },
      { panels: { count: 8, marked: 'every-other' } },
      { seam: { kind: 'butt', panels: 2 } },
    );
    expect(wordsOf(develop(target)).filter(({ text }) => text === '×').length).toBeGreaterThan(1);
  });
});
