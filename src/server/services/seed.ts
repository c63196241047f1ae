import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readRecord } from '../../contract/recordSchema.ts';
import type { RecordKind } from '../../contract/records.ts';
import { readTargetText } from '../../contract/targetSchema.ts';
import { faultLine, type Fault } from '../../core/errors.ts';
import type { Database } from '../models/database.ts';
import { textsOf } from '../workshop/work.ts';
import { designService } from './designs.ts';
import { recordService } from './records.ts';
import { seedPast } from './seedPast.ts';

function refused(file: string, faults: readonly Fault[]): Error {
  return new Error(`${file}: ${faults.map(faultLine).join('; ')}`);
}

/**
 * Puts the demo designs (`*.fawn.json` of a folder, by name) on a shelf that never held any; does nothing otherwise.
 *
 * @throws Error when a demo file cannot be read
 */
async function seedDesigns(database: Database, folder: string): Promise<void> {
  if ((await database.designs.count({ paranoid: false })) > 0) return;
  const service = designService(database);
  const files = readdirSync(folder)
    .filter((file) => file.endsWith('.fawn.json'))
    .sort();
  for (const file of files) {
    const reading = readTargetText(readFileSync(join(folder, file), 'utf8'));
    if (reading.kind === 'faults') throw refused(file, reading.faults);
    await service.create({ name: reading.target.name, ...textsOf(reading.target), baseRevision: null });
  }
}

/** The file of a folder that each kind of record is in. */
const FILES = {
  clay: 'clays.json',
  kit: 'kit.json',
  scrap: 'scraps.json',
  plan: 'plans.json',
} as const satisfies Partial<Record<RecordKind, string>>;
type SeededKind = keyof typeof FILES;

/** Fills a book that was never used with the demo's records. */
async function seedBook<K extends SeededKind>(database: Database, folder: string, kind: K): Promise<void> {
  const file = join(folder, FILES[kind]);
  if (!existsSync(file) || (await database.records.count({ where: { kind }, paranoid: false })) > 0) return;
  const service = recordService(database);
  for (const value of JSON.parse(readFileSync(file, 'utf8')) as unknown[]) {
    const reading = readRecord(kind, value);
    if ('faults' in reading) throw refused(file, reading.faults);
    await service.create(kind, reading.body);
  }
}

/**
 * Adds the demo's designs, clays, kit, scraps and past, each kind only where there never was any.
 *
 * @throws Error when a demo file cannot be read
 */
export async function seedDemo(database: Database, folder: string): Promise<void> {
  await seedDesigns(database, folder);
  for (const kind of Object.keys(FILES) as SeededKind[]) await seedBook(database, folder, kind);
  await seedPast(database, folder);
}
