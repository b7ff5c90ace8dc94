/** jsdom with what browsers have and it lacks. */
import { TestEnvironment } from "jest-environment-jsdom";

export default class ScreenEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { structuredClone, TextEncoder, TextDecoder });
    // Radix asks elements for what jsdom does not lay out.
    const { Element } = this.global;
    Element.prototype.hasPointerCapture ??= () => false;
    Element.prototype.scrollIntoView ??= () => undefined;
    this.global.ResizeObserver ??= class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
  }
}
