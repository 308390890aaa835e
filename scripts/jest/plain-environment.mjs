import { TestEnvironment } from 'jest-environment-node';
import { constants, createContext } from 'node:vm';

/** Some of Node's globals are made when they are first read: they still are, and can be replaced. */
function copyProperty(from, to, key) {
  const descriptor = Object.getOwnPropertyDescriptor(from, key);
  const put = (value) => Object.defineProperty(to, key, { configurable: true, writable: true, value });
  const isLazy = descriptor.get && descriptor.configurable;
  Object.defineProperty(
    to,
    key,
    isLazy ? { configurable: true, get: () => put(from[key])[key], set: (value) => void put(value) } : descriptor,
  );
}

/**
 * Jest's Node environment on a plain global object. Its own puts a proxy and an interceptor before every use of `Map`,
 * `BigInt` or `Math`, which takes about a microsecond each: longer than most of what the core's tests compute.
 */
export default class PlainEnvironment extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    const global = createContext(constants.DONT_CONTEXTIFY);
    const own = new Set(Reflect.ownKeys(global));
    const shared = ['Buffer', 'ArrayBuffer', 'Uint8Array'];
    for (const key of Reflect.ownKeys(this.global)) {
      if (own.has(key) && !shared.includes(key)) continue;
      copyProperty(this.global, global, key);
    }
    Object.assign(global, { global });
    global.Error.stackTraceLimit = 100;
    const { projectConfig } = config;
    this.context = global;
    this.global = global;
    this.moduleMocker = new this.moduleMocker.constructor(global);
    this.fakeTimersModern = new this.fakeTimersModern.constructor({ config: projectConfig, global });
  }
}
