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

/** jsdom has no fetch: requests go to whatever answers a test has put in place. */
class TestRequest {
  readonly url: string;
  readonly method: string;
  readonly headers: Headers;
  private readonly body: string;
  constructor(url: string, init: { method?: string; headers?: Headers; body?: string } = {}) {
    this.url = new URL(url, 'http://localhost').href;
    this.method = init.method ?? 'GET';
    this.headers = init.headers ?? new Headers();
    this.body = init.body ?? '';
  }
  clone(): TestRequest {
    return this;
  }
  text(): Promise<string> {
    return Promise.resolve(this.body);
  }
}
export type AnswerTo = (request: TestRequest) => Promise<unknown>;
const server: { answer: AnswerTo | null } = { answer: null };
Object.assign(globalThis, {
  testServer: server,
  Request: TestRequest,
  fetch: (request: TestRequest) =>
    server.answer ? server.answer(request) : Promise.reject(new TypeError('no server in this test')),
});
Element.prototype.scrollIntoView = () => undefined;
