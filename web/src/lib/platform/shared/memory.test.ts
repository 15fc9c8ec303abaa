import { afterEach, describe, expect, it, vi } from 'vitest';
import { memory, remembered } from './memory';

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

  it('goes on without a value that is damaged', () => {
    const holding = (text: string | null) => ({ getItem: () => text, setItem: () => undefined });
    expect(remembered(holding('[1,2]'), 'a', [0])).toEqual([1, 2]);
    expect(remembered(holding('[1,'), 'a', [0])).toEqual([0]);
    expect(remembered(holding(null), 'a', [0])).toEqual([0]);
  });
});
