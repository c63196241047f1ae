import { isDraped, offsetsOf } from './draped.ts';
import type { Explained } from '../kind/kind.ts';
import type { FigureId, Step } from '../kind/step.ts';

/** How a blank came about: which surface is laid flat, and what is added. */
export function explainBlank(figure: FigureId, { target, developed: { numbers } }: Explained): Step[] {
  if (!isDraped(target) || (figure !== 'cutLength' && figure !== 'cutHeight')) return [];
  const { neutral } = offsetsOf(target);
  const out = neutral >= 0 ? 'out of' : 'into';
  const surface: Step = {
    rule: `neutral surface = the mould moved ${out} the piece's outside by the cloth and its part of the slab`,
    worked: [{ mmPlain: target.form.cloth ?? 0 }, ' + ', { mmPlain: Math.abs(neutral) - (target.form.cloth ?? 0) }],
    gives: [{ mm: Math.abs(neutral) }],
  };
  const laid: Step = {
    rule: 'that surface is laid flat so that it must stretch and gather as little as it can; its area in square centimetres',
    worked: [`${((numbers.area ?? 0) / 100).toFixed(1)} cm²`],
    gives: [`${((numbers.area ?? 0) / 100).toFixed(1)} cm²`],
  };
  const margin: Step = {
    rule: 'the line that is cut lies outside it by the margin, all round',
    worked: ['+ ', { mm: target.form.margin }],
    gives: [{ mm: target.form.margin }],
  };
  return [surface, laid, margin];
}
