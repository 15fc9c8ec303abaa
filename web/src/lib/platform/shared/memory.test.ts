import { afterEach, describe, expect, it, vi } from 'vitest';
import { memory } from './memory';

describe('what a browser remembers', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('remembers nothing, and fails nowhere, where storage is denied', () => {
    vi.stubGlobal('localStorage', {
      getItem() {
        throw new DOMException('denied', 'SecurityError');
      },
      setItem() {
        throw new DOMException('full', 'QuotaExceededError');
      },
      removeItem() {
        throw new DOMException('denied', 'SecurityError');
      },
    });
    memory.setItem('a', 'b');
    memory.removeItem('a');
    expect(memory.getItem('a')).toBeNull();
  });
});
