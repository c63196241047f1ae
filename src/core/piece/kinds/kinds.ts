import type { FormKind, Target } from '../target.ts';
import { flatKind } from './flat.ts';
import type { FormKindWork } from './kind.ts';
import { loftKind } from './loft.ts';
import { roundKind } from './round.ts';
import { straightKind } from './straight.ts';

const KINDS: Readonly<Record<FormKind, FormKindWork<Target>>> = {
  cylinder: straightKind,
  former: straightKind,
  taper: roundKind,
  stack: roundKind,
  oval: loftKind,
  loft: loftKind,
  facet: flatKind,
  box: flatKind,
};

/** What the target's kind of form can do. */
export function kindOf(target: Target): FormKindWork<Target> {
  return KINDS[target.form.kind];
}
