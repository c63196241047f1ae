import { readdirSync } from 'node:fs';
import { dirname, relative } from 'node:path';
import { importsIn, nextOf, reachedFrom, type Import } from './imports.test.helper.ts';

/** The rooms of core from the lowest up; each imports only what stands before it. Files in core itself belong to none and come first. */
const ROOMS = ['units', 'geometry', 'target', 'parts', 'forms', 'bench', 'advice', 'piece', 'raise', 'studio', 'files'];

const CORE = import.meta.dirname;
/** Every import of core's own files but its tests. */
const IMPORTS = importsIn(CORE);

const roomOf = (file: string) => (file.includes('/') ? (file.split('/')[0] as string) : '');

/** Folders that can be reached from themselves. */
function circles(imports: readonly Import[]): string[] {
  const next = nextOf(imports, dirname);
  return [...next.keys()].filter((folder) => reachedFrom(folder, next).has(folder)).sort();
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
    expect(circles([...IMPORTS, { from: 'target/target.ts', to: 'piece/develop.ts', typesOnly: true }])).toContain(
      'target',
    );
  });
});
