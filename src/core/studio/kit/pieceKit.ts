import type { Development } from '../../piece/develop.ts';
import { slabBox } from '../../parts/part/part.ts';
import { isDraped } from '../../forms/mould/draped.ts';
import type { Target } from '../../target/target.ts';
import { cutBase, CUTTER_TOLERANCE } from '../reverse/cutter.ts';
import { lies, sizeOf, thicknessWay, type KitItem, type ThicknessWay } from './kit.ts';

/** What of the kit a piece uses. */
export interface PieceKit {
  /** How its slabs are rolled, each thickness once (mm). */
  readonly slabs: readonly (ThicknessWay & { readonly thickness: number })[];
  /** The round cutter that cuts its base as it is, when it is in the kit. */
  readonly cutter: string | null;
  /** The former that it is wrapped round, when it is in the kit. */
  readonly former: string | null;
  /** The smallest board that its largest flat part lies on; null when there is none. */
  readonly board: string | null;
  /** Printers and cutting machines, and whether the largest part's template comes out of them whole. */
  readonly machines: readonly { readonly name: string; readonly whole: boolean }[];
}

/** A machine's grip and a printer's margin at each edge of a sheet (mm). */
const MACHINE_EDGE = 10;

/** Formers closer in size than this count as equal (mm). */
const FORMER_NEAR = 0.5;

/** What of the kit a piece is made with. */
export function pieceKit(kit: readonly KitItem[], target: Target, developed: Development): PieceKit {
  const { slab, form } = target;
  // A piece from a mould, a sheet and a stand are of one slab.
  const based = target.base.join !== 'none' && !isDraped(target) && form.kind !== 'sheet' && form.kind !== 'stand';
  const wanted = [...new Set([slab.wall, ...(based ? [slab.base] : [])])];
  const cutters = kit.filter(({ kind }) => kind === 'cutter');
  const cut = cutBase(developed.parts);
  const cutter = cutters.find((item) => cut !== null && Math.abs(sizeOf(item, 'diameter') - cut) < CUTTER_TOLERANCE);
  const former =
    form.kind === 'former'
      ? kit.find((item) => item.kind === 'former' && Math.abs(sizeOf(item, 'diameter') - form.diameter) < FORMER_NEAR)
      : undefined;
  const boxes = developed.parts.map(slabBox);
  const largest = boxes.reduce((one, other) => (other.length * other.width > one.length * one.width ? other : one), {
    length: 0,
    width: 0,
  });
  const whole = (item: KitItem) =>
    boxes.every(({ length, width }) => lies([length + 2 * MACHINE_EDGE, width + 2 * MACHINE_EDGE], item));
  const boards = kit
    .filter((item) => item.kind === 'board' && lies([largest.length, largest.width], item))
    .sort(
      (one, other) => sizeOf(one, 'length') * sizeOf(one, 'width') - sizeOf(other, 'length') * sizeOf(other, 'width'),
    );
  return {
    slabs: wanted.map((thickness) => ({ thickness, ...thicknessWay(kit, thickness) })),
    cutter: cutter?.name ?? null,
    former: former?.name ?? null,
    board: boards[0]?.name ?? null,
    machines: kit
      .filter(({ kind }) => kind === 'printer' || kind === 'plotter')
      .map((item) => ({ name: item.name, whole: whole(item) })),
  };
}
