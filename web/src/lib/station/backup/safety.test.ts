import { beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { SafetyStore } from './safety.svelte';

const VIEW = {
  backupFolder: '/home/backups',
  backupDaily: true,
  backupOnExit: true,
  backupsKept: 14,
  backups: [{ name: 'yokebar-2026-11-23-140731.zip', madeAt: '2026-11-23T14:07:31Z', bytes: 1000 }],
};

describe('SafetyStore', () => {
  let server: FakeServer;
  beforeEach(() => (server = new FakeServer()));

  it('saves what was changed and says at its field what cannot be', async () => {
    server.on('PUT /api/safety', { ...VIEW, copyFolder: '/media/stick' });
    const store = new SafetyStore();
    expect(await store.save({ copyFolder: '/media/stick' })).toBe(true);
    expect(store.view?.copyFolder).toBe('/media/stick');
    server.on(
      'PUT /api/safety',
      { detail: 'No.', fields: [{ field: 'copyFolder', sentence: 'Write the whole path.' }] },
      422,
    );
    expect(await store.save({ copyFolder: 'stick' })).toBe(false);
    expect(store.saving.fault('safety', 'copyFolder')).toBe('Write the whole path.');
    expect(store.view?.copyFolder).toBe('/media/stick');
  });

  it('looks into a backup before anything is put in place', async () => {
    const name = VIEW.backups[0]?.name ?? '';
    server.on(`GET /api/safety/backups/${name}`, { contacts: 300, newest: '2026-11-23T14:07:31Z' });
    const store = new SafetyStore();
    await store.look(name);
    expect(store.looked).toEqual({ name, content: { contacts: 300, newest: '2026-11-23T14:07:31Z' } });
    expect(server.requests).toEqual([`GET /api/safety/backups/${name}`]);
    server.on(`POST /api/safety/backups/${name}/restore`, { contacts: 300 });
    await store.restore(name);
    expect(store.looked).toBeUndefined();
  });

  it('seals the key with a passphrase, and says when it is too short', async () => {
    const store = new SafetyStore();
    server.on('PUT /api/safety/key-copy', { ...VIEW, keyCopy: 'KEPT' });
    expect(await store.keepKey('mast lantern ferry oats')).toBe(true);
    expect(store.view?.keyCopy).toBe('KEPT');
    server.on(
      'POST /api/safety/key-copy/open',
      { detail: 'No.', fields: [{ field: 'passphrase', sentence: 'This is not the passphrase.' }] },
      422,
    );
    expect(await store.openKey('oats')).toBe(false);
    expect(store.saving.fault('key', 'passphrase')).toBe('This is not the passphrase.');
  });

  it('says why a backup cannot be had', async () => {
    server.on('POST /api/safety/backups', { detail: 'No backup could be made: the disk is full.' }, 422);
    const store = new SafetyStore();
    await store.backUp();
    expect(store.doing.problem).toContain('the disk is full');
    expect(store.doing.busy).toBe('');
  });

  it('tells what came back from a second copy', async () => {
    server.on('POST /api/imports', {
      read: 420,
      added: 120,
      merged: 0,
      duplicates: 300,
      refused: 0,
      problems: [],
    });
    const store = new SafetyStore();
    vi.stubGlobal('FormData', FormData);
    const said = await store.readBack(new File(['<EOH>'], 'copy.adi'));
    expect(said).toBe('420 read, 120 were missing and are in the log now, 0 refused.');
  });
});
