import { nest } from '../../geometry/nest/nest.ts';
import type { Nested, NestJob, Placement } from '../../geometry/nest/nestJob.ts';
import { area, type Outline } from '../../geometry/outline/outline.ts';
import { laidBox } from './laidSlab.ts';
import type { PlanGroup, PlannedSlab, PlanPart, PlanRules } from './slabPlan.ts';
import { LENGTH_TOLERANCE } from '../../numbers.ts';

/** A placement that stays, on one of the slabs of its thickness (counted from 0). */
export interface Locked {
  readonly slab: number;
  readonly placement: Placement;
}

/** Randomness and time come from outside, so that core stays repeatable. */
export interface PlanRun {
  readonly random: () => number;
  /** Whether the share (0 to 1) of the whole time has not gone by. */
  readonly before: (share: number) => boolean;
  /** Told of the first plan and of every better one. */
  readonly better?: (slabs: readonly PlannedSlab[]) => void;
}

/** A plan: its slabs, and the parts that are larger than any slab. */
export interface Planned {
  readonly slabs: readonly PlannedSlab[];
  readonly unfit: readonly string[];
}

/** A slab while it is filled. */
interface Bin {
  readonly counts: ReadonlyMap<string, number>;
  readonly fixed: readonly Placement[];
  readonly nested: Nested | null;
}

const EMPTY: Bin = { counts: new Map(), fixed: [], nested: null };

/** Parts may fill no more than this share of a slab: no layout fills more. */
const FULLEST = 0.93;

/** Share of the time that goes into saving whole slabs, where there are several. */
const MERGING = 0.4;

/** Share of the time that goes into slabs that are narrower than they might be. */
const NARROWING = 0.3;

/** A slab filled by less than this share is tried narrower. */
const BARE = 0.75;

/** Shares of the greatest width to try. */
const NARROWER = [0.9, 0.8, 0.7, 0.6, 0.5, 0.45, 0.4, 0.35, 0.3, 0.25, 0.2] as const;

/** The slabs of one thickness. */
class Group {
  private readonly group: PlanGroup;
  private readonly width: number;
  private readonly length: number;
  private readonly margin: number;
  private readonly areas: ReadonlyMap<string, number>;
  private readonly outlines: ReadonlyMap<string, Outline>;
  bins: Bin[] = [];

  constructor(group: PlanGroup, rules: PlanRules) {
    this.group = group;
    this.margin = rules.margin;
    this.width = rules.width - 2 * rules.margin;
    this.length = rules.length - 2 * rules.margin;
    this.outlines = new Map(group.parts.map(({ id, outline }) => [id, outline]));
    this.areas = new Map(group.parts.map(({ id, outline }) => [id, area(outline)]));
  }

  private job(counts: ReadonlyMap<string, number>, fixed: readonly Placement[]): NestJob {
    const parts = this.group.parts.flatMap((part) => {
      const count = counts.get(part.id) ?? 0;
      return count > 0 ? [{ ...part, count }] : [];
    });
    return { width: this.width, gap: this.group.gap, parts, fixed };
  }

  private filled({ counts }: Bin): number {
    return [...counts].reduce((sum, [id, count]) => sum + count * (this.areas.get(id) ?? 0), 0);
  }

  /** The bin with one more of a part, nested within the time given until it lies on the slab; null when it does not. */
  private withOne(bin: Bin, id: string, { run, share }: { readonly run: PlanRun; readonly share: number }): Bin | null {
    const counts = new Map(bin.counts).set(id, (bin.counts.get(id) ?? 0) + 1);
    if (this.filled({ ...bin, counts }) > FULLEST * this.width * this.length) return null;
    let fits = false;
    const better = ({ used }: Nested) => {
      fits = used <= this.length;
    };
    const going = () => !fits && run.before(share);
    const nested = nest(this.job(counts, bin.fixed), { random: run.random, going, better });
    return nested && nested.used <= this.length ? { ...bin, counts, nested } : null;
  }

  /** Lays locked parts where they are, and the others on skylines, the largest first. Returns parts that fit nowhere. */
  fill(locked: readonly Locked[], run: PlanRun): PlanPart[] {
    const unfit: PlanPart[] = [];
    for (const { slab, placement } of locked) {
      while (this.bins.length <= slab) this.bins.push(EMPTY);
      const bin = this.bins[slab] as Bin;
      const counts = new Map(bin.counts).set(placement.id, (bin.counts.get(placement.id) ?? 0) + 1);
      this.bins[slab] = { counts, fixed: [...bin.fixed, placement], nested: null };
    }
    this.bins = this.bins
      .filter(({ fixed }) => fixed.length > 0)
      .map((bin) => ({
        ...bin,
        nested: nest(this.job(bin.counts, bin.fixed), { random: run.random, going: () => false }),
      }));
    const sorted = [...this.group.parts].sort(
      (one, other) => (this.areas.get(other.id) ?? 0) - (this.areas.get(one.id) ?? 0),
    );
    for (const part of sorted) {
      const already = locked.filter(({ placement }) => placement.id === part.id).length;
      for (let copy = already; copy < part.count; copy += 1) {
        if (!this.place(part.id, run)) {
          unfit.push(part);
          break;
        }
      }
    }
    return unfit;
  }

