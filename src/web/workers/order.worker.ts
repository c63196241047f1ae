import { layOrder } from '../../core/studio/order/layOrder.ts';
import { makesIt, type LaidOrder, type OrderTask } from '../../core/studio/order/order.ts';
import { whatHelps, type Help } from '../../core/studio/order/whatHelps.ts';
import { seeded } from '../../core/seeded.ts';

/** What the worker is asked: to lay an order, as it is now (ms since 1970). */
export interface OrderRequest {
  readonly task: OrderTask;
  readonly now: number;
}

/** What it answers: the order laid, and then what would bring it in on time; `broken` when it broke down. */
export type OrderReply =
  | { readonly kind: 'laid'; readonly laid: LaidOrder; readonly over: boolean }
  | { readonly kind: 'helps'; readonly helps: readonly Help[] }
  | { readonly kind: 'broken' };

/** Time for laying, and for looking for what would help (ms). */
const LAY = 6000;
const HELP = 20_000;

/** Changes tried where an order is not in time. */
const ROUNDS = 4000;

const port = self as unknown as {
  onmessage: (event: MessageEvent<OrderRequest>) => void;
  postMessage: (reply: OrderReply) => void;
};
port.onmessage = ({ data: { task, now } }) => {
  const within = (ms: number) => {
    const from = performance.now();
    return () => performance.now() - from < ms;
  };
  const laid = layOrder(task, { random: seeded(1), rounds: ROUNDS, going: within(LAY) });
  const over = makesIt(laid);
  port.postMessage({ kind: 'laid', laid, over });
  if (!over)
    port.postMessage({ kind: 'helps', helps: whatHelps(task, now, { random: seeded(1), going: within(HELP) }) });
};
