import type { Target } from '../../target/target.ts';
import type { DrapedTarget } from './draped.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { mouldSurface } from './mouldSurface.ts';
import { isRound } from './roundMould.ts';

/** A dome's foot disc reaches this far out (share of the rim). */
const DOME_FOOT = 0.35;

/** Bands round the foot: as many as follow a curve closely without a seam too many. */
const BANDS = 3;

/** Profile of a round mould's wall as heights above its foot disc and diameters (mm, on the mould's own face). */
function profileOf(form: MouldForm): (readonly [height: number, across: number])[] {
  const { foot, rim, depth, profile, floored } = mouldSurface(form);
  const at = (share: number) => {
    const { out, up } = profile(share);
    return [depth * up, 2 * (foot.h(0) + (rim.h(0) - foot.h(0)) * out)] as const;
  };
  let first = 0;
  while (!floored && (at(first)[1] ?? 0) < 2 * DOME_FOOT * rim.h(0)) first += 0.01;
  const straight = form.wall === 'straight';
  const bands = straight ? 1 : BANDS;
  const [low] = at(first);
  return Array.from({ length: bands + 1 }, (_, band) => {
    const [height, across] = at(first + ((1 - first) * band) / bands);
    return [height - low, across] as const;
  });
}

/**
 * The piece of a mould too deep for darts, made from a foot disc with tapered bands round it; of one that is not round, from
 * a foot and one wall between both outlines. The face that touched the mould keeps its size. Null for an imported mould.
 */
export function fromSections(target: DrapedTarget): Target | null {
  const { form, slab } = target;
  if (form.kind !== 'mould') return null;
  const face = form.side === 'hump' ? 'inside' : 'outside';
  const common: Omit<Target, 'form'> = {
    ...target,
    size: { state: 'wet', face },
    slab: { ...slab, base: slab.wall },
    base: { join: 'under', trim: 0 },
  };
  const under = face === 'inside' ? slab.wall : 0;
  if (!isRound(form)) {
    const { foot } = form;
    if (!foot) return null;
    return { ...common, form: { kind: 'loft', rim: form.rim, foot, height: form.depth + under } };
  }
  const [first, second, ...rest] = profileOf(form);
  if (!first || !second) return null;
  // Inside sizes are meant at the floor: the first band runs on down to the table.
  const slope = (second[1] - first[1]) / second[0];
  const profile = [
    [0, first[1] - slope * under] as const,
    ...[second, ...rest].map(([height, across]) => [height + under, across] as const),
  ];
  return { ...common, form: { kind: 'stack', profile } };
}
