import { QueryTypes } from 'sequelize';
import { standingKind } from '../../core/studio/kiln/standingKind.ts';
import type { Planned } from '../../core/studio/learning/madePiece.ts';
import type { Finished } from '../../core/piece/finished.ts';
import type { Target } from '../../core/target/target.ts';
import { area } from '../../core/geometry/outline/outline.ts';
import type { Database } from '../models/database.ts';
import type { Workshop } from '../workshop/workshop.ts';
import type { DesignService } from './designs.ts';

/** What is developed of a target, as far as facts are made of it. */
interface Developed {
  readonly numbers: { readonly wrapLength?: number };
  readonly finished: Finished;
}

/** A piece is longer than wide where its two sides differ by more than this (fired mm). */
const ROUND = 0.5;

/** Most revisions computed in one go. */
const MOST = 60;

/** The room that a piece takes on a shelf, as high as it is (fired ml). */
function roomOf(target: Target): number {
  const { outline, height } = standingKind(target, 1 - target.clay.shrinkage);
  return (area(outline) * height) / 1000;
}

/** Facts of a revision about its finished piece. */
export function plannedOf(target: Target, { numbers, finished }: Developed): Planned {
  const { rim, foot, height, widths, mass, cutAway, capacityBrim } = finished;
  const [long, wide] = widths.rim;
  const { form, seam, slab, clay, belly } = target;
  const oneWrap = form.kind === 'cylinder' && (seam.panels ?? 1) === 1 && !belly && numbers.wrapLength !== undefined;
  return {
    sizes: {
      rim,
      foot,
      height,
      ...(Math.abs(long - wide) > ROUND && { length: long, width: wide }),
      thickness: slab.wall * (1 - clay.shrinkage),
      weight: mass.fired,
      ...(capacityBrim > 0 && { capacity: capacityBrim }),
    },
    clay: { wet: mass.wet, away: cutAway },
    room: roomOf(target),
    wrap: oneWrap ? { length: numbers.wrapLength ?? 0, thickness: slab.wall } : null,
  };
}

/** Facts of revisions about their pieces: computed once for each, by the workshop. */
export function revisionFacts(database: Database, designs: DesignService, workshop: Workshop) {
  async function fill(designId: string, revision: number): Promise<void> {
    const { target } = await designs.revision(designId, revision);
    const made = await workshop.make('develop', new TextEncoder().encode(JSON.stringify({ target })));
    if (made.kind !== 'json') return;
    const planned = plannedOf(target, JSON.parse(made.text) as Developed);
    const { form, slab, seam, base, clay } = target;
    await database.write(async (transaction) => {
      await database.revisionFacts.upsert(
        {
          designId,
          revision,
          form: form.kind,
          thickness: slab.wall,
          seam: seam.kind,
          base: base.join,
          shrinkage: clay.shrinkage,
          planned: JSON.stringify(planned),
        },
        { transaction },
      );
    });
  }

  return {
    /** Computes the missing facts of all revisions in makings. Those that can no longer be developed stay unknown. */
    async fillMissing(): Promise<void> {
      const missing = await database.sequelize.query<{ designId: string; revision: number }>(
        `SELECT DISTINCT p.designId, p.revision FROM making_pieces p
         LEFT JOIN revision_facts f ON f.designId = p.designId AND f.revision = p.revision
         WHERE f.designId IS NULL LIMIT ${MOST}`,
        { type: QueryTypes.SELECT },
      );
      for (const { designId, revision } of missing) await fill(designId, revision).catch(() => undefined);
    },
  };
}

/** Facts of revisions as the services use them. */
export type RevisionFacts = ReturnType<typeof revisionFacts>;
