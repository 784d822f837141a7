import { TestEnvironment } from 'jest-environment-jsdom';

/** A page without a browser, with what browsers have and jsdom leaves out. */
export default class PageEnvironment extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    const { global } = this;
    // and what a request takes must be of its own kind
    Object.assign(global, { structuredClone, TextEncoder, TextDecoder, Response, Headers, AbortController });
    // a browser reads addresses from where the page is
    global.Request = class extends Request {
      constructor(input, init) {
        super(typeof input === 'string' ? new URL(input, 'http://localhost/') : input, init);
      }
    };
    // of Node's own, a port that was never closed would keep the tests from ending
    global.MessageChannel = class {
      port1 = { onmessage: null, close: () => undefined };
      port2 = { postMessage: () => setTimeout(() => this.port1.onmessage?.({}), 0), close: () => undefined };
    };
  }
}
