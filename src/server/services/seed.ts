import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readTargetText } from '../../contract/targetSchema.ts';
import { faultLine } from '../../core/errors.ts';
import type { Database } from '../models/database.ts';
import { designService } from './designs.ts';

/**
 * Puts the demo designs (`*.fawn.json` of a folder, by name) on a shelf that never held any; does nothing otherwise.
 *
 * @throws Error when a demo file cannot be read
 */
export async function seedDesigns(database: Database, folder: string): Promise<number> {
  if ((await database.designs.count({ paranoid: false })) > 0) return 0;
  const service = designService(database);
  const files = readdirSync(folder)
    .filter((file) => file.endsWith('.fawn.json'))
    .sort();
  for (const file of files) {
    const reading = readTargetText(readFileSync(join(folder, file), 'utf8'));
    if (reading.kind === 'faults') throw new Error(`${file}: ${reading.faults.map(faultLine).join('; ')}`);
    await service.create(reading.target);
  }
  return files.length;
}
