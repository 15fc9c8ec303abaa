import { beforeEach, describe, expect, it } from 'vitest';
import type { LogChange } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { ChangeStore } from './changes.svelte';

const change = (id: number, more: Partial<LogChange> = {}): LogChange => ({
  id,
  at: '2026-11-23T14:07:00Z',
  kind: 'EDITED',
  sentence: `Change ${id}`,
  planned: 30,
  done: 30,
  state: 'DONE',
  ...more,
});

describe('ChangeStore', () => {
  let server: FakeServer;
  beforeEach(() => (server = new FakeServer()));

  it('shows how far what was begun is', async () => {
    const store = new ChangeStore();
    await store.begin(Promise.resolve(change(1, { state: 'RUNNING', done: 0 })));
    store.take(change(1, { state: 'RUNNING', done: 20 }));
    expect(store.shown?.done).toBe(20);
    store.take(change(1));
    expect(store.shown?.state).toBe('DONE');
  });

  it('does not go back to an answer that news have overtaken', async () => {
    const store = new ChangeStore();
    store.take(change(1));
    await store.begin(Promise.resolve(change(1, { state: 'RUNNING', done: 0 })));
    expect(store.all).toHaveLength(1);
  });

  it('takes back the last thing that still stands', async () => {
    server.on('GET /api/changes', [change(3, { undoes: 2 }), change(2, { undoneBy: 3 }), change(1)]);
    server.on('POST /api/changes/1/undo', change(4, { undoes: 1, sentence: 'Undone: Change 1' }));
    const store = new ChangeStore();
    await store.load();
    expect(store.undoable?.id).toBe(1);
    await store.undo(store.undoable?.id);
    expect(store.shown?.sentence).toBe('Undone: Change 1');
    expect(store.undoable).toBeUndefined();
  });

  it('says why something cannot be taken back', async () => {
    server.on('POST /api/changes/1/undo', { detail: 'That was undone already.' }, 422);
    const store = new ChangeStore();
    await store.undo(1);
    expect(store.problem).toBe('That was undone already.');
  });
});
