import { kilnKit, type KilnKit } from '../../core/studio/kit/kilnKit.ts';
import type { KitItem } from '../../core/studio/kit/kit.ts';
import type { Target } from '../../core/target/target.ts';
import { unpacked, type SentTarget } from './blankWork.ts';

/** The request: how a piece fits the kilns and shelves of a kit. */
export type KitQuestion = SentTarget<Target> & { readonly kit: readonly KitItem[] };

const port = self as unknown as {
  onmessage: (event: MessageEvent<KitQuestion>) => void;
  postMessage: (reply: KilnKit) => void;
};
port.onmessage = ({ data }) => port.postMessage(kilnKit(data.kit, unpacked(data)));
