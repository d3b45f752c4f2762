// What every platform that runs the core has: a page, a worker and Node. Anything else that a
// core file names does not compile.

declare class TextEncoder {
  encode(text: string): Uint8Array<ArrayBuffer>;
}
declare class TextDecoder {
  constructor(encoding?: string, options?: { fatal?: boolean });
  decode(bytes: Uint8Array): string;
}
declare function atob(text: string): string;
declare function btoa(text: string): string;
declare function setTimeout(run: () => void, ms: number): unknown;
declare namespace WebAssembly {
  interface Module {
    readonly brand?: 'module';
  }
  interface Instance {
    readonly exports: Record<string, unknown>;
  }
  function compile(bytes: Uint8Array<ArrayBuffer>): Promise<Module>;
  function instantiate(module: Module, imports?: Record<string, unknown>): Promise<Instance>;
}
