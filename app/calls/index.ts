import type { CallWorker } from './host.ts';
import { CallHost } from './host.ts';
import { artBytes } from '../storage/index.ts';

const start = (): CallWorker =>
  new Worker(new URL('./worker.ts', import.meta.url), {
    type: 'module',
    name: 'peel',
  }) as unknown as CallWorker;

/**
 * The page's calls. Findings and art have workers of their own, so that a long export does not hold
 * them up.
 */
export const calls = new CallHost(start, artBytes);
export const proofCalls = new CallHost(start, artBytes);
export const artCalls = new CallHost(start, artBytes);
/** Nesting is done twice at once, each with a luck of its own. */
export const nestCalls = [new CallHost(start, artBytes), new CallHost(start, artBytes)] as const;

export { pagePlatform } from './page-platform.ts';
export type { Ongoing } from './host.ts';
