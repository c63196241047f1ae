import { photoWork, type PhotoQuestion } from './photoWork.ts';

/** The worker's side: one request, one reply. */
const port = self as unknown as {
  onmessage: (event: MessageEvent<PhotoQuestion>) => void;
  postMessage: (reply: unknown) => void;
};
port.onmessage = ({ data }) => port.postMessage(photoWork(data));
