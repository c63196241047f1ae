import type { FormSize } from '../../../core/forms/kind/formSize.ts';
import { additionSizes } from '../../../core/forms/additionSizes.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import { formSizes } from '../../../core/forms/formSizes.ts';
import { kindOfForm } from '../../../core/forms/kinds.ts';
import type { Target } from '../../../core/target/target.ts';

/** A size that can be dragged on the elevation: where its handle sits on the fired outline (mm), and which way it goes. */
export interface DraggedSize {
  readonly size: Pick<FormSize, 'key' | 'label' | 'value'>;
  readonly axis: 'across' | 'up';
  /** Height of the handle above the table and its distance from the middle, as shares of the fired piece, or as it is drawn (fired mm). */
  readonly at:
    { readonly height: number; readonly reach: 'middle' | 'right' } | { readonly point: readonly [number, number] };
  /** How the size grows with the drag, and whether it is fired whatever the piece's sizes are. */
  readonly factor: number;
  readonly fired: boolean;
}

/** The handle's curve is drawn by its two ends and the place where it stands out most. */
function gripsOf(target: Target): DraggedSize[] {
  const { grips } = elevation(target, 'fired');
  if (!grips) return [];
  const sizes = additionSizes(target, 'handle');
  const grip = (
    key: string,
    axis: DraggedSize['axis'],
    { point, factor }: { readonly point: readonly [number, number]; readonly factor: number },
  ) =>
    sizes
      .filter((size) => size.key === `handle.${key}`)
      .map((size): DraggedSize => ({ size, axis, at: { point }, factor, fired: true }));
  return [
    ...grip('below', 'up', { point: grips.upper, factor: -1 }),
    ...grip('projection', 'across', { point: grips.crest, factor: 1 }),
    ...grip('drop', 'up', { point: grips.lower, factor: -1 }),
  ];
}

/** Sizes with a handle, by their key: heights of the handles in the size that the form is given in. */
function handleOf(size: FormSize, height: number, profile: readonly (readonly [number, number])[]): DraggedSize | null {
  const across = (at: number): DraggedSize => ({
    size,
    axis: 'across',
    at: { height: at, reach: 'right' },
    factor: 2,
    fired: false,
  });
  const up = (at: number): DraggedSize => ({
    size,
    axis: 'up',
    at: { height: at, reach: 'middle' },
    factor: 1,
    fired: false,
  });
  const point = /^profile\.(\d+)\.([01])$/.exec(size.key);
  if (point) {
    const at = profile[Number(point[1])]?.[0] ?? 0;
    if (point[2] === '1') return across(at / height);
    return up(at / height);
  }
  switch (size.key) {
    case 'height':
    case 'depth':
      return up(1);
    case 'diameter':
    case 'ball':
      return across(0.5);
    case 'roll':
      return { ...up(1), fired: true };
    case 'rim':
    case 'length':
    case 'rim.diameter':
    case 'rim.length':
    case 'rim.acrossFlats':
      return across(1);
    case 'foot':
    case 'foot.diameter':
    case 'foot.length':
    case 'foot.acrossFlats':
      return across(0);
    default:
      return null;
  }
}

/** Sizes of a piece that can be dragged on its elevation. */
export function draggedSizes(target: Target): DraggedSize[] {
  const { form } = target;
  const profile = kindOfForm(form).profile?.(form) ?? [];
  const height = profile.at(-1)?.[0] ?? ('height' in form ? form.height : 1);
  const sizes = formSizes(form)
    .map((size) => handleOf(size, height, profile))
    .filter((handle) => handle !== null);
  return [...sizes, ...gripsOf(target)];
}