  private place(id: string, run: PlanRun): boolean {
    for (const [index, bin] of this.bins.entries()) {
      const fuller = this.withOne(bin, id, { run, share: 0 });
      if (!fuller) continue;
      this.bins[index] = fuller;
      return true;
    }
    const fresh = this.withOne(EMPTY, id, { run, share: 0 });
    if (fresh) this.bins.push(fresh);
    return fresh !== null;
  }

  /** Tries to empty the least filled slab into the others, part by part; keeps the slabs as they were when it does not. */
  merge(run: PlanRun, from: number, share: number): boolean {
    if (this.bins.length < 2) return false;
    const least = this.bins.reduce((small, bin) => (this.filled(bin) < this.filled(small) ? bin : small));
    const others = this.bins.filter((bin) => bin !== least);
    const room = others.reduce((sum, bin) => sum + FULLEST * this.width * this.length - this.filled(bin), 0);
    if (least.fixed.length > 0 || room < this.filled(least)) return false;
    const copies = [...least.counts].flatMap(([id, count]) => Array.from({ length: count }, () => id));
    const tries = copies.length * others.length;
    let tried = 0;
    for (const id of copies) {
      let found = false;
      for (const [index, bin] of others.entries()) {
        tried += 1;
        if (!run.before(share)) return false;
        const fuller = this.withOne(bin, id, { run, share: from + ((share - from) * tried) / tries });
        if (!fuller) continue;
        others[index] = fuller;
        found = true;
        break;
      }
      if (!found) return false;
    }
    this.bins = others;
    return true;
  }

  /** Shortens every slab, each in its share of the time. */
  shorten(
    run: PlanRun,
    { from, to, told }: { readonly from: number; readonly to: number; readonly told: () => void },
  ): void {
    this.bins.forEach((bin, index) => {
      const until = from + ((to - from) * (index + 1)) / this.bins.length;
      const better = (nested: Nested) => {
        if (nested.used >= (this.bins[index]?.nested?.used ?? Infinity) - LENGTH_TOLERANCE) return;
        this.bins[index] = { ...bin, nested };
        told();
      };
      nest(this.job(bin.counts, bin.fixed), { random: run.random, going: () => run.before(until), better });
    });
  }

  /** Clay of a slab that holds a layout, its margins included (mm2). */
  private clay({ used, placements }: Nested): number {
    return (used + 2 * this.margin) * (laidBox(placements, this.outlines).maxX + 2 * this.margin);
  }

  /** Tries slabs that are narrower and longer where parts leave much of one bare; keeps what takes the least clay. */
  narrow(
    run: PlanRun,
    { from, to, told }: { readonly from: number; readonly to: number; readonly told: () => void },
  ): void {
    this.bins.forEach((bin, index) => {
      const { nested } = bin;
      // One part alone takes as much clay whichever way it lies.
      if (
        !nested ||
        nested.placements.length < 2 ||
        bin.fixed.length > 0 ||
        this.filled(bin) > BARE * this.clay(nested)
      )
        return;
      let least = this.clay(nested);
      NARROWER.forEach((share, step) => {
        const done = (index + (step + 1) / NARROWER.length) / this.bins.length;
        const better = (found: Nested) => {
          if (found.used > this.length || this.clay(found) >= least - 1) return;
          least = this.clay(found);
          this.bins[index] = { ...bin, nested: found };
          told();
        };
        const job = { ...this.job(bin.counts, []), width: share * this.width };
        nest(job, { random: run.random, going: () => run.before(from + (to - from) * done), better });
      });
    });
  }

  slabs(): PlannedSlab[] {
    return this.bins.flatMap(({ nested }) => {
      if (!nested) return [];
      const { maxX } = laidBox(nested.placements, this.outlines);
      return [
        {
          thickness: this.group.thickness,
          placements: nested.placements,
          length: nested.used + 2 * this.margin,
          width: maxX + 2 * this.margin,
        },
      ];
    });
  }
}

/**
 * Lays the parts of all thicknesses on as few and as short slabs as are found in the time: first on skylines of their
 * boxes, then whole slabs are saved, then each is shortened, and those that stay half bare are tried narrower. What is locked stays where it is.
 */
export function planSlabs(
  groups: readonly PlanGroup[],
  { rules, locked, run }: { readonly rules: PlanRules; readonly locked: readonly Locked[]; readonly run: PlanRun },
): Planned {
  const made = groups.map((group) => new Group(group, rules));
  const unfit: string[] = [];
  made.forEach((group, index) => {
    const ids = new Set(groups[index]?.parts.map(({ id }) => id));
    const own = locked.filter(({ placement }) => ids.has(placement.id));
    unfit.push(...group.fill(own, run).map(({ piece, name }) => `${piece}, ${name}`));
  });
  const slabs = () => made.flatMap((group) => group.slabs());
  const told = () => run.better?.(slabs());
  told();
  // More parts, more time: a slab with two on it is done at once.
  const weights = groups.map(({ parts }) => parts.reduce((all, { count }) => all + count, 0) ** 2);
  const total = weights.reduce((all, weight) => all + weight, 0);
  made.forEach((group, index) => {
    const before = weights.slice(0, index).reduce((all, weight) => all + weight, 0);
    const [from, to] = [before / total, (before + (weights[index] ?? 0)) / total];
    const merging = from + MERGING * (to - from);
    while (group.merge(run, from, merging)) told();
    const shortened = to - NARROWING * (to - from);
    group.shorten(run, { from: run.before(merging) ? from : merging, to: shortened, told });
    group.narrow(run, { from: shortened, to, told });
  });
  return { slabs: slabs(), unfit };
}
