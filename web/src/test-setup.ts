// Most tests run without a browser; all they need of one is the address of the page. Those of components have a page, but one
// that lays nothing out.
if ('window' in globalThis) {
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
