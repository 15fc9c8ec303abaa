import { afterEach, describe, expect, it, vi } from 'vitest';
import { outdated } from './update';

const answer = (page: string, status = 200) =>
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(page, { status })));

describe('outdated', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('is the page whose script the server no longer names', async () => {
    answer('<script type="module" src="/assets/index-new.js"></script>');
    expect(await outdated('/assets/index-old.js')).toBe(true);
    expect(await outdated('/assets/index-new.js')).toBe(false);
  });

  it('is nothing that anything else is taken for', async () => {
    answer('a fault', 500);
    expect(await outdated('/assets/index-old.js')).toBe(false);
    answer('somebody else answers');
    expect(await outdated('/assets/index-old.js')).toBe(false);
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('offline')));
    expect(await outdated('/assets/index-old.js')).toBe(false);
    expect(await outdated(undefined)).toBe(false);
  });
});
