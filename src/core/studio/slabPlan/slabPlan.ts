import { bounds, moved, type Outline } from '../../geometry/outline/outline.ts';
import { isPlate, type Part } from '../../parts/part/part.ts';
import { developWhole } from '../../piece/develop.ts';
import type { Target } from '../../target/target.ts';
import type { NestPart, Placement } from '../../geometry/nest/nestJob.ts';
import { footprintOf } from './footprint.ts';

/** A design of a batch, and how many of it are made. */
export interface BatchPiece {
  readonly key: string;
  readonly target: Target;
  readonly count: number;
}

/** How slabs are rolled and parts are laid on them. Lengths mm. */
export interface PlanRules {
  /** The greatest slab: along the roll, and across it. */
  readonly length: number;
  readonly width: number;
  /** Clay left between parts, and along the slab's edges for trimming. */
  readonly gap: number;
  readonly margin: number;
  /** Walls lie along the roll, so that parts of one piece shrink alike. */
  readonly alongRoll: boolean;
}

/** Clay between parts and round the slab until it is said otherwise (mm): room for a knife, and for a ragged edge. */
export const DEFAULT_PLAN: Pick<PlanRules, 'gap' | 'margin' | 'alongRoll'> = { gap: 5, margin: 15, alongRoll: true };

/** A part to be laid out: how many of it, and what it takes of the slab. */
export interface PlanPart extends NestPart {
  readonly name: string;
  readonly piece: string;
  readonly part: Part;
  /** The part's own outline in the frame that is nested: turned so that its roll runs along the slab's length. */
  readonly drawn: Outline;
  /** Wet mass of one (g). */
  readonly mass: number;
}

/** The parts of one thickness: they come from slabs of their own. */
export interface PlanGroup {
  readonly thickness: number;
  /** Gap that keeps the asked one between the undersides too (mm). */
  readonly gap: number;
  readonly parts: readonly PlanPart[];
}

/** Turned by a quarter, so that what runs along the part's x axis runs along the slab's length. */
function alongSlab(outline: Outline): Outline {
  return outline.map(([x, y, bulge]) => [-y, x, bulge]);
}

/**
 * All parts of a batch, by thickness. Mirrored parts stay as they are: they are turned, never turned over.
 * @throws FaultError when a piece cannot be made
 */
export function planGroups(pieces: readonly BatchPiece[], rules: PlanRules): PlanGroup[] {
  return groupsOf(
    pieces.map((piece) => ({ ...piece, parts: developWhole(piece.target).parts })),
    rules,
  );
}

/** The same for pieces whose parts are known. */
export function groupsOf(
  pieces: readonly (BatchPiece & { readonly parts: readonly Part[] })[],
  rules: PlanRules,
): PlanGroup[] {
  const parts = pieces.flatMap(({ key, target, count, parts: own }) =>
    own.map((part) => {
      const { outline, over } = footprintOf(part);
      const box = bounds(alongSlab(outline));
      const along = (line: Outline) => moved(alongSlab(line), -(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2);
      const planned: PlanPart = {
        id: `${key} ${part.id}`,
        name: part.name,
        piece: target.name,
        count: part.count * count,
        outline: along(outline),
        drawn: along(part.outline),
        turns: !isPlate(part) && rules.alongRoll ? 'half' : 'any',
        part,
        mass: (part.volume / 1000) * target.clay.wetDensity,
      };
      return { planned, over };
    }),
  );
  const thicknesses = [...new Set(parts.map(({ planned }) => planned.part.thickness))].sort(
    (one, other) => other - one,
  );
  return thicknesses.map((thickness) => {
    const here = parts.filter(({ planned }) => planned.part.thickness === thickness);
    return {
      thickness,
      gap: rules.gap + 2 * Math.max(...here.map(({ over }) => over)),
      parts: here.map(({ planned }) => planned),
    };
  });
}

/** One slab with what lies on it. Placements are in the frame of the clay inside the margin. */
export interface PlannedSlab {
  readonly thickness: number;
  readonly placements: readonly Placement[];
  /** Length of clay used, margin included, and width that is rolled (mm). */
  readonly length: number;
  readonly width: number;
}

/** What a plan comes to. Masses g. */
export interface PlanSum {
  readonly parts: number;
  readonly slabs: number;
  readonly trim: number;
  /** Share of the slabs that is parts, by mass. */
  readonly utilisation: number;
}

/** Sums a plan: mass of its parts, of its slabs (length x width x thickness x density), and the trim between. */
export function planSum(slabs: readonly PlannedSlab[], groups: readonly PlanGroup[], wetDensity: number): PlanSum {
  const parts = groups.reduce(
    (sum, group) => sum + group.parts.reduce((own, { count, mass }) => own + count * mass, 0),
    0,
  );
  const whole = slabs.reduce(
    (sum, { length, width, thickness }) => sum + ((length * width * thickness) / 1000) * wetDensity,
    0,
  );
  return { parts, slabs: whole, trim: Math.max(0, whole - parts), utilisation: whole > 0 ? parts / whole : 0 };
}
