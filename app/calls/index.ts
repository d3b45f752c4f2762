import { CallHost, type CallWorker } from './host.ts';
import { artBytes } from '../storage/index.ts';

/** Starts workers of a name, by which they are told apart where processes are looked at. */
const start = (name: string) => (): CallWorker =>
  new Worker(new URL('./worker.ts', import.meta.url), {
    type: 'module',
    name,
  }) as unknown as CallWorker;

const host = (name: string): CallHost => new CallHost(start(name), artBytes);

/**
 * The page’s calls. What the proof says and art have workers of their own, so that a long export does not hold
 * them up.
 */
export const calls = host('calls');
export const proofCalls = host('proof');
export const artCalls = host('art');
/** Nesting is done twice at once, each with a luck of its own. */
export const nestCalls = [host('nest'), host('nest')] as const;

export { pagePlatform } from './page-platform.ts';
export type { CallHost, Ongoing } from './host.ts';
