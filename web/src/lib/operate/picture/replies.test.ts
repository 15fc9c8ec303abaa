import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { ReplyStore } from './replies.svelte';

const REPORT = { name: 'Report', width: 640, height: 496, received: 'NOWHERE', texts: [] };
const CALLING = { ...REPORT, name: 'General call' };

describe('ReplyStore', () => {
  let server: FakeServer;
  let store: ReplyStore;

  beforeEach(async () => {
    URL.createObjectURL = vi.fn(() => 'blob:picture');
    URL.revokeObjectURL = vi.fn();
    server = new FakeServer()
      .on('GET /api/picture-replies/layouts', [
        { layout: REPORT, changed: false },
        { layout: CALLING, changed: false },
      ])
      .on('GET /api/picture-replies/own-pictures', [{ id: 4, name: 'lighthouse.jpg' }])
      .on('POST /api/picture-replies/preview', {});
    store = new ReplyStore(() => 2);
    await store.load();
  });
  afterEach(() => vi.unstubAllGlobals());

  it('begins with the first layout and picture, and draws them for the position of this browser', async () => {
    expect(store.draft.layout.name).toBe('Report');
    await vi.waitFor(() => expect(store.preview).toBe('blob:picture'));
    expect(server.sent['POST /api/picture-replies/preview']).toMatchObject({
      ownPictureId: 4,
      positionId: 2,
    });
  });

  it('takes call and contact from the picture it answers, and what was typed for another is gone', () => {
    store.draft.words = 'for somebody else';
    const seen = { id: 9, call: 'ZP5QXA', contactId: 7 };
    store.begin({ picture: seen } as never, 'OZ1QAB');
    expect(store.draft).toMatchObject({ call: 'ZP5QXA', contactId: 7, receivedId: 9, words: '' });
    store.draft.words = 'Thanks';
    store.begin({ picture: seen } as never, undefined);
    expect(store.draft.words).toBe('Thanks');
  });

  it('begins with the name and the reports of the contact, which are not to be overwritten', async () => {
    server.on('GET /api/contacts/7', { fields: { NAME: 'Ana', RST_SENT: '59', RST_RCVD: '57' } });
    store.begin({ picture: { id: 9, call: 'ZP5QXA', contactId: 7 } } as never, undefined);
    await vi.waitFor(() =>
      expect(store.draft).toMatchObject({ name: 'Ana', reportSent: '59', reportReceived: '57' }),
    );
    server.on('GET /api/contacts/8', { fields: {} });
    store.begin({ picture: { id: 10, call: 'ZP5QXA', contactId: 8 } } as never, undefined);
    expect(store.draft).toMatchObject({ name: '', reportSent: '595', reportReceived: '' });
  });

  it('answers the station in the contact line when no picture is chosen', () => {
    store.begin(undefined, 'OZ1QAB');
    expect(store.draft).toMatchObject({ call: 'OZ1QAB', reportSent: '595' });
  });

  it('says where it was written until something is changed', async () => {
    server.on('POST /api/picture-replies', { fileName: 'reply-ZP5QXA.png' });
    await store.write();
    expect(store.written).toBe('reply-ZP5QXA.png');
    store.useLayout('General call');
    expect(store.written).toBe('');
    expect(store.draft.layout.name).toBe('General call');
  });

  it('edits a copy: the stored layout stays as it is until it is saved', () => {
    store.draft.layout.texts.push({ template: '73', spot: 'TOP', sizePercent: 10, ink: 'WHITE' });
    store.useLayout('Report');
    expect(store.draft.layout.texts).toEqual([]);
  });

  it('says why a reply cannot be written', async () => {
    server.on('POST /api/picture-replies', { detail: 'Choose the folder first.' }, 422);
    await store.write();
    expect(store.problem).toBe('Choose the folder first.');
    expect(store.writing).toBe(false);
  });
});
