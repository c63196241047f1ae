import { formSizes } from '../../forms/formSizes.ts';
import { kindOfForm } from '../../forms/kinds.ts';
import { scaledBelly } from '../../target/belly.ts';
import { scaledSheet } from '../../forms/bentSheet/sheetForm.ts';
import type { Form, Target } from '../../target/target.ts';

/** What stays as it is while the rest is made larger or smaller. `width` keeps every plan size. */
export type Keep = 'proportions' | 'height' | 'width' | 'rim' | 'foot';

/** All ways to keep something while the piece is changed. */
export const KEEPS: readonly Keep[] = ['proportions', 'height', 'width', 'rim', 'foot'];

function isHeight(key: string): boolean {
  return key === 'height' || key === 'depth' || /^profile\.\d+\.0$/.test(key);
}

/** Whether a size belongs to the rim or the foot of a form. */
function belongsTo(form: Form, edge: 'rim' | 'foot', key: string): boolean {
  const path = kindOfForm(form).edges?.(form)?.[edge];
  return path !== undefined && (key === path || key.startsWith(`${path}.`));
}

/** What can be kept of a form: a rim and a foot of their own only where it has them. */
export function keepsOf(form: Form): readonly Keep[] {
  return kindOfForm(form).edges?.(form) ? KEEPS : KEEPS.filter((keep) => keep !== 'rim' && keep !== 'foot');
}

function isKept(form: Form, keep: Keep, key: string): boolean {
  switch (keep) {
    case 'proportions':
      return false;
    case 'height':
      return isHeight(key);
    case 'width':
      return !isHeight(key);
    case 'rim':
    case 'foot':
      return belongsTo(form, keep, key);
  }
}

/** Sizes that are not the piece's own: they stay as they are at any scale. */
const FIXED: readonly string[] = ['sleeve', 'cloth', 'margin', 'flange', 'clearance'];

/** Sizes without a field: drawn outlines and meshes grow, and darts are cut deeper in proportion to the mould. */
function withDrawn(form: Form, factor: number): Form {
  if (form.kind === 'sheet') return scaledSheet(form, factor);
  if (form.kind !== 'mould' && form.kind !== 'mesh') return form;
  const darts = form.darts && { darts: form.darts.map((dart) => ({ ...dart, depth: dart.depth * factor })) };
  if (form.kind === 'mould') return { ...form, ...darts };
  const vertices = form.vertices.map(([x, y, z]) => [factor * x, factor * y, factor * z] as const);
  return { ...form, vertices, ...darts };
}

/** The form with its sizes multiplied, as far as they are not kept. Counts, and what is not the piece's own, stay. */
export function scaledForm(form: Form, factor: number, keep: Keep): Form {
  return formSizes(form)
    .filter(({ key, unit }) => unit === 'length' && !FIXED.includes(key) && !isKept(form, keep, key))
    .reduce(
      (changed, { key, value }) => {
        const size = formSizes(changed).find((one) => one.key === key);
        return size ? size.put(value * factor) : changed;
      },
      withDrawn(form, keep === 'proportions' ? factor : 1),
    );
}

/** The design with its form's sizes multiplied, and its belly with them, as far as they are not kept. */
export function scaledTarget(target: Target, factor: number, keep: Keep): Target {
  const { belly, ...rest } = target;
  const form = scaledForm(target.form, factor, keep);
  if (belly === undefined) return { ...rest, form };
  const across = keep === 'width' ? 1 : factor;
  const up = keep === 'height' ? 1 : factor;
  return { ...rest, form, belly: scaledBelly(belly, across, up) };
}

/**
 * The design at another scale, developed for the same slab: a template that is printed at another percentage changes every
 * length except the slab's thickness, and does not fit. Its name says the scale.
 */
export function atScale(target: Target, factor: number): Target {
  const percent = Number((100 * factor).toFixed(1));
  const name = `${target.name.slice(0, 100)}, at ${percent} %`;
  return { ...scaledTarget(target, factor, 'proportions'), name };
}
