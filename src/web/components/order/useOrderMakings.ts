import { computed, ref, shallowRef, watch } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import type { Making, MakingStart } from '../../../contract/makings.ts';
import { howFar, type HowFar } from '../../../core/studio/making/howFar.ts';
import { doneBlocks } from '../../../core/studio/order/doneBlocks.ts';
import { api, Refused } from '../../api.ts';
import { useConnection } from '../../stores/connection.ts';
import { newId } from '../../stores/heldRecords.ts';
import { useHouseWay } from '../../stores/houseWay.ts';
import { useMakings } from '../../stores/makings.ts';
import { useClays, useOrders } from '../../stores/records.ts';
import { useDrawUp } from '../make/useDrawUp.ts';

/** One kind of piece of an order in work: where it is made, and how far it has come. */
export interface LineInWork extends HowFar {
  readonly making: string;
  readonly piece: number;
  readonly design: string;
  readonly name: string;
}

/** The makings that an order was begun with, one for each of its clays. */
export function useOrderMakings(order: () => Kept<'order'> | undefined) {
  const orders = useOrders();
  const makings = useMakings();
  const connection = useConnection();
  const clays = useClays();
  const way = useHouseWay();
  const draw = useDrawUp();
  const found = shallowRef<readonly Making[]>([]);
  /** How many of them are no longer there. */
  const gone = ref(0);
  /** All of them have been seen. */
  const known = ref(false);
  const busy = ref(false);
  const trouble = ref('');
  const ids = computed(() => order()?.body.makings ?? []);

  async function look(): Promise<void> {
    const wanted = ids.value;
    const replies = await Promise.allSettled(wanted.map((id) => api.making(id)));
    if (ids.value !== wanted) return;
    found.value = replies.flatMap((reply) => (reply.status === 'fulfilled' ? [reply.value] : []));
    gone.value = replies.filter((reply) => reply.status === 'rejected' && reply.reason instanceof Refused).length;
    known.value = found.value.length + gone.value === wanted.length;
  }
  watch(ids, look, { immediate: true });

  const lines = computed<readonly LineInWork[]>(() =>
    found.value.flatMap(({ id, pieces, marks }) =>
      pieces.map((piece, index) => ({
        making: id,
        piece: index,
        design: piece.designId,
        name: piece.name,
        ...howFar(piece, index, marks),
      })),
    ),
  );

  // What is done by them is noted in the order, so that the rest is laid again from there.
  const done = computed(() =>
    known.value && found.value.length > 0
      ? doneBlocks(order()?.body ?? { lines: [], laid: null }, found.value)
      : undefined,
  );
  watch(
    [done, known],
    () => {
      const now = order();
      if (!now || !known.value) return;
      const { done: before, ...body } = now.body;
      if (JSON.stringify(before) === JSON.stringify(done.value)) return;
      orders.follow(now.id, done.value ? { ...body, done: done.value } : body);
    },
    { immediate: true },
  );

  /** The makings of all lines, drawn up in the house way of today. */
  async function drawnUp({ body }: Kept<'order'>): Promise<MakingStart[]> {
    const byClay = new Map<string, { clay: string | null; pieces: MakingStart['pieces'][number][] }>();
    for (const { design, revision, name, count } of body.lines) {
      const target = await api.revision(design, revision);
      const clayName = target.clay.name ?? '';
      const clay = clays.list.find((one) => one.body.name === clayName)?.id ?? null;
      const group = byClay.get(clayName) ?? { clay, pieces: [] };
      group.pieces.push({ designId: design, revision, name, count, steps: await draw.own(target) });
      byClay.set(clayName, group);
    }
    return [...byClay].map(([clayName, { clay, pieces }]) => ({
      id: newId(),
      name: byClay.size > 1 && clayName ? `${body.name}, ${clayName}`.slice(0, 120) : body.name,
      clay,
      startedAt: new Date().toISOString(),
      dueAt: new Date(`${body.ready}T18:00`).toISOString(),
      schools: way.schools,
      air: body.air,
      pieces,
    }));
  }

  /** Begins the makings and notes them in the order; returns them, or none when they could not be begun. */
  async function begin(): Promise<readonly MakingStart[]> {
    const now = order();
    if (!now || busy.value) return [];
    busy.value = true;
    trouble.value = '';
    try {
      const starts = await drawnUp(now);
      for (const start of starts) await makings.begin(start);
      // It may have been laid anew meanwhile.
      const body = order()?.body ?? now.body;
      orders.follow(now.id, { ...body, makings: starts.map(({ id }) => id) });
      return starts;
    } catch (error) {
      trouble.value = connection.note(error);
      return [];
    } finally {
      busy.value = false;
    }
  }

  return { lines, gone, busy, trouble, begin };
}
