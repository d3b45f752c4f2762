/** The one port of the core: bytes of the typefaces and WebAssembly modules that ship. */
export interface Platform {
  /** The bytes of a shipped asset; rejects when there is none of that name. */
  asset(name: string): Promise<Uint8Array<ArrayBuffer>>;
}

/** A platform that asks for each asset once. */
export function cachingPlatform(platform: Platform): Platform {
  const asked = new Map<string, Promise<Uint8Array<ArrayBuffer>>>();
  return {
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
