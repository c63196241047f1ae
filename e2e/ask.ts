import type { Kept, RecordKind } from '../src/contract/records.ts';
import { read } from './visit.ts';

/** A table's address, which ends in a slash. */
export interface At {
  readonly url: string;
}

/** What the table's server answers at a path under /api. */
export async function ask<T>({ url }: At, path: string): Promise<T> {
  const reply = await fetch(`${url}api/${path}`);
  if (!reply.ok) throw new Error(`${path}: ${reply.status}`);
  return (await reply.json()) as T;
}

/** All records of a kind, as the server keeps them. */
export const recordsOf = <K extends RecordKind>(at: At, kind: K) => ask<Kept<K>[]>(at, `records/${kind}`);

/** The id of the design with this name. */
export async function designCalled(at: At, name: string): Promise<string> {
  const found = (await ask<{ id: string; name: string }[]>(at, 'designs')).find((one) => one.name === name);
  if (!found) throw new Error(`no design is called ${name}`);
  return found.id;
}

/** Does something, waits until a list at a path under /api has one more, and returns that one, whatever else is there. */
export async function madeBy<T extends { readonly id: string }>(
  at: At,
  path: string,
  act: () => Promise<unknown>,
): Promise<T> {
  const before = new Set((await ask<T[]>(at, path)).map(({ id }) => id));
  const fresh = (all: readonly T[]) => all.filter(({ id }) => !before.has(id));
  await act();
  const [made, ...more] = fresh(
    await read(
      () => ask<T[]>(at, path),
      (all) => fresh(all).length > 0,
      { wanted: `one more at ${path}` },
    ),
  );
  if (!made || more.length > 0) throw new Error(`${more.length + 1} more at ${path}, not one`);
  return made;
}

/** Does something that makes a record of a kind, waits until the server keeps it, and returns it. */
export const recordMadeBy = <K extends RecordKind>(at: At, kind: K, act: () => Promise<unknown>) =>
  madeBy<Kept<K>>(at, `records/${kind}`, act);
