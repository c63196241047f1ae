import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';

/** The rooms of core from the lowest up; each imports only what stands before it. Files in core itself belong to none and come first. */
const ROOMS = ['units', 'geometry', 'target', 'parts', 'forms', 'bench', 'advice', 'piece', 'raise', 'studio', 'files'];

const CORE = __dirname;
const SPECIFIER = /(?:\bfrom|\bimport)\s*\(?\s*'(\.[^']+)'/g;

interface Import {
  readonly from: string;
  readonly to: string;
}

/** Every import of core's own files but its tests, static, of types and `import()`, as paths within core. */
const IMPORTS: readonly Import[] = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !/\.test(\.helper)?\.ts$/.test(file))
  .flatMap((file) =>
    [...readFileSync(join(CORE, file), 'utf8').matchAll(SPECIFIER)].map(([, to = '']) => ({
      from: file,
      to: normalize(join(dirname(file), to)),
    })),
  );

const roomOf = (file: string) => (file.includes('/') ? (file.split('/')[0] as string) : '');
const folderOf = (file: string) => dirname(file);

/** Folders that can be reached from themselves. */
function circles(imports: readonly Import[]): string[] {
  const next = new Map<string, Set<string>>();
  for (const { from, to } of imports) {
    const [here, there] = [folderOf(from), folderOf(to)];
    if (here !== there) next.set(here, (next.get(here) ?? new Set()).add(there));
  }
  const reached = (start: string): Set<string> => {
    const seen = new Set<string>();
    const left = [...(next.get(start) ?? [])];
    for (let at = left.pop(); at !== undefined; at = left.pop()) {
      if (seen.has(at)) continue;
      seen.add(at);
      left.push(...(next.get(at) ?? []));
    }
    return seen;
  };
  return [...next.keys()].filter((folder) => reached(folder).has(folder)).sort();
}

describe('the rooms of core', () => {
  it('are those that are listed, and all imports are found', () => {
    const rooms = readdirSync(CORE, { withFileTypes: true })
      .filter((one) => one.isDirectory())
      .map(({ name }) => name);
    expect(rooms.sort()).toEqual([...ROOMS].sort());
    expect(IMPORTS.length).toBeGreaterThan(1400);
  });

  it('import only from rooms below', () => {
    const rank = (file: string) => ROOMS.indexOf(roomOf(file));
    const up = IMPORTS.filter(({ from, to }) => rank(to) > rank(from));
    expect(up.map(({ from, to }) => `${relative('.', from)} imports ${to}`)).toEqual([]);
  });

  it('have no folders in a circle', () => {
    expect(circles(IMPORTS)).toEqual([]);
    expect(circles([...IMPORTS, { from: 'target/target.ts', to: 'piece/develop.ts' }])).toContain('target');
  });
});
