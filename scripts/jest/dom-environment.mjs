import { JSDOM, VirtualConsole } from 'jsdom';
import PlainEnvironment from './plain-environment.mjs';

/** What Node has under the same name and the document's own must replace. */
const OF_THE_DOCUMENT = [
  'Event',
  'EventTarget',
  'CustomEvent',
  'AbortController',
  'AbortSignal',
  'FormData',
  'File',
  // Timers of a page end with its window.
  'setTimeout',
  'clearTimeout',
  'setInterval',
  'clearInterval',
];

/** jsdom's document on the plain global object: the page's code runs there, and `window` is jsdom's. */
export default class DomEnvironment extends PlainEnvironment {
  customExportConditions = ['browser'];

  constructor(config, context) {
    super(config, context);
    const virtualConsole = new VirtualConsole();
    virtualConsole.sendTo(context.console, { omitJSDOMErrors: true });
    this.dom = new JSDOM('<!DOCTYPE html>', { url: 'http://localhost/', pretendToBeVisual: true, virtualConsole });
    const { window } = this.dom;
    for (const name of Object.getOwnPropertyNames(window)) {
      if (Reflect.has(this.global, name) && !OF_THE_DOCUMENT.includes(name)) continue;
      Object.defineProperty(this.global, name, {
        configurable: true,
        get: () => window[name],
        set: (value) => {
          Object.defineProperty(this.global, name, { configurable: true, writable: true, value });
        },
      });
    }
    for (const name of ['addEventListener', 'removeEventListener', 'dispatchEvent', 'getComputedStyle'])
      Object.defineProperty(this.global, name, {
        configurable: true,
        writable: true,
        value: window[name].bind(window),
      });
  }

  async teardown() {
    this.dom?.window.close();
    this.dom = null;
    await super.teardown();
  }
}
