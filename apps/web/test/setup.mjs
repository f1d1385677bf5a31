import { TextDecoder, TextEncoder } from 'node:util';

// jsdom has none of these.
Object.assign(globalThis, { TextEncoder, TextDecoder });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
/** A request as a server that is played sees it. */
globalThis.Request ??= class {
  constructor(url, { method = 'GET', headers, body = '' } = {}) {
    Object.assign(this, { url, method, headers: new Headers(headers), body });
  }
  async text() {
    return this.body;
  }
};
