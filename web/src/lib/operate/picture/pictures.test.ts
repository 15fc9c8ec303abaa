import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { PictureStore } from './pictures.svelte';
import { offered } from './targets';

const LIST = (state: string, offset = 0) =>
  `GET /api/pictures?state=${state}&order=TIME&call=&offset=${offset}&size=100`;

function picture(id: number, more: object = {}) {
  return {
    id,
    fileName: `rx-${id}.png`,
    width: 320,
    height: 256,
    receivedAt: '2026-11-30T17:05:00Z',
    state: 'WAITING',
    note: '',
    ...more,
  };
}

function page(...ids: number[]) {
  return { pictures: ids.map((id) => picture(id)), counts: { WAITING: ids.length }, total: ids.length };
}

function details(id: number, ...likely: { id: number; call: string }[]) {
  const contacts = likely.map((one) => ({
    ...one,
    start: '2026-11-30T17:03:00Z',
    band: '20m',
    mode: 'SSTV',
  }));
  return { picture: picture(id), likely: contacts, sent: false };
}

describe('PictureStore', () => {
  let server: FakeServer;
  let store: PictureStore;

  beforeEach(async () => {
    server = new FakeServer()
      .on(LIST('WAITING'), page(3, 2, 1))
      .on('GET /api/pictures/3', details(3))
      .on('GET /api/pictures/2', details(2))
      .on('GET /api/pictures/1', details(1));
    store = new PictureStore();
    await store.load();
  });
  afterEach(() => vi.unstubAllGlobals());

  it('goes on with the picture that takes the place of the one attached', async () => {
    await store.choose(2);
    server.on('POST /api/pictures/2/attach', details(2)).on(LIST('WAITING'), page(3, 1));
    expect(await store.attach(2, { contactId: 7 })).toBe(true);
    expect(server.sent['POST /api/pictures/2/attach']).toEqual({ contactId: 7 });
    expect(store.chosenId).toBe(1);
    expect(store.details?.picture.id).toBe(1);
  });

  it('keeps the choice and says why when a picture cannot be attached', async () => {
    await store.choose(2);
    server.on('POST /api/pictures/2/attach', { detail: 'This contact is not in the log any more.' }, 422);
    expect(await store.attach(2, { contactId: 7 })).toBe(false);
    expect(store.problem).toBe('This contact is not in the log any more.');
    expect(store.chosenId).toBe(2);
  });

  it('moves the choice within the list', async () => {
    await store.move(1);
    expect(store.chosenId).toBe(3);
    await store.move(5);
    expect(store.chosenId).toBe(1);
    await store.move(-1);
    expect(store.chosenId).toBe(2);
  });

  it('reads the pictures that follow, each once when a new one moved them on', async () => {
    server.on(LIST('KEPT'), { ...page(3, 2), total: 3 }).on(LIST('KEPT', 2), { ...page(2, 1), total: 4 });
    await store.show({ state: 'KEPT' });
    await store.more();
    expect(store.pictures.map((one) => one.id)).toEqual([3, 2, 1]);
  });

  it('reads the list again when something changed while the chosen picture was read', async () => {
    await store.choose(2);
    const answersLate = {
      toJSON() {
        server.on('GET /api/pictures/2', details(2)).on(LIST('WAITING'), page(2));
        void store.load();
        return details(2);
      },
    };
    server.on('GET /api/pictures/2', answersLate);
    await store.load();
    expect(store.pictures.map((one) => one.id)).toEqual([2]);
  });

  it('shows what was asked for last when answers come late', async () => {
    server.on(LIST('HIDDEN'), page(9));
    const first = store.show({ state: 'WAITING' });
    const second = store.show({ state: 'HIDDEN' });
    await Promise.all([first, second]);
    expect(store.pictures.map((one) => one.id)).toEqual([9]);
  });
});

describe('what a picture is offered to', () => {
  it('is nothing once it has its contact, and not the call it waits for already', () => {
    const seen = details(1, { id: 8, call: 'OZ1QAB' });
    seen.picture = picture(1, { waitsFor: 'CT1QYC' });
    expect(offered(seen as never, 'CT1QYC').map((one) => one.call)).toEqual(['OZ1QAB']);
    seen.picture = picture(1, { contactId: 7, call: 'ZP5QXA' });
    expect(offered(seen as never, 'CT1QYC')).toEqual([]);
  });

  it('is the contact under way first, unless that is in the log already', () => {
    const seen = details(1, { id: 7, call: 'ZP5QXA' }) as never;
    expect(offered(seen, 'OZ1QAB').map((one) => one.call)).toEqual(['OZ1QAB', 'ZP5QXA']);
    expect(offered(seen, 'ZP5QXA').map((one) => one.target)).toEqual([{ contactId: 7 }]);
    expect(offered(undefined, undefined)).toEqual([]);
  });
});
