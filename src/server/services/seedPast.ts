import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Entries, FaultKind, Measurement } from '../../contract/makings.ts';
import { ROOM } from '../../core/studio/drying/air.ts';
import { USUAL_SEGMENTS, type KeptFiring, type PieceAt } from '../../core/studio/kiln/keptFiring.ts';
import { scheduleCurve } from '../../core/studio/kiln/schedule.ts';
import type { Mark } from '../../core/studio/making/making.ts';
import type { Measured } from '../../core/studio/making/measured.ts';
import { orderOfWork } from '../../core/studio/making/orderOfWork.ts';
import { DEFAULT_SCHOOLS, type WorkStep } from '../../core/studio/making/workStep.ts';
import { develop } from '../../core/piece/develop.ts';
import type { Target } from '../../core/target/target.ts';
import type { Database } from '../models/database.ts';
import { makingService } from './makings.ts';
import { recordService } from './records.ts';

type Sizes = Partial<Record<Measured, number>>;

/** One piece of the demo's past: its sizes wet and fired, what the hand found at the join, and what went wrong. */
interface PastPiece {
  readonly wet: Sizes;
  readonly fired: Sizes;
  readonly found: 'ready' | 'too-stiff';
  readonly faults?: readonly FaultKind[];
}

/** The demo's past: firings, and what was made for them of a design and clay by their names. */
interface Past {
  readonly firings: readonly Pick<KeptFiring, 'name' | 'kind' | 'day' | 'cone' | 'energy' | 'price' | 'opened'>[];
  readonly makings: readonly {
    readonly name: string;
    readonly design: string;
    readonly clay: string;
    readonly startedAt: string;
    readonly endedAt: string;
    readonly firing: number;
    readonly shelf: string;
    readonly pieces: readonly PastPiece[];
  }[];
}

const HOUR = 3_600_000;

/** Room round a piece on the demo's shelves (mm), and the shelf itself. */
const PLACE = 110;
const SHELF = { width: 480, depth: 420, clear: 200 } as const;
const IN_A_ROW = 4;

function entriesOf(steps: readonly WorkStep[], pieces: readonly PastPiece[], startedAt: string): Entries {
  const join = steps.find(({ waits }) => waits?.until === 'opens')?.id;
  const dry = steps.findLast(({ waits }) => waits?.until === 'dry')?.id;
  const after = (hours: number) => new Date(Date.parse(startedAt) + hours * HOUR).toISOString();
  const spot = (number: number, step: string, hours: number) => ({
    id: randomUUID(),
    piece: 0,
    number,
    step,
    at: after(hours),
  });
  const marks = pieces.flatMap(({ found }, index): Mark[] => [
    ...(join === undefined ? [] : [{ ...spot(index + 1, join, 2), kind: found }]),
    ...(dry === undefined ? [] : [{ ...spot(index + 1, dry, 72), kind: 'dry' as const }]),
  ]);
  const measurements = pieces.flatMap((piece, index) =>
    (['wet', 'fired'] as const).flatMap((state) =>
      Object.entries(piece[state]).map(([what, value]): Measurement => ({
        ...spot(index + 1, 'records', state === 'wet' ? 4 : 180),
        what: what as Measured,
        state,
        value,
      })),
    ),
  );
  const faults = pieces.flatMap(({ faults: own = [] }, index) =>
    own.map((kind) => ({ ...spot(index + 1, 'records', 80), kind, x: null, y: null })),
  );
  return { marks, measurements, faults, notes: [], strikes: [], critiques: [] };
}

/** Puts the demo's past on a table where nothing was ever made: two firings, and the pieces that were in them. */
export async function seedPast(database: Database, folder: string): Promise<void> {
  const file = join(folder, 'past.json');
  if (!existsSync(file) || (await database.makings.count({ paranoid: false })) > 0) return;
  const past = JSON.parse(readFileSync(file, 'utf8')) as Past;
  const [making, records] = [makingService(database), recordService(database)];
  const clays = await records.list('clay');
  const placed: (PieceAt & { shelf: string })[][] = past.firings.map(() => []);
  for (const { name, design, clay, startedAt, endedAt, firing, shelf, pieces } of past.makings) {
    const row = await database.designs.findOne({ where: { name: design } });
    const clayId = clays.find(({ body }) => body.name === clay)?.id ?? null;
    if (!row) continue;
    const target = JSON.parse(row.target) as Target;
    const developed = develop(target);
    const steps = orderOfWork(target, { developed, slabs: developed.slabs, schools: DEFAULT_SCHOOLS });
    const id = randomUUID();
    const head = { name, clay: clayId, startedAt, dueAt: null, schools: DEFAULT_SCHOOLS, air: ROOM };
    await making.begin({
      id,
      ...head,
      pieces: [{ designId: row.id, revision: row.revision, name: design, count: pieces.length, steps }],
    });
    await making.keep(id, entriesOf(steps, pieces, startedAt));
    await making.change(id, { ...head, endedAt });
    placed[firing]?.push(...pieces.map((_, index) => ({ making: id, piece: 0, number: index + 1, shelf })));
  }
  for (const [index, firing] of past.firings.entries()) {
    const own = placed[index] ?? [];
    const shelves = [...new Set(own.map(({ shelf }) => shelf))];
    const segments = USUAL_SEGMENTS[firing.kind];
    await records.create('firing', {
      ...firing,
      segments,
      curve: scheduleCurve(segments),
      witness: [{ cone: firing.cone, state: 'bent' }],
      gap: 5,
      shelves: shelves.map((shelf) => ({ id: shelf, name: shelf, ...SHELF })),
      wanted: own.map(({ making: of, piece, number }) => ({ making: of, piece, number })),
      placed: shelves.flatMap((shelf) =>
        own
          .filter((one) => one.shelf === shelf)
          .map((one, at) => ({
            ...one,
            x: PLACE * (0.5 + (at % IN_A_ROW)),
            y: PLACE * (0.5 + Math.floor(at / IN_A_ROW)),
            turn: 0,
          })),
      ),
      note: '',
    });
  }
}
