import type { MouldForm } from '../../target/mouldForm.ts';
import { planShrunk, supportOf } from '../../parts/plan/plan.ts';
import type { PlanOutline } from '../../target/plan.ts';
import { acrossOf } from '../../forms/kind/standing.ts';
import { sizeOf, type KitItem } from './kit.ts';

/** A mould of the kit as it was drawn: the tool alone, without what a piece adds to it. */
export type KitMould = Pick<MouldForm, 'rim' | 'foot' | 'depth' | 'wall' | 'profile' | 'side' | 'own'>;

/** Sizes that differ by less count as equal (mm). */
const SAME = 0.05;

/** The tool of a form: its outlines, wall and depth. */
function toolOf({ rim, foot, depth, wall, profile, side, own }: MouldForm): KitMould {
  return { rim, ...(foot && { foot }), depth, wall, ...(profile && { profile }), side, ...(own && { own }) };
}

/** The mould of a piece as a thing of the kit. */
export function kitMould(name: string, form: MouldForm): KitItem {
  const [length, width] = acrossOf(supportOf(form.rim));
  return { kind: 'mould', name, sizes: { length, width, depth: form.depth }, mould: toolOf(form) };
}

/** A rim that is known by its length and width only: a circle, or an oval. */
function rimOf(length: number, width: number): PlanOutline {
  return Math.abs(length - width) < SAME ? { kind: 'circle', diameter: length } : { kind: 'ellipse', length, width };
}

/** A piece's form on a mould of the kit; one whose wall was never drawn keeps the piece's wall, on its own sizes. */
export function mouldFromKit(item: KitItem, form: MouldForm): MouldForm {
  const { margin, flange, cloth, limits } = form;
  const piece = {
    kind: 'mould',
    margin,
    ...(flange !== undefined && { flange }),
    ...(cloth !== undefined && { cloth }),
    ...(limits && { limits }),
  } as const;
  if (item.mould) return { ...piece, ...item.mould };
  const rim = rimOf(sizeOf(item, 'length'), sizeOf(item, 'width'));
  const wall = form.wall === 'drawn' ? 'curved' : form.wall;
  return {
    ...piece,
    rim,
    ...(wall !== 'dome' && { foot: planShrunk(rim) }),
    depth: sizeOf(item, 'depth'),
    wall,
    side: form.side,
  };
}

/** Whether a piece is made on a mould of the kit. */
export function sameMould(item: KitItem, form: MouldForm): boolean {
  if (item.mould)
    return (
      JSON.stringify(toolOf(form)) === JSON.stringify(toolOf({ ...form, ...item.mould })) &&
      JSON.stringify(toolOf(form).foot) === JSON.stringify(item.mould.foot)
    );
  const [length, width] = acrossOf(supportOf(form.rim));
  const { depth } = form;
  return [
    [length, 'length'],
    [width, 'width'],
    [depth, 'depth'],
  ].every(([mm, key]) => Math.abs((mm as number) - sizeOf(item, key as string)) < SAME);
}
