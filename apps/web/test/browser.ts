import { TextDecoder, TextEncoder } from 'node:util';

/** What Mantine asks and React Router ask of a browser and jsdom does not have. */
Object.defineProperty(window, 'matchMedia', {
  value: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
    onchange: null,
    dispatchEvent: () => false,
  }),
});
class Observer {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
Object.defineProperty(window, 'ResizeObserver', { value: Observer });
Object.assign(globalThis, { TextEncoder, TextDecoder });
