import { TextDecoder, TextEncoder } from 'node:util';

// jsdom has none of these.
Object.assign(globalThis, { TextEncoder, TextDecoder });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
