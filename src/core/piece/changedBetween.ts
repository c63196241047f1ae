import { formSizes } from '../forms/formSizes.ts';
import type { Target } from '../target/target.ts';

/** One thing that differs between two targets: null where one of them has none. Lengths mm, shares fractions. */
export interface Change {
  readonly label: string;
  readonly unit: 'length' | 'share' | 'plain';
  readonly before: number | string | null;
  readonly after: number | string | null;
}

type Row = readonly [label: string, unit: Change['unit'], value: number | string | undefined];

/** The figures and words of a target that can be compared; different forms have no sizes in common. */
function rowsOf({ name, set, clay, slab, size, form, seam, base, rim }: Target): Row[] {
  return [
    ['Name', 'plain', name],
    ['Set', 'plain', set],
    ['Form', 'plain', form.kind],
    ...formSizes(form).map(({ key, label, value, unit }): Row => [
      `${form.kind} ${key}\n${label}`,
      unit === 'length' ? 'length' : 'plain',
      value,
    ]),
    ['Sizes are meant', 'plain', `${size.state}, ${size.face}`],
    ['Clay', 'plain', clay.name],
    ['Shrinkage', 'share', clay.shrinkage],
    ['Wet density', 'plain', clay.wetDensity],
    ['Stiffness', 'plain', clay.stiffness],
    ['Wall', 'length', slab.wall],
    ['Base thickness', 'length', slab.base],
    ['Neutral fraction', 'plain', slab.neutralFraction],
    ['Face up', 'plain', slab.faceUp],
    ['Seam', 'plain', seam.kind],
    ['Panels', 'plain', seam.panels],
    ['Base', 'plain', base.join],
    ['Trim', 'length', base.trim],
    ['Rim', 'plain', rim],
  ];
}

/** Additions are told as a whole: their details are on the drawing. */
const WHOLE = [
  ['handle', 'Handle'],
  ['lugs', 'Lugs'],
  ['feet', 'Feet'],
  ['lid', 'Lid'],
  ['belly', 'Belly'],
  ['marks', 'Marks'],
  ['fit', 'Fit'],
  ['owned', 'Owned template'],
  ['inHand', 'Kept fixed'],
] as const satisfies readonly (readonly [keyof Target, string])[];

const HAS = 'as it was';
const OTHER = 'changed';
const ADDED = 'added';

/** The differences between two states of a design, in the order in which a potter would tell them. Changes without names are told as one. */
export function changedBetween(before: Target, after: Target): Change[] {
  const [was, is] = [before, after].map(
    (target) => new Map(rowsOf(target).map(([label, unit, value]) => [label, { unit, value }])),
  );
  const labels = [...new Set([...(is?.keys() ?? []), ...(was?.keys() ?? [])])];
  const changes = labels.flatMap((label): Change[] => {
    const [one, other] = [was?.get(label), is?.get(label)];
    if (one?.value === other?.value) return [];
    const unit = (other ?? one)?.unit ?? 'plain';
    return [
      { label: label.split('\n').at(-1) ?? label, unit, before: one?.value ?? null, after: other?.value ?? null },
    ];
  });
  for (const [key, label] of WHOLE) {
    const [one, other] = [before[key], after[key]];
    if (JSON.stringify(one) === JSON.stringify(other)) continue;
    changes.push({ label, unit: 'plain', before: one ? HAS : null, after: other ? (one ? OTHER : ADDED) : null });
  }
  return changes.length > 0 || JSON.stringify(before) === JSON.stringify(after)
    ? changes
    : [{ label: 'The drawing', unit: 'plain', before: HAS, after: OTHER }];
}
