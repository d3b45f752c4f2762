import type * as Core from './core.ts';

/** The core as the build bundled it. */
export const core = (await import(
  new URL('../.cache/e2e/core.mjs', import.meta.url).href
)) as typeof Core;
