import type { Fault } from '../core/errors.ts';
import { MOULD_LIMITS } from '../core/target/mouldForm.ts';

/** Limits of the size of any input, checked before its shape. */
export const BOUNDS = {
  /** Depth of nesting. */
  depth: 12,
  /** Keys of one object. */
  keys: 60,
  /** Entries of one list: the triangles of the largest mesh. */
  entries: 2 * MOULD_LIMITS.vertices.greatest,
  /** Values in all: that mesh, its vertices, and as many others again. */
  values: 500_000,
  /** Characters of one text. */
  text: 4000,
} as const;

/** Names of built-in properties: as keys in a file they would change what other keys mean. */
const UNSAFE = ['__proto__', 'constructor', 'prototype'];

interface Place {
  readonly value: unknown;
  readonly path: string;
  readonly depth: number;
}

function fault(
  code: Fault['code'],
  { path, value, rule }: { readonly path: string; readonly value: string; readonly rule: string },
): Fault {
  return { code, path, value, rule };
}

/**
 * Checks the size of a parsed JSON value: depth, keys, length of lists. It stops at the first value that is too large, so that it
 * is quick whatever was sent.
 */
export function boundsFault(root: unknown): Fault | null {
  const open: Place[] = [{ value: root, path: '', depth: 0 }];
  let values = 0;
  for (let place = open.pop(); place; place = open.pop()) {
    const { value, path, depth } = place;
    values += 1;
    if (values > BOUNDS.values)
      return fault('out-of-range', {
        path,
        value: `over ${BOUNDS.values} values`,
        rule: 'the whole has too many values',
      });
    if (typeof value === 'string' && value.length > BOUNDS.text) {
      return fault('out-of-range', {
        path,
        value: `${value.length} characters`,
        rule: `must have at most ${BOUNDS.text} characters`,
      });
    }
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= BOUNDS.depth)
      return fault('out-of-range', {
        path,
        value: `${depth} deep`,
        rule: `lists and objects go at most ${BOUNDS.depth} deep`,
      });
    const within = (key: string | number) => (path ? `${path}.${key}` : `${key}`);
    if (Array.isArray(value)) {
      if (value.length > BOUNDS.entries)
        return fault('out-of-range', {
          path,
          value: `${value.length} entries`,
          rule: `must have at most ${BOUNDS.entries} entries`,
        });
      for (let index = value.length - 1; index >= 0; index -= 1) {
        const item = value[index] as unknown;
        // Numbers are only counted.
        if (typeof item === 'number') values += 1;
        else open.push({ value: item, path: within(index), depth: depth + 1 });
      }
      continue;
    }
    const keys = Object.keys(value);
    if (keys.length > BOUNDS.keys)
      return fault('out-of-range', {
        path,
        value: `${keys.length} keys`,
        rule: `must have at most ${BOUNDS.keys} keys`,
      });
    for (const key of keys) {
      if (UNSAFE.includes(key))
        return fault('unknown-key', { path: within(key), value: key, rule: 'this key is not known here' });
      open.push({ value: (value as Record<string, unknown>)[key], path: within(key), depth: depth + 1 });
    }
  }
  return null;
}
