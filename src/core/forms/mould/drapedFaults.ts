import { shortValue, type Fault } from '../../errors.ts';
import { rangeFaults } from '../../ranges.ts';
import { meshTrouble } from '../../geometry/mesh/checkMesh.ts';
import { bulge, doubleNormals, type Mesh } from '../../geometry/mesh/mesh.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { ROUNDING, TAU } from '../../numbers.ts';
import { meshOf, offsetsOf, type DrapedTarget } from './draped.ts';
import { MOULD_LIMITS, type DrapedForm, type MeshForm, type MouldForm } from '../../target/mouldForm.ts';
import { evenRadius } from './mouldSurface.ts';

const fault = (path: string, value: unknown, rule: string): Fault => ({
  code: 'impossible-piece',
  path,
  value: shortValue(value),
  rule,
});

/** Ranges of what every draped form has. */
export function drapedRanges(form: DrapedForm): Fault[] {
  const { margin, flange, cloth, strain, darts } = MOULD_LIMITS;
  const list = form.darts ?? [];
  return [
    ...rangeFaults('form.margin', form.margin, margin),
    ...(form.flange === undefined ? [] : rangeFaults('form.flange', form.flange, flange)),
    ...(form.cloth === undefined ? [] : rangeFaults('form.cloth', form.cloth, cloth)),
    ...(form.limits
      ? (['stretch', 'gather'] as const).flatMap((key) =>
          rangeFaults(`form.limits.${key}`, form.limits?.[key] ?? 0, strain),
        )
      : []),
    ...(list.length > darts.greatest
      ? [fault('form.darts', list.length, `at most ${darts.greatest} darts are cut`)]
      : []),
    ...list.flatMap(({ at, depth }, index) => [
      ...rangeFaults(`form.darts.${index}.at`, at, { least: 0, greatest: 360 }),
      ...rangeFaults(`form.darts.${index}.depth`, depth, { above: 0, greatest: 2000 }),
    ]),
  ];
}

/** The rim must lie outside the foot all round, or the piece could not be lifted off. */
function undercut(form: MouldForm): Fault[] {
  if (!form.foot) return [];
  const [rim, foot] = [supportOf(form.rim), supportOf(form.foot)];
  const out = Array.from({ length: 72 }, (_, step) => rim.h((step * TAU) / 72) - foot.h((step * TAU) / 72));
  const least = Math.min(...out);
  if (least >= -ROUNDING) return [];
  return [
    fault(
      'form.foot',
      `${(-least).toFixed(1)} mm`,
      'must lie within the rim all round: over an undercut no slab comes off',
    ),
  ];
}

/**
 * Why a mould by its outlines cannot be made, its figures being in range.
 *
 * @param into how far the slab lies inside it (wet mm), 0 over a hump
 */
export function mouldFaults(form: MouldForm, into: number): Fault[] {
  const found: Fault[] = [];
  if (form.own) {
    found.push(...rangeFaults('form.own.shrinkage', form.own.shrinkage, MOULD_LIMITS.ownShrinkage));
    const { casts, wall } = form.own;
    const count = typeof casts === 'number' ? casts : casts.length;
    found.push(...rangeFaults('form.own.casts', count, MOULD_LIMITS.casts));
    if (!Number.isInteger(count)) found.push(fault('form.own.casts', count, 'must be a whole number'));
    if (typeof casts !== 'number')
      found.push(
        ...casts.flatMap(({ thickness }, index) =>
          rangeFaults(`form.own.casts.${index}.thickness`, thickness, MOULD_LIMITS.castThickness),
        ),
      );
    if (wall !== undefined) found.push(...rangeFaults('form.own.wall', wall, MOULD_LIMITS.castThickness));
  }
  if (form.wall === 'dome') {
    if (form.foot) found.push(fault('form.foot', form.foot.kind, 'is left out of a full dome'));
    const radius = evenRadius(supportOf(form.rim));
    if (form.depth > radius + ROUNDING)
      found.push(
        fault(
          'form.depth',
          form.depth,
          `must not be over ${radius.toFixed(1)} mm: past a half sphere the mould is undercut`,
        ),
      );
  } else if (!form.foot) found.push(fault('form.foot', null, 'is needed: only a full dome has no flat floor'));
  if ((form.wall === 'drawn') !== (form.profile !== undefined))
    found.push(fault('form.profile', null, 'belongs to a drawn wall, which needs it'));
  for (const [index, [out, up]] of (form.profile ?? []).entries()) {
    const [beforeOut, beforeUp] = form.profile?.[index - 1] ?? [0, 0];
    if (out < beforeOut - ROUNDING || up < beforeUp - ROUNDING)
      found.push(
        fault(`form.profile.${index}`, [out, up], 'must lead outward and upward: over an undercut no slab comes off'),
      );
  }
  const [first, last] = [form.profile?.[0], form.profile?.at(-1)];
  if (first && last && (Math.hypot(...first) > ROUNDING || Math.hypot(last[0] - 1, last[1] - 1) > ROUNDING))
    found.push(fault('form.profile', form.profile?.length, 'must run from [0, 0] to [1, 1]'));
  found.push(...undercut(form));
  if (found.length === 0 && into > 0 && form.depth <= into)
    found.push(fault('form.depth', form.depth, `must be deeper than the slab: ${into.toFixed(1)} mm`));
  return found;
}

/** Why an imported mesh cannot be draped: not one open surface, or undercut as it is turned. */
export function drapedMeshTrouble(mesh: Mesh): string | null {
  const trouble = meshTrouble(mesh);
  if (trouble) return trouble;
  const facing = bulge(mesh);
  const hanging = doubleNormals(mesh).filter(([, , z]) => z * facing > ROUNDING).length;
  if (hanging === 0) return null;
  const share = (300 * hanging) / mesh.triangles.length;
  return `overhangs: ${share.toFixed(0)} % of its triangles look the other way. Turn it so that it opens upward (z), and take undercuts away`;
}

/** The mesh of each list of vertices and triangles is checked once. */
const known = new WeakMap<Float64Array, { readonly triangles: unknown; readonly trouble: string | null }>();
function troubleOf(positions: Float64Array, form: MeshForm): string | null {
  const before = known.get(positions);
  if (before?.triangles === form.triangles) return before.trouble;
  const trouble = drapedMeshTrouble(meshOf(form));
  known.set(positions, { triangles: form.triangles, trouble });
  return trouble;
}

/** A form whose mesh was found to be sound when it was read. */
export function foundSound(form: MeshForm): void {
  known.set(meshOf(form).positions, { triangles: form.triangles, trouble: null });
}

/** Why a draped target cannot be made, its figures being of the right shape. */
export function drapedFaults(target: DrapedTarget): Fault[] {
  const { form } = target;
  const ranges = drapedRanges(form);
  if (ranges.length > 0) return ranges;
  const unwanted = (['handle', 'lid', 'feet'] as const).filter((key) => target[key] !== undefined);
  if (unwanted.length > 0)
    return unwanted.map((key) => fault(key, key, 'is not worked out for a piece from a mould yet: leave it out'));
  if (form.kind === 'mould') return mouldFaults(form, -offsetsOf(target).inner);
  const trouble = troubleOf(meshOf(form).positions, form);
  return trouble ? [fault('form', `${form.vertices.length} vertices`, trouble)] : [];
}
