import { BASE_JOINS, newTarget, type Base, type CylinderForm, type Form, type Target } from '../target/target.ts';
import { SEAM_KINDS, type Seam } from '../target/seam.ts';

/** A target with some of its parts replaced. */
export function targetWith(
  change: { [K in keyof Target]?: K extends 'belly' ? Target[K] : Partial<Target[K]> } = {},
): Target {
  const plain = newTarget('Test tumbler');
  const pick = <K extends keyof Target>(key: K): Target[K] =>
    typeof plain[key] === 'object'
      ? { ...plain[key], ...(change[key] as Partial<Target[K]>) }
      : ((change[key] as Target[K]) ?? plain[key]);
  return {
    format: plain.format,
    version: plain.version,
    name: pick('name'),
    clay: pick('clay'),
    slab: pick('slab'),
    size: pick('size'),
    form: pick('form'),
    seam: (change.seam as Seam) ?? plain.seam,
    base: (change.base as Base) ?? plain.base,
    rim: pick('rim'),
    ...(change.fit && { fit: { clearance: 1, ...change.fit } }),
    ...(change.marks && { marks: change.marks }),
    ...(change.belly !== undefined && { belly: change.belly }),
  };
}

/** The cylinder of a target that is one. */
export function cylinderOf({ form }: Target): CylinderForm {
  if (form.kind !== 'cylinder') throw new Error(`a ${form.kind} is no cylinder`);
  return form;
}

/** A random straight target that can be made: every seam, base join, face and state. */
export function randomTarget(random: () => number): Target {
  const between = (least: number, greatest: number) => least + random() * (greatest - least);
  const one = <T>(values: readonly T[]): T => values[Math.floor(random() * values.length)] as T;
  const panels = one([1, 1, 1, 2, 3]);
  const kind = one(SEAM_KINDS);
  const seams: Record<typeof kind, Seam> = {
    bevel: { kind: 'bevel', angle: between(20, 90), panels },
    butt: { kind: 'butt', panels },
    lap: { kind: 'lap', overlap: between(0, 20), panels },
    'half-lap': { kind: 'half-lap', overlap: between(0, 20), panels },
    'cut-in-place': { kind: 'cut-in-place', margin: between(0, 20), panels },
  };
  const join = one(BASE_JOINS);
  const trim = one([0, 0, between(0, 12)]);
  const base: Base = join === 'skirt' ? { join, overlap: between(1, 9), trim } : { join, trim };
  return targetWith({
    clay: { shrinkage: between(0, 0.25), wetDensity: between(1.8, 2.2) },
    slab: {
      wall: between(2, 12),
      base: between(2, 12),
      neutralFraction: between(0, 1),
      faceUp: one(['inside', 'outside']),
    },
    size: { state: one(['fired', 'wet']), face: one(['outside', 'inside']) },
    form: { kind: 'cylinder', diameter: between(40, 400), height: between(25, 500) },
    seam: seams[kind],
    base,
  });
}

/** A target of a form, its rim cut level unless the change says otherwise. */
export const level = (form: Form, more: Parameters<typeof targetWith>[0] = {}): Target => ({
  ...targetWith({ ...more }),
  rim: more.rim ?? 'level',
  form,
});
