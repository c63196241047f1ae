import { join } from 'node:path';
import { readConfig } from './config.ts';
import { listen } from './listen.ts';

/** Starts the server from the environment; `--demo` fills an empty shelf. Stops gracefully when asked to. */
async function main(): Promise<void> {
  const root = process.cwd();
  const config = readConfig(process.env, root);
  const demo = process.argv.includes('--demo') ? join(root, 'demo') : null;
  const listening = await listen(config, { pages: join(root, 'dist/web'), demo });
  // Sequelize reads an error's stack at every query: mapping it to the sources would double the query's time.
  process.setSourceMapsEnabled(false);
  process.stdout.write(`Fawn Table is open at ${listening.url}\n`);
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    process.stdout.write('Closing; everything is kept.\n');
    void listening.stop().then(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

main().catch((error: unknown) => {
  const text = error instanceof Error ? error.message : String(error);
  const taken = text.includes('EADDRINUSE');
  process.stderr.write(`Fawn Table did not start: ${taken ? `${text}. Set FAWN_PORT to another port.` : text}\n`);
  process.exit(1);
});
