import type { Target } from '../../core/target/target.ts';
import { solveWork, type SolveWork } from './solveWork.ts';

/** The worker's side: one request, one reply. */
const port = self as unknown as {
  onmessage: (event: MessageEvent<{ target: Target; work: SolveWork }>) => void;
  postMessage: (reply: unknown) => void;
};
port.onmessage = ({ data }) => port.postMessage(solveWork(data.target, data.work));
