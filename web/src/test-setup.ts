import { vi } from 'vitest';

/** What is waited for comes at once on a quick machine; on a slow and busy one it may take a while. */
const PATIENCE_MS = 15_000;

const waitFor = vi.waitFor;
vi.waitFor = (condition, options = PATIENCE_MS) => waitFor(condition, options);

// Most tests run without a browser; all they need of one is the address of the page. Those of components have a page, but one
// that lays nothing out.
if ('window' in globalThis) {
  const { configure } = await import('@testing-library/svelte');
  configure({ asyncUtilTimeout: PATIENCE_MS });
  Element.prototype.scrollIntoView = () => undefined;
  Object.assign(globalThis, {
    ResizeObserver: class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  });
} else {
  Object.assign(globalThis, { location: { origin: 'http://yokebar.test' } });
}
