import type { ClayRecords, MadeLine } from '../../contract/made.ts';
import type { MadeQuery } from '../../contract/madeSchema.ts';
import { knownShrinkage, type ShrinkBar } from '../../core/studio/clay/bars.ts';
import type { Database } from '../models/database.ts';
import type { Workshop } from '../workshop/workshop.ts';
import { madePieces } from './madePieces.ts';
import { searchMade } from './madeSearch.ts';
import type { RecordService } from './records.ts';
import type { RevisionFacts } from './revisionFacts.ts';

/** What was made, as it is searched and learned from. */
export function madeService(
  database: Database,
  {
    records,
    facts,
    workshop,
  }: { readonly records: RecordService; readonly facts: RevisionFacts; readonly workshop: Workshop },
) {
  const piecesByClay = madePieces(database, records);

  return {
    async search(query: MadeQuery): Promise<{ lines: MadeLine[]; total: number }> {
      await facts.fillMissing();
      return searchMade(database, query);
    },

    /** What the pieces of each clay of the clay book say, as JSON text: worked out by the workshop. */
    async learning(): Promise<string> {
      await facts.fillMissing();
      const [clays, pieces] = [await records.list('clay'), await piecesByClay()];
      const jobs = clays.map(({ id, body }): LearningJob => ({
        clay: id,
        name: body.name,
        now: knownShrinkage(body).shrinkage,
        bars: body.bars,
        pieces: pieces.get(id) ?? [],
      }));
      const made = await workshop.make('learn', new TextEncoder().encode(JSON.stringify({ jobs })));
      return made.kind === 'json' ? made.text : '[]';
    },
  };
}

/** What one clay is learned from. */
export interface LearningJob extends Pick<ClayRecords, 'clay' | 'name' | 'now' | 'pieces'> {
  readonly bars: readonly ShrinkBar[];
}

/** What was made, as the routes use it. */
export type MadeService = ReturnType<typeof madeService>;
