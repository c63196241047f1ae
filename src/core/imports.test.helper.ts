import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';

/** One file that imports another, as paths within the folder that was looked through. */
export interface Import {
  readonly from: string;
  readonly to: string;
  /** It imports only types, so no code is shared. */
  readonly typesOnly: boolean;
}

const SPECIFIER = /(\bimport type\b[^;']*)?(?:\bfrom|\bimport)\s*\(?\s*'(\.[^']+)'/g;

/** Every import of a folder's own files but its tests, static, of types and `import()`. */
export function importsIn(folder: string): Import[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !/\.test(\.helper)?\.ts$/.test(file))
    .flatMap((file) =>
      [...readFileSync(join(folder, file), 'utf8').matchAll(SPECIFIER)].map(([, types, to = '']) => ({
        from: file,
        to: normalize(join(dirname(file), to)),
        typesOnly: types !== undefined,
      })),
    );
}

/** Everything that a start reaches through imports. */
export function reachedFrom(start: string, next: ReadonlyMap<string, ReadonlySet<string>>): Set<string> {
  const seen = new Set<string>();
  const left = [...(next.get(start) ?? [])];
  for (let at = left.pop(); at !== undefined; at = left.pop()) {
    if (seen.has(at)) continue;
    seen.add(at);
    left.push(...(next.get(at) ?? []));
  }
  return seen;
}

/** What each file imports; `name` may group files, as by folder. */
export function nextOf(imports: readonly Import[], name = (file: string) => file): Map<string, Set<string>> {
  const next = new Map<string, Set<string>>();
  for (const { from, to } of imports) {
    const [here, there] = [name(from), name(to)];
    if (here !== there) next.set(here, (next.get(here) ?? new Set()).add(there));
  }
  return next;
}
