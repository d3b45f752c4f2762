// Runs the core's heavy calls. Modules that start by themselves are loaded after the listener is in
// place, so that no message is lost.
import type { FromWorker, ToWorker } from './protocol.ts';

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<ToWorker>) => void) | null;
  postMessage(message: FromWorker, transfer?: Transferable[]): void;
};

const waiting: ToWorker[] = [];
let receive = (message: ToWorker): void => void waiting.push(message);
scope.onmessage = ({ data }) => receive(data);

const { answerCalls } = await import('./answer-calls.ts');
receive = answerCalls((message) => scope.postMessage(message));
waiting.splice(0).forEach((message) => receive(message));
