// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { tick } from 'svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, type } from '../../platform/shared/on-page';
import Gallery from './Gallery.svelte';
import PictureFolders from './PictureFolders.svelte';
import { PictureStore } from './pictures.svelte';

let server: FakeServer;
let render: Show;
let store: PictureStore;

onPage((fresh) => {
  ({ server, render } = fresh);
  store = fresh.page.stores.get(PictureStore);
});

const picture = (id: number, note = '') => ({
  id,
  fileName: `rx-${id}.png`,
  width: 320,
  height: 256,
  receivedAt: '2026-11-30T17:05:00Z',
  state: 'WAITING',
  note,
});

function serverHas(...pictures: ReturnType<typeof picture>[]) {
  server.on('GET /api/pictures?state=WAITING&order=TIME&call=&offset=0&size=100', {
    pictures,
    counts: { WAITING: pictures.length },
    total: pictures.length,
  });
  for (const one of pictures) {
    server.on(`GET /api/pictures/${one.id}`, { picture: one, likely: [], sent: false });
  }
}

const field = () => screen.getByLabelText<HTMLTextAreaElement>('Note');

describe('a note that is being written', () => {
  beforeEach(async () => {
    serverHas(picture(2), picture(1));
    await store.load();
    await store.choose(1);
    render(Gallery);
    await type('Note', 'Nice hi');
  });

  it('stays when another picture is received meanwhile', async () => {
    serverHas(picture(3), picture(2), picture(1));
    await store.load();
    await tick();
    expect(field().value).toBe('Nice hi');
  });

  it('is saved for its own picture when that one leaves the list meanwhile', async () => {
    server.on('PUT /api/pictures/1/note', { picture: picture(1, 'Nice hi'), likely: [], sent: false });
    serverHas(picture(2));
    await store.load();
    await vi.waitFor(() => expect(server.sent['PUT /api/pictures/1/note']).toEqual({ note: 'Nice hi' }));
    expect(field().value).toBe('');
  });

  it('stays when it cannot be saved', async () => {
    server.on('PUT /api/pictures/1/note', { detail: 'The disk is full.' }, 507);
    await fireEvent.keyDown(field(), { key: 'Enter' });
    await fireEvent.blur(field());
    await screen.findByText('The disk is full.');
    expect(field().value).toBe('Nice hi');
  });

  it('is taken back with Escape', async () => {
    await fireEvent.keyDown(field(), { key: 'Escape' });
    await fireEvent.blur(field());
    expect(field().value).toBe('');
    expect(server.requests.filter((one) => one.startsWith('PUT'))).toEqual([]);
  });
});

describe('a picture that was chosen a moment ago', () => {
  const list = () => screen.getByRole('listbox');

  beforeEach(async () => {
    serverHas(picture(2), picture(1));
    await store.load();
    render(Gallery);
  });

  it('takes a note before everything about it has been read', async () => {
    // Nothing is waited for between the keys.
    const chosen = fireEvent.keyDown(list(), { key: 'ArrowRight' });
    void fireEvent.keyDown(list(), { key: 'n' });
    await tick();
    expect(document.activeElement).toBe(field());
    await chosen;
  });

  it('is never attached to a contact of the one before', async () => {
    const near = { id: 7, call: 'ZP5QXA', start: '2026-11-30T17:03:00Z', band: '20m', mode: 'SSTV' };
    server.on('GET /api/pictures/2', { picture: picture(2), likely: [near], sent: false });
    server.on('POST /api/pictures/1/attach', { picture: picture(1), likely: [], sent: false });
    await store.choose(2);
    void fireEvent.keyDown(list(), { key: 'ArrowRight' });
    await fireEvent.keyDown(list(), { key: 'a' });
    await vi.waitFor(() => expect(store.complete).toBe(true));
    expect(store.chosenId).toBe(1);
    expect(server.requests).not.toContain('POST /api/pictures/1/attach');
  });
});

describe('a folder that is being typed', () => {
  it('stays when the settings are read again meanwhile', async () => {
    const settings = { folder: '/srv/old', replyFolder: '' };
    store.settings = { ...settings };
    render(PictureFolders);
    await type(/^Folder with received/, '/srv/pictures');
    store.settings = { ...settings };
    await tick();
    expect(screen.getByLabelText<HTMLInputElement>(/^Folder with received/).value).toBe('/srv/pictures');
  });
});
