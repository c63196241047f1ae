import { bounds } from '../geometry/outline/outline.ts';
import { once } from '../numbers.ts';
import { planReach } from '../parts/plan/plan.ts';
import type { MeshForm } from '../target/mouldForm.ts';
import type { Form } from '../target/target.ts';
import type { Phrase } from '../units/phrase.ts';
import { rollsOf } from './stand/stand.ts';

/** Across an imported mould, along x, and its depth (mm). */
const meshSize = once((form: MeshForm) => {
  const reach = (axis: 0 | 1 | 2) => {
    const all = form.vertices.map((vertex) => vertex[axis]);
    return (
      all.reduce((most, value) => Math.max(most, value), -Infinity) -
      all.reduce((least, value) => Math.min(least, value), Infinity)
    );
  };
  return { rim: reach(0), foot: reach(0), height: reach(2) };
});

/** Rough size of any form: across rim and foot, and height (mm). */
export function roughSize(form: Form): { readonly rim: number; readonly foot: number; readonly height: number } {
  switch (form.kind) {
    case 'cylinder':
    case 'former':
      return { rim: form.diameter, foot: form.diameter, height: form.height };
    case 'taper':
    case 'facet':
      return form;
    case 'stack': {
      const [height, rim] = form.profile.at(-1) ?? [0, 0];
      return { rim, foot: form.profile[0]?.[1] ?? 0, height };
    }
    case 'oval':
    case 'box':
      return { rim: form.length, foot: form.length, height: form.height };
    case 'loft':
      return { rim: planReach(form.rim), foot: planReach(form.foot), height: form.height };
    case 'mould':
      return { rim: planReach(form.rim), foot: planReach(form.foot ?? form.rim), height: form.depth };
    case 'mesh':
      return meshSize(form);
    case 'sheet': {
      const box = bounds(form.outline);
      return { rim: box.maxX - box.minX, foot: box.maxX - box.minX, height: box.maxY - box.minY };
    }
    case 'stand': {
      const { back } = rollsOf(form);
      return { rim: 3 * back, foot: 3 * back, height: back };
    }
  }
}

/** A form's size in a few figures: `84 × 110`, `120 / 80 × 90` for a taper, `150 × 100 × 60` for an oval. */
export function sizePhrase(form: Form): Phrase {
  if (form.kind === 'oval' || form.kind === 'box') {
    return [{ mmPlain: form.length }, ' × ', { mmPlain: form.width }, ' × ', { mm: form.height }];
  }
  if (form.kind === 'stand') return ['for ', { mmPlain: form.device.length }, ' × ', { mm: form.device.thickness }];
  const { rim, foot, height } = roughSize(form);
  const across: Phrase = rim === foot ? [{ mmPlain: rim }] : [{ mmPlain: rim }, ' / ', { mmPlain: foot }];
  return [...across, ' × ', { mm: height }];
}
