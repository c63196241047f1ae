import type { Design } from '../../../contract/api.ts';
import { localDay } from '../../../core/day.ts';
import type { Cover } from '../../../core/studio/drying/air.ts';
import { factorFor } from '../../../core/studio/making/waitWindow.ts';
import type { KeptOrder, KeptOrderLine } from '../../../core/studio/order/keptOrder.ts';
import { USUAL_FIRING } from '../../../core/studio/order/keptOrder.ts';
import { USUAL_WEEK } from '../../../core/studio/order/weekHours.ts';
import { blocksOf } from '../../../core/studio/order/workBlock.ts';
import { api } from '../../api.ts';
import { useHouseWay } from '../../stores/houseWay.ts';
import { useClays } from '../../stores/records.ts';
import { useDrawUp } from '../make/useDrawUp.ts';

/** A new order is wanted this many days from now. */
const WANTED = 21;

/** A new order, with the hours that the last one had. */
export function newOrder(air: KeptOrder['air'], last: KeptOrder | undefined): KeptOrder {
  const day = new Date();
  day.setDate(day.getDate() + WANTED);
  const { once, bisque, glaze, glazing, load } = last ?? USUAL_FIRING;
  return {
    name: 'Order',
    start: localDay(new Date()),
    ready: localDay(day),
    week: last?.week ?? USUAL_WEEK,
    once,
    bisque,
    glaze,
    glazing,
    load,
    pace: last?.pace ?? 1,
    air,
    lines: [],
    held: [],
    laid: null,
  };
}

/** Draws up lines of an order: the work of one piece, and what was learned of its clay. */
export function useOrderLines() {
  const draw = useDrawUp();
  const clays = useClays();
  const way = useHouseWay();

  async function factorsOf(clayName: string, covers: readonly Cover[]): Promise<Partial<Record<Cover, number>>> {
    const clay = clays.list.find(({ body }) => body.name === clayName);
    if (!clay) return {};
    // Without the server the model's own pace stands.
    const marks = await api.found(clay.id).catch(() => []);
    return Object.fromEntries(covers.map((cover) => [cover, factorFor(cover, marks).usual]));
  }

  /** @throws Error when a blank over a mould cannot be laid flat */
  async function line(design: Design, count: number): Promise<KeptOrderLine> {
    const blocks = blocksOf(await draw.own(design.target));
    const covers = [...new Set(blocks.flatMap(({ waits }) => waits?.part.cover ?? []))];
    const factors = await factorsOf(design.target.clay.name ?? '', covers);
    return { design: design.id, revision: design.revision, name: design.name, count, blocks, factors };
  }

  return { line, air: () => way.air };
}
