import 'reflect-metadata';
import 'fake-indexeddb/auto';
import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

// What a browser has and the test page lacks. Sizes are those of a laptop, so that lists have rows in sight.
const structuredClone = <T>(value: T): T => deserialize(serialize(value)) as T;
Object.assign(globalThis, { TextDecoder, TextEncoder, structuredClone });
class ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
Object.assign(globalThis, { ResizeObserver });
const size = { width: 1000, height: 600, top: 0, left: 0, right: 1000, bottom: 600, x: 0, y: 0 };
Element.prototype.getBoundingClientRect = () => ({ ...size, toJSON: () => size });
for (const [name, value] of [
  ['offsetWidth', 1000],
  ['offsetHeight', 600],
  ['clientHeight', 600],
] as const)
  Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => value });
Element.prototype.scrollIntoView = () => undefined;
Element.prototype.scrollTo = () => undefined;
window.matchMedia = (media) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList;
