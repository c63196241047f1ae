import type { Phrase } from '../../units/phrase.ts';
import { toWet } from './wetSize.ts';
import type { Target } from '../../target/target.ts';

/** The figures that can say how they came about. */
export type FigureId =
  | 'cutLength'
  | 'cutHeight'
  | 'baseDiameter'
  | 'baseTopDiameter'
  | 'bevelRun'
  | 'arcFoot'
  | 'arcRim'
  | 'sweep'
  | 'slant'
  | 'girthFoot'
  | 'girthRim'
  | 'panelFoot'
  | 'panelRim'
  | 'panelWidest'
  | 'sideMitre'
  | 'slot'
  | 'handleLength'
  | 'lidAcross'
  | 'flangeLength'
  | 'slab'
  | 'insideRim'
  | 'insideFoot'
  | 'weighOut'
  | 'capacityBrim'
  | 'massFired';

/** One line of the working: the rule in words or symbols, the same with this piece's figures, and what comes out. */
export interface Step {
  readonly rule: string;
  readonly worked: Phrase;
  readonly gives: Phrase;
}

/** From a meant size to the wet one; nothing when it is meant wet. */
export function wetSizeSteps(words: string, size: number, target: Target): Step[] {
  if (target.size.state === 'wet') return [];
  return [
    {
      rule: `wet ${words} = fired ${words} ÷ (1 − shrinkage)`,
      worked: [{ mmPlain: size }, ` ÷ (1 − ${target.clay.shrinkage})`],
      gives: [{ mm: toWet(size, target) }],
    },
  ];
}

/** From the height that is meant to the wet one (mm). A former's height is wet already. */
export function wetHeightSteps(target: Target, height: number): Step[] {
  const { form } = target;
  if (!('height' in form) || form.kind === 'former' || toWet(form.height, target) !== height) return [];
  return wetSizeSteps('height', form.height, target);
}
