// The tests' globals are those of a context that is not watched.
//
// Jest's own environment puts a proxy behind the global object, so that each look at `Math` or
// `Float64Array` passes through it: loops over pixels take more than a hundred times as long. A
// context without one is as fast as the page is.
import vm from 'node:vm';
import { ModernFakeTimers } from '@jest/fake-timers';
import { ModuleMocker } from 'jest-mock';
import { installCommonGlobals } from 'jest-util';

/** What Node has beside the language, and what must be one class with Node's own. */
const SHARED = ['Buffer', 'ArrayBuffer', 'Uint8Array', 'process'];

export default class {
  exportConditions = () => ['node', 'node-addons'];
  getVmContext = () => this.context;
  fakeTimers = null;

  constructor({ projectConfig }) {
    this.context = vm.createContext(vm.constants.DONT_CONTEXTIFY);
    this.global = this.context;
    const own = new Set(Object.getOwnPropertyNames(this.global));
    for (const name of Object.getOwnPropertyNames(globalThis))
      if (!own.has(name) || SHARED.includes(name))
        Object.defineProperty(this.global, name, {
          configurable: true,
          get: () => globalThis[name],
          set: (value) => {
            Object.defineProperty(this.global, name, { value, configurable: true, writable: true });
          },
        });
    this.global.global = this.global;
    installCommonGlobals(this.global, projectConfig.globals, 'off');
    this.global.Error.stackTraceLimit = 100;
    this.moduleMocker = new ModuleMocker(this.global);
    this.fakeTimersModern = new ModernFakeTimers({ config: projectConfig, global: this.global });
  }

  async setup() {}

  async teardown() {
    this.fakeTimersModern.dispose();
    this.context = null;
    this.global = null;
  }
}
