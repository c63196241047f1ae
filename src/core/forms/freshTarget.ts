import { formOfKind } from './formOfKind.ts';
import { newTarget, type FormKind, type Target } from '../target/target.ts';

/** What a new design starts with: the clay and slab of another one, or a slab of the potter's own thickness (wet mm). */
export interface FreshFrom {
  readonly name: string;
  readonly like: Target | null;
  readonly wall: number;
}

/** A new design of a form, with the clay, slab and state of sizes of the one before it. */
export function freshTarget(kind: FormKind, { name, like, wall }: FreshFrom): Target {
  const plain = newTarget(name);
  const slab = like?.slab ?? { ...plain.slab, wall, base: wall };
  return {
    ...plain,
    form: formOfKind(kind, plain.form),
    clay: like?.clay ?? plain.clay,
    slab: { ...slab, base: slab.wall },
    size: like?.size ?? plain.size,
  };
}
