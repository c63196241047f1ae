import { photoWork, type PhotoQuestion } from './photoWork.ts';

/** The worker's side: one question, one answer. */
const port = self as unknown as {
  onmessage: (event: MessageEvent<PhotoQuestion>) => void;
  postMessage: (reply: unknown) => void;
};
port.onmessage = ({ data }) => port.postMessage(photoWork(data));
