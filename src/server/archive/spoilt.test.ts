import { createWriteStream, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import fc from 'fast-check';
import { processorTime } from '../../core/processorTime.test.helper.ts';
import { newTarget } from '../../core/target/target.ts';
import { openDatabase, type Database } from '../models/database.ts';
import { designService } from '../services/designs.ts';
import { recordService } from '../services/records.ts';
import { textsOf } from '../workshop/work.ts';
import { BadArchive } from './archiveFormat.ts';
import { stageArchive } from './stageArchive.ts';
import { writeArchive } from './writeArchive.ts';

/** Spoilt archives that are tried. */
const RUNS = Number(process.env['FAWN_FUZZ_ARCHIVES'] ?? 100);

/** The most processor time that one may take (ms). */
const HANGS = 20_000;

let place: string;
let database: Database;
let good: Buffer;

beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'fawn-spoilt-'));
  database = await openDatabase(':memory:');
  await designService(database).create({
    name: 'Rack tumbler',
    ...textsOf(newTarget('Rack tumbler')),
    baseRevision: null,
  });
  await recordService(database).create('clay', {
    name: 'Siding buff',
    wetDensity: 1.95,
    shrinkage: 0.12,
    basis: 'maker',
    bars: [],
  });
  const file = join(place, 'good.zip');
  await pipeline(await writeArchive(database, place, new Date('2026-11-30T09:00:00.000Z')), createWriteStream(file));
  good = readFileSync(file);
});
afterAll(async () => {
  await database.close();
  rmSync(place, { recursive: true, force: true });
});

/** A cut, doubled or overwritten stretch, or another byte at some place. */
const place01 = fc.double({ min: 0, max: 1, noNaN: true });
const spoils = fc.array(
  fc.oneof(
    fc.record({ kind: fc.constant('byte' as const), at: place01, value: fc.nat(255) }),
    fc.record({ kind: fc.constant('cut' as const), at: place01, value: fc.nat(60) }),
    fc.record({ kind: fc.constant('doubled' as const), at: place01, value: fc.nat(60) }),
    fc.record({ kind: fc.constant('filled' as const), at: place01, value: fc.nat(8) }),
  ),
  { minLength: 1, maxLength: 4 },
);

function spoilt(bytes: Buffer, { kind, at, value }: { kind: string; at: number; value: number }): Buffer {
  const from = Math.floor(at * (bytes.length - 1));
  const [before, after] = [bytes.subarray(0, from), bytes.subarray(from)];
  if (kind === 'byte') return Buffer.concat([before, Buffer.from([value]), after.subarray(1)]);
  if (kind === 'cut') return Buffer.concat([before, after.subarray(value)]);
  if (kind === 'doubled') return Buffer.concat([before, after.subarray(0, value), after]);
  return Buffer.concat([before, Buffer.alloc(value, 0xff), after.subarray(value)]);
}

describe('an archive that is spoilt in any way', () => {
  it('is refused with a reason, or read, and leaves nothing behind', async () => {
    const file = join(place, 'spoilt.zip');
    // Its own folder for what is unpacked: other tests unpack beside it.
    const usual = process.env['TMPDIR'];
    process.env['TMPDIR'] = place;
    let refused = 0;
    await fc.assert(
      fc.asyncProperty(spoils, async (all) => {
        writeFileSync(file, all.reduce(spoilt, good));
        const from = processorTime();
        try {
          const archive = await stageArchive(file);
          await archive.clear();
        } catch (error) {
          expect(error).toBeInstanceOf(BadArchive);
          expect((error as Error).message.length).toBeGreaterThan(5);
          refused += 1;
        }
        expect(processorTime() - from).toBeLessThan(HANGS);
      }),
      { numRuns: RUNS, seed: 7 },
    );
    expect(refused).toBeGreaterThan(RUNS / 2);
    expect(readdirSync(place).filter((name) => name.startsWith('fawn-staged-'))).toEqual([]);
    if (usual === undefined) delete process.env['TMPDIR'];
    else process.env['TMPDIR'] = usual;
  });
});
