// The stores' tests run without a browser; all they need of one is the address of the page.
Object.assign(globalThis, { location: { origin: 'http://yokebar.test' } });
