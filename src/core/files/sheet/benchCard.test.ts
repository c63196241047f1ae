import { orderOfWork } from '../../studio/making/orderOfWork.ts';
import { DEFAULT_SCHOOLS } from '../../studio/making/workStep.ts';
import { develop } from '../../piece/develop.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { randomTarget } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import { benchCard, wrapped } from './benchCard.ts';
import { textWidth } from './roomForWords.ts';
import { PAPERS } from '../../studio/printer/paper.ts';

function cardOf(target: Target, student?: string) {
  const developed = develop(target);
  const steps = orderOfWork(target, { developed, slabs: developed.slabs, schools: DEFAULT_SCHOOLS });
  const items = benchCard(
    {
      target,
      developed,
      steps,
      style: { unit: 'mm' },
      whole: `${target.name} · revision 3`,
      ...(student !== undefined && { student }),
    },
    PAPERS.a4,
  );
  return { steps, items, texts: items.flatMap((item) => (item.kind === 'text' ? [item] : [])) };
}

describe('a bench card', () => {
  it('has the sizes wet and fired, the slab, what is weighed, leans and every act', () => {
    const { texts, steps } = cardOf(newTarget('Rack tumbler'), 'Ann');
    const words = texts.map(({ text }) => text);
    for (const wanted of [
      'Rack tumbler',
      'Ann',
      '95.5 mm',
      '84.0 mm',
      '125.0 mm',
      '110.0 mm',
      '6.0 mm',
      'Weigh out 737 g.',
      'Wall: right end spread 45°, left end tuck 45°',
    ])
      expect(words).toContain(wanted);
    steps.forEach(({ title }, index) =>
      expect(words.some((text) => text.startsWith(`${index + 1}. ${title.split(' ')[0]}`))).toBe(true),
    );
    expect(words.some((text) => /^Let the parts stiffen: from about .* to about/.test(text))).toBe(true);
  });

  it('can be read from a step and a half away: its figures are 7 mm high', () => {
    const large = cardOf(newTarget('Rack tumbler'))
      .texts.filter(({ size }) => size >= 7)
      .map(({ text }) => text);
    expect(large).toEqual(expect.arrayContaining(['95.5 mm', '125.0 mm', '6.0 mm']));
  });

  it('stays on its page, words beside one another, for 40 made-up pieces', () => {
    const random = seeded(31);
    for (let index = 0; index < 40; index += 1) {
      const { texts } = cardOf({ ...randomTarget(random), name: 'A name of some length' });
      const boxes = texts.map(({ text, size, at, anchor }) => {
        const wide = textWidth(text, size);
        const left = anchor === 'start' ? at[0] : at[0] - wide;
        return { text, left, right: left + wide, low: at[1], high: at[1] + 0.7 * size };
      });
      for (const { low, left } of boxes) expect(low >= 10 && left >= 9).toBe(true);
      boxes.forEach((one, at) =>
        boxes.slice(at + 1).forEach((other) => {
          const meet = one.left < other.right && other.left < one.right && one.low < other.high && other.low < one.high;
          if (meet) expect([one.text, other.text]).toEqual(['apart', 'apart']);
        }),
      );
    }
  });

  it('breaks its lines between words', () => {
    expect(wrapped('one two three', 4, textWidth('one two', 4))).toEqual(['one two', 'three']);
    expect(wrapped('incomprehensibility', 4, 5)).toEqual(['incomprehensibility']);
  });
});
