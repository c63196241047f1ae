import { once } from '../numbers.ts';
import type { FormKind, Target } from '../target/target.ts';
import { drapedKind } from './draped.ts';
import { flatKind } from './flat.ts';
import type { FormKindWork } from './kind.ts';
import { loftKind } from './loft.ts';
import { roundKind } from './round.ts';
import { sheetKind } from './sheet.ts';
import { standKind } from './stand.ts';
import { straightKind } from './straight.ts';

/** Targets never change, so the standing piece is computed once: drawing, advice and capacity all use it. */
function standingOnce(kind: FormKindWork<Target>): FormKindWork<Target> {
  return { ...kind, standing: once(kind.standing) };
}

const straightWork = standingOnce(straightKind);
const roundWork = standingOnce(roundKind);
const loftWork = standingOnce(loftKind);
const flatWork = standingOnce(flatKind);
const sheetWork = standingOnce(sheetKind);
const standWork = standingOnce(standKind);
const drapedWork = standingOnce(drapedKind);

const KINDS: Readonly<Record<FormKind, FormKindWork<Target>>> = {
  cylinder: straightWork,
  former: straightWork,
  taper: roundWork,
  stack: roundWork,
  oval: loftWork,
  loft: loftWork,
  facet: flatWork,
  box: flatWork,
  mould: drapedWork,
  mesh: drapedWork,
  stand: standWork,
  sheet: sheetWork,
};

/** What the target's kind of form can do. */
export function kindOf(target: Target): FormKindWork<Target> {
  return KINDS[target.form.kind];
}
