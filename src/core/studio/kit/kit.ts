import type { PaperName } from '../printer/paper.ts';
import type { KitMould } from './kitMould.ts';

/** Kinds of things that a potter owns and patterns are made for. */
export const KIT_KINDS = [
  'stick',
  'roller',
  'cutter',
  'former',
  'mould',
  'template',
  'board',
  'shelf',
  'round-shelf',
  'kiln',
  'printer',
  'plotter',
] as const;

/** A kind of thing in the kit. */
export type KitKind = (typeof KIT_KINDS)[number];

/** One figure of a thing, mm. */
export interface KitSize {
  readonly key: string;
  readonly label: string;
  /** A usual figure, to begin with. */
  readonly usual: number;
  /** May be 0. */
  readonly none?: boolean;
}

/** What each kind is called, one and many, and the figures that it has. */
export const KIT: Readonly<Record<KitKind, { one: string; many: string; sizes: readonly KitSize[] }>> = {
  stick: {
    one: 'Thickness sticks',
    many: 'Thickness sticks',
    sizes: [{ key: 'thickness', label: 'Thickness', usual: 6 }],
  },
  roller: { one: 'Slab roller', many: 'Slab rollers', sizes: [{ key: 'width', label: 'Width', usual: 600 }] },
  cutter: { one: 'Round cutter', many: 'Round cutters', sizes: [{ key: 'diameter', label: 'Across', usual: 90 }] },
  former: {
    one: 'Former',
    many: 'Formers',
    sizes: [
      { key: 'diameter', label: 'Across', usual: 75 },
      { key: 'sleeve', label: 'Sleeve, thick', usual: 0.5, none: true },
    ],
  },
  mould: {
    one: 'Mould',
    many: 'Moulds',
    sizes: [
      { key: 'length', label: 'Rim, long', usual: 240 },
      { key: 'width', label: 'Rim, wide', usual: 160 },
      { key: 'depth', label: 'Depth', usual: 40 },
    ],
  },
  template: {
    one: 'Arc template',
    many: 'Arc templates',
    sizes: [
      { key: 'chord', label: 'Across its long arc', usual: 320 },
      { key: 'rise', label: 'Its rise', usual: 50 },
      { key: 'along', label: 'Along an end', usual: 100 },
    ],
  },
  board: {
    one: 'Board',
    many: 'Boards',
    sizes: [
      { key: 'length', label: 'Long', usual: 900 },
      { key: 'width', label: 'Wide', usual: 500 },
    ],
  },
  shelf: {
    one: 'Kiln shelf',
    many: 'Kiln shelves',
    sizes: [
      { key: 'length', label: 'Long', usual: 480 },
      { key: 'width', label: 'Wide', usual: 420 },
      { key: 'clear', label: 'Clearance above it', usual: 150 },
    ],
  },
  'round-shelf': {
    one: 'Round kiln shelf',
    many: 'Round kiln shelves',
    sizes: [
      { key: 'diameter', label: 'Across', usual: 450 },
      { key: 'clear', label: 'Clearance above it', usual: 150 },
    ],
  },
  kiln: {
    one: 'Kiln',
    many: 'Kilns',
    sizes: [
      { key: 'length', label: 'Chamber, deep', usual: 500 },
      { key: 'width', label: 'Chamber, wide', usual: 450 },
      { key: 'height', label: 'Chamber, high', usual: 600 },
    ],
  },
  printer: {
    one: 'Printer',
    many: 'Printers',
    sizes: [
      { key: 'length', label: 'Sheet, long', usual: 297 },
      { key: 'width', label: 'Sheet, wide', usual: 210 },
    ],
  },
  plotter: {
    one: 'Cutting machine',
    many: 'Cutting machines',
    sizes: [
      { key: 'length', label: 'Cuts, long', usual: 600 },
      { key: 'width', label: 'Cuts, wide', usual: 300 },
    ],
  },
};

