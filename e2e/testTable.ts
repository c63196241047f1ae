import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from '../src/server/config.ts';
import { listen, type Listening } from '../src/server/listen.ts';

/** How many designs stand on a demo shelf. */
export const DEMO_DESIGNS = readdirSync('demo').filter((file) => file.endsWith('.fawn.json')).length;

/** A table of its own for a test: a fresh database in a folder that goes away, any free port. */
export interface TestTable extends Listening {
  readonly folder: string;
  readonly close: () => Promise<void>;
}

/** Opens a table; with `demo` the demo designs stand on its shelf. Settings as in the environment. */
export async function openTable(
  options: { demo?: boolean; pages?: boolean; environment?: Record<string, string>; folder?: string } = {},
): Promise<TestTable> {
  const folder = options.folder ?? mkdtempSync(join(tmpdir(), 'fawn-'));
  const config = readConfig({ FAWN_PORT: '0', FAWN_LOG: 'silent', FAWN_DATA: folder, ...options.environment }, folder);
  const table = await listen(config, {
    pages: options.pages === false ? null : join(process.cwd(), 'dist/web'),
    demo: options.demo ? join(process.cwd(), 'demo') : null,
  });
  const close = async () => {
    await table.stop();
    rmSync(folder, { recursive: true, force: true });
  };
  return { ...table, folder, close };
}
