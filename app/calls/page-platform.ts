import { cachingPlatform, type Platform } from '../../core/base/index.ts';

/** The assets as the server has them, for a page and its workers. */
export const pagePlatform: Platform = cachingPlatform({
  async asset(name) {
    const answer = await fetch(`/core/${name}`);
    if (!answer.ok) throw new Error(`${name} was not found`);
    return new Uint8Array(await answer.arrayBuffer());
  },
  module: (name) => import(/* @vite-ignore */ new URL(`/core/${name}`, location.origin).href),
});