/** The two lengths of a check sheet as they came out of a printer. */
export interface PrinterCheck {
  readonly paper: PaperName;
  readonly across: number;
  readonly up: number;
  readonly day: string;
}

/** A thing of the kit: its figures by their keys (mm); a roller has its settings, thicknesses that it rolls to. */
export interface KitItem {
  readonly kind: KitKind;
  readonly name: string;
  readonly sizes: Readonly<Record<string, number>>;
  readonly settings?: readonly number[];
  /** What a printer's check sheet measured (mm), on which paper, and when (YYYY-MM-DD). */
  readonly check?: PrinterCheck;
  /** A mould as it was drawn in a piece. */
  readonly mould?: KitMould;
  readonly note?: string;
}

/** Limits of the kit's figures (mm). */
export const KIT_LIMITS = { size: 5000, settings: 40, text: 400 } as const;

/** A figure of a thing, 0 when it has no such figure. */
export function sizeOf(item: KitItem, key: string): number {
  return item.sizes[key] ?? 0;
}

/** Thicknesses closer than this count as equal (mm). */
const SAME_THICKNESS = 0.05;

/** How a thickness can be rolled with the kit. */
export interface ThicknessWay {
  readonly kind: 'stick' | 'roller' | 'none';
  readonly name: string;
  /** The nearest thickness that there is, which is the wanted one unless `kind` is `none` (mm); null without sticks and roller. */
  readonly nearest: number | null;
}

/** All thicknesses that the kit rolls to, ascending, each with what does it. */
export function thicknesses(kit: readonly KitItem[]): { thickness: number; item: KitItem }[] {
  return kit
    .flatMap((item) => {
      if (item.kind === 'stick') return [{ thickness: sizeOf(item, 'thickness'), item }];
      if (item.kind === 'roller') return (item.settings ?? []).map((thickness) => ({ thickness, item }));
      return [];
    })
    .sort((one, other) => one.thickness - other.thickness);
}

/** What in the kit rolls a slab to a thickness (mm): sticks before a roller's setting. */
export function thicknessWay(kit: readonly KitItem[], wanted: number): ThicknessWay {
  const ways = thicknesses(kit);
  const exact = ways.filter(({ thickness }) => Math.abs(thickness - wanted) < SAME_THICKNESS);
  const best = exact.find(({ item }) => item.kind === 'stick') ?? exact[0];
  if (best) return { kind: best.item.kind === 'stick' ? 'stick' : 'roller', name: best.item.name, nearest: wanted };
  const nearest = ways.reduce<number | null>(
    (near, { thickness }) =>
      near === null || Math.abs(thickness - wanted) < Math.abs(near - wanted) ? thickness : near,
    null,
  );
  return { kind: 'none', name: '', nearest };
}

/** The greatest slab that the kit allows (mm): as wide as the widest roller, as long and wide as the largest board. */
export function greatestSlab(kit: readonly KitItem[]): { length: number; width: number } | null {
  const boards = kit.filter(({ kind }) => kind === 'board');
  const rollers = kit.filter(({ kind }) => kind === 'roller');
  if (boards.length === 0 && rollers.length === 0) return null;
  const board = boards.reduce<KitItem | null>(
    (large, one) =>
      !large || sizeOf(one, 'length') * sizeOf(one, 'width') > sizeOf(large, 'length') * sizeOf(large, 'width')
        ? one
        : large,
    null,
  );
  const roller = Math.max(0, ...rollers.map((one) => sizeOf(one, 'width')));
  const width = Math.min(board ? sizeOf(board, 'width') : Infinity, roller > 0 ? roller : Infinity);
  return { length: board ? sizeOf(board, 'length') : KIT_LIMITS.size, width };
}

/** Whether a box lies on or in a thing of the kit, either way round (mm). */
export function lies([long, wide]: readonly [number, number], item: KitItem): boolean {
  const [length, width] = [sizeOf(item, 'length'), sizeOf(item, 'width')];
  return (long <= length && wide <= width) || (wide <= length && long <= width);
}
