import { heightRow, sizesOf, type FormSize } from './formSize.ts';
import type { RoughSize } from './kind.ts';
import { SIZE, type Ranged } from './ranged.ts';
import type { BoxForm, OvalForm } from '../../target/target.ts';

/** What an oval and a box have in common: a length, a width and a height. */
export const longForm = {
  ranges: ({ length, width, height }: OvalForm | BoxForm): readonly Ranged[] => [
    ['length', length, SIZE],
    ['width', width, SIZE],
    ['height', height, SIZE],
  ],
  sizes: (form: OvalForm | BoxForm): readonly FormSize[] =>
    sizesOf(form, [['length', 'Length', form.length], ['width', 'Width', form.width], heightRow(form.height)]),
  rough: ({ length, height }: OvalForm | BoxForm): RoughSize => ({ rim: length, foot: length, height }),
};
