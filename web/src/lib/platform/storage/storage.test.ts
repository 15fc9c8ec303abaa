import { describe, expect, it } from 'vitest';
import { StorageStore } from './storage.svelte';

describe('whether the log can be stored', () => {
  it('says nothing while all is well, and what is wrong when it is not', () => {
    const storage = new StorageStore();
    expect(storage.sentence).toBeUndefined();
    storage.take({ kind: 'GOOD', since: '2026-11-29T12:00:00Z' });
    expect(storage.sentence).toBeUndefined();
    storage.take({ kind: 'LOW', sentence: 'Nearly full.', since: '2026-11-29T12:00:00Z' });
    expect([storage.sentence, storage.stores]).toEqual(['Nearly full.', true]);
    storage.take({ kind: 'FULL', sentence: 'Full.', since: '2026-11-29T12:00:00Z' });
    expect([storage.sentence, storage.stores]).toEqual(['Full.', false]);
  });
});
