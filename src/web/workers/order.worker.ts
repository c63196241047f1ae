import { layOrder } from '../../core/studio/order/layOrder.ts';
import { makesIt, type LaidOrder, type OrderTask } from '../../core/studio/order/order.ts';
import { whatHelps, type Help } from '../../core/studio/order/whatHelps.ts';
import { seeded } from '../../core/seeded.ts';

/** The request: an order to plan, as of now (ms since 1970). */
export interface OrderRequest {
  readonly task: OrderTask;
  readonly now: number;
}

/** The reply: the planned order, then what would bring it in on time; `broken` when the worker failed. */
export type OrderReply =
  | { readonly kind: 'laid'; readonly laid: LaidOrder; readonly over: boolean }
  | { readonly kind: 'helps'; readonly helps: readonly Help[] }
  | { readonly kind: 'broken' };

/** Time for planning, and for finding what would help (ms). */
const LAY = 6000;
const HELP = 20_000;

/** Number of changes tried where an order is late. */
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
