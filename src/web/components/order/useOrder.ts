import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import type { Fault } from '../../../core/errors.ts';
import { isBehind, laidFor, taskOf, type KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { BlockSpot, LaidBlock } from '../../../core/studio/order/order.ts';
import type { Help } from '../../../core/studio/order/whatHelps.ts';
import { useOrders } from '../../stores/records.ts';
import type { OrderReply, OrderRequest } from '../../workers/order.worker.ts';
import { workerJob } from '../../workers/workerJob.ts';

const sameSpot = (one: BlockSpot, other: BlockSpot) =>
  one.line === other.line && one.set === other.set && one.block === other.block;

/** When a laid order takes up the hands: its blocks, and what its kiln needs. */
function handsOf({ laid }: KeptOrder): (readonly [number, number])[] {
  const kiln = (laid?.kiln ?? []).filter(({ kind }) => kind !== 'bisque' && kind !== 'glaze');
  return [
    ...(laid?.blocks ?? []).map(({ start, end }) => [start, end] as const),
    ...kiln.map(({ from, to }) => [from, to] as const),
  ];
}

/** One order on the screen: edited in place, and laid again in a worker whenever something that it depends on changes. */
export function useOrder(order: () => Kept<'order'> | undefined) {
  const orders = useOrders();
  const helps = shallowRef<readonly Help[]>([]);
  /** What would help is still being looked for. */
  const looking = ref(false);
  const trouble = ref('');
  const job = workerJob<OrderRequest, OrderReply>({
    make: () => new Worker(new URL('../../workers/order.worker.ts', import.meta.url), { type: 'module' }),
    ends: (reply) => reply.kind !== 'laid' || reply.over,
    broken: { kind: 'broken' },
  });
  const body = computed(() => order()?.body);
  const stale = computed(() => body.value !== undefined && body.value.laid?.of !== laidFor(body.value));

  function change(part: Partial<KeptOrder>, group: string | null = null): readonly Fault[] {
    const now = order();
    return now ? orders.change(now.id, { ...now.body, ...part }, group) : [];
  }

  function take(id: string, of: string, reply: OrderReply): void {
    if (reply.kind === 'broken') trouble.value = 'The order could not be laid. Look at its figures and try again.';
    if (reply.kind === 'helps') helps.value = reply.helps;
    const now = order();
    // What has been changed meanwhile is laid on its own.
    if (reply.kind !== 'laid' || now?.id !== id || laidFor(now.body) !== of) return;
    looking.value = !reply.over;
    orders.follow(id, { ...now.body, laid: { ...reply.laid, of } });
  }

  /** Lays the order as it is now; what lies behind, and what is held, stays. */
  async function lay(): Promise<void> {
    const now = order();
    if (!now || now.body.lines.length === 0) return;
    trouble.value = '';
    helps.value = [];
    looking.value = false;
    const others = orders.list.filter(({ id }) => id !== now.id);
    const task = taskOf(
      now.body,
      Date.now(),
      others.flatMap(({ body: other }) => handsOf(other)),
    );
    const of = laidFor(now.body);
    // A plain copy: what the stores hold may be watched.
    const question = JSON.parse(JSON.stringify({ task, now: Date.now() })) as OrderRequest;
    const reply = await job.ask(question, (part) => take(now.id, of, part));
    if (!reply) return;
    take(now.id, of, reply);
    looking.value = false;
  }

  watch(
    () => (body.value && stale.value ? `${order()?.id} ${laidFor(body.value)}` : ''),
    (of) => {
      if (of) void lay();
    },
    { immediate: true },
  );
  watch(
    () => order()?.id,
    () => (helps.value = []),
  );
  // What should have been done by now, and is not, is laid anew when the order is opened or something else of it is done.
  watch(
    [() => order()?.id, () => body.value?.done],
    () => body.value && !stale.value && isBehind(body.value, Date.now()) && void lay(),
    { immediate: true },
  );
  onScopeDispose(job.stop);

  const isHeld = (spot: BlockSpot) => body.value?.held.some((one) => sameSpot(one, spot)) ?? false;

  /** Puts a block at a moment and holds it there; the rest is laid again round it. */
  function hold({ line, set, block }: BlockSpot, start: number): void {
    const rest = (body.value?.held ?? []).filter((one) => !sameSpot(one, { line, set, block }));
    change({ held: [...rest, { line, set, block, start }] });
  }

  function letGo(spot: BlockSpot): void {
    change({ held: (body.value?.held ?? []).filter((one) => !sameSpot(one, spot)) });
  }

  const chosen = shallowRef<BlockSpot | null>(null);
  const chosenBlock = computed<LaidBlock | null>(() => {
    const spot = chosen.value;
    return (spot && body.value?.laid?.blocks.find((one) => sameSpot(one, spot))) ?? null;
  });

  return {
    body,
    change,
    busy: job.busy,
    looking,
    helps,
    trouble,
    stale,
    lay,
    stop: job.stop,
    isHeld,
    hold,
    letGo,
    chosen,
    chosenBlock,
  };
}

/** What useOrder returns. */
export type OrderInHand = ReturnType<typeof useOrder>;
