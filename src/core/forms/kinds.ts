import { once } from '../numbers.ts';
import type { Form, FormKind, Target } from '../target/target.ts';
import { sheetKind } from './bentSheet/sheetKind.ts';
import { boxKind } from './flat/boxKind.ts';
import { facetKind } from './flat/facetKind.ts';
import { goresKind } from './gores/goresKind.ts';
import type { FormKindWork } from './kind/kind.ts';
import { loftKind } from './loft/loftKind.ts';
import { ovalKind } from './loft/ovalKind.ts';
import { meshKind } from './mould/meshKind.ts';
import { mouldKind } from './mould/mouldKind.ts';
import { cylinderKind } from './round/cylinderKind.ts';
import { formerKind } from './round/formerKind.ts';
import { stackKind } from './round/stackKind.ts';
import { taperKind } from './round/taperKind.ts';
import { standKind } from './stand/standKind.ts';

/** Every kind of form, those that are made most often first. */
const LIST: { readonly [Kind in FormKind]: FormKindWork<Extract<Form, { kind: Kind }>> } = {
  cylinder: cylinderKind,
  taper: taperKind,
  mould: mouldKind,
  box: boxKind,
  oval: ovalKind,
  facet: facetKind,
  stack: stackKind,
  loft: loftKind,
  gores: goresKind,
  sheet: sheetKind,
  former: formerKind,
  stand: standKind,
  mesh: meshKind,
};

/** Targets never change, so the standing piece is computed once: drawing, advice and capacity all use it. */
function standingOnce<F extends Form>(kind: FormKindWork<F>): FormKindWork<F> {
  return { ...kind, standing: once(kind.standing) };
}

/** What each kind of form is and does; each is only given forms of its own kind. */
export const KINDS = Object.fromEntries(
  Object.entries(LIST).map(([kind, work]) => [kind, standingOnce(work as FormKindWork)]),
) as Readonly<Record<FormKind, FormKindWork>>;

/** What the form's kind is and does. */
export function kindOfForm(form: Form): FormKindWork {
  return KINDS[form.kind];
}

/** What the target's kind of form is and does. */
export function kindOf(target: Target): FormKindWork {
  return KINDS[target.form.kind];
}
