import { runCommand } from './commands.ts';
import { nodeStation } from './station.ts';

process.exitCode = await runCommand(process.argv.slice(2), nodeStation());
