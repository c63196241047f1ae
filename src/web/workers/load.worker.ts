import type { Loaded, LoadJob } from '../../core/studio/kiln/loadJob.ts';
import { packLoad } from '../../core/studio/kiln/packLoad.ts';
import { seeded } from '../../core/seeded.ts';

/** The request: a load to pack, and the time for it (s). */
export interface LoadQuestion {
  readonly job: LoadJob;
  readonly seconds: number;
}
/** The reply. */
export type LoadReply = { readonly kind: 'loaded'; readonly loaded: Loaded } | { readonly kind: 'broken' };

const port = self as unknown as {
  onmessage: (event: MessageEvent<LoadQuestion>) => void;
  postMessage: (reply: LoadReply) => void;
};
port.onmessage = ({ data: { job, seconds } }) => {
  const from = performance.now();
  const loaded = packLoad(job, { random: seeded(1), going: () => performance.now() - from < 1000 * seconds });
  port.postMessage({ kind: 'loaded', loaded });
};
