/** The one port of the core: bytes of the typefaces and WebAssembly modules that ship. */
export interface Platform {
  /** The bytes of a shipped asset; rejects when there is none of that name. */
  asset(name: string): Promise<Uint8Array<ArrayBuffer>>;
  /** A shipped asset that is a script, run as it is; rejects when there is none of that name. */
  module(name: string): Promise<unknown>;
}

/** A platform that asks for each asset once. */
export function cachingPlatform(platform: Platform): Platform {
  const asked = new Map<string, Promise<Uint8Array<ArrayBuffer>>>();
  return {
    // Every place that runs scripts runs each of them once.
    module: (name) => platform.module(name),
    asset(name) {
      const known = asked.get(name);
      if (known) return known;
      const answer = platform.asset(name);
      asked.set(name, answer);
      answer.catch(() => asked.delete(name));
      return answer;
    },
  };
}
