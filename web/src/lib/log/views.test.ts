// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { ContactDetail, LogChange } from '../platform/api/client';
import { LaneStore } from '../services/delivery/lanes.svelte';
import { LogStore } from './log.svelte';
import { ChangeStore } from './change/changes.svelte';
import type { Page } from '../../page';
import type { FakeServer } from '../platform/shared/fake-server';
import { type Show, onPage, press, type } from '../platform/shared/on-page';
import { lane, line } from '../platform/shared/samples';
import BulkBar from './BulkBar.svelte';
import ChangeBar from './change/ChangeBar.svelte';
import ChangesDrawer from './change/ChangesDrawer.svelte';
import { Chosen } from './chosen.svelte';
import ContactDrawer from './ContactDrawer.svelte';
import ContactPicture from './ContactPicture.svelte';
import Facets from './Facets.svelte';
import SendChosen from './SendChosen.svelte';

let server: FakeServer;
let page: Page;
let render: Show;
const store = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

onPage((fresh) => ({ server, page, render } = fresh));

const change = (more: Partial<LogChange> = {}): LogChange => ({
  id: 3,
  kind: 'EDITED',
  at: '2026-05-01T14:07:00Z',
  sentence: '12 contacts: PROP_MODE taken away.',
  state: 'DONE',
  done: 12,
  planned: 12,
  ...more,
});

describe('the drawer of a contact', () => {
  const contact = (more: Partial<ContactDetail> = {}): ContactDetail => ({
    line: line({ name: 'Ana', country: 'Paraguay' }),
    version: 1,
    fields: { CALL: 'ZP5QXA', NAME: 'Ana', BAND: '20m', MODE: 'CW', APP_WAVELET_DT: '0.2' },
    journey: [{ kind: 'ARRIVED', at: '2026-05-01T14:07:10Z', sentence: 'It came from Wavelet.' }],
    sources: { NAME: 'the callbook' },
    ...more,
  });

  async function show(of = contact()) {
    server.on('GET /api/contacts/5', of);
    render(ContactDrawer, { id: 5 });
    await screen.findByRole('tab', { name: 'Journey' });
  }
  const fields = () => fireEvent.click(screen.getByRole('tab', { name: 'Fields' }));

  it('tells where it came from and where it stands', async () => {
    store(LaneStore).all = [lane({})];
    const seals = [{ service: 1, state: 'ACCEPTED', reason: 'Queued.' }];
    await show(contact({ line: line({ seals }) }));
    expect(screen.getByText('It came from Wavelet.')).toBeDefined();
    expect(screen.getByText('accepted')).toBeDefined();
    expect(screen.getByText('Queued.')).toBeDefined();
  });

  it('opens at the fields where something is to be put right', async () => {
    await show(
      contact({ line: line({ seals: [{ service: 1, state: 'REFUSED', reason: 'no such call' }] }) }),
    );
    expect(screen.getByRole('tab', { name: 'Fields' }).getAttribute('aria-selected')).toBe('true');
  });

  it('sends what was changed and nothing else', async () => {
    await show();
    await fields();
    expect(screen.getByLabelText('APP_WAVELET_DT')).toBeDefined();
    expect(screen.getByRole('button', { name: 'Save changes' })).toHaveProperty('disabled', true);
    await type('Name', ' Anna ');
    server.on('PATCH /api/contacts/5', contact({ version: 2, fields: { CALL: 'ZP5QXA', NAME: 'Anna' } }));
    await press('Save changes');
    await screen.findByText('Saved.');
    expect(server.sent['PATCH /api/contacts/5']).toEqual({ version: 1, changes: { NAME: 'Anna' } });
  });

  it('says at its field what is wrong', async () => {
    await show();
    await fields();
    await type('Band', '19m');
    const sentence = 'There is no band 19m.';
    server.on('PATCH /api/contacts/5', { detail: sentence, fields: [{ field: 'BAND', sentence }] }, 422);
    await press('Save changes');
    await vi.waitFor(() => expect(screen.getAllByText(sentence)).toHaveLength(2));
    await press("Take the log's values");
    await vi.waitFor(() => expect(screen.getByLabelText('Band')).toHaveProperty('value', '20m'));
  });

  it('lets the person choose where somebody was quicker', async () => {
    await show();
    await fields();
    await type('Name', 'Anna');
    const theirs = { CALL: 'ZP5QXA', NAME: 'Anita', BAND: '15m', MODE: 'CW' };
    server
      .on('GET /api/contacts/5', contact({ version: 2, fields: theirs }))
      .on('PATCH /api/contacts/5', { detail: 'It was changed meanwhile.' }, 409);
    await press('Save changes');
    const clash = await screen.findByText(/was changed meanwhile to/);
    expect(clash.textContent?.replace(/\s+/g, ' ')).toContain(
      'NAME was changed meanwhile to Anita; you have Anna',
    );
    expect(screen.getByLabelText('Band')).toHaveProperty('value', '15m');
    expect(screen.getByRole('button', { name: 'Save changes' })).toHaveProperty('disabled', true);
    await press('Keep mine');
    server.on('PATCH /api/contacts/5', contact({ version: 3 }));
    await press('Save changes');
    await vi.waitFor(() =>
      expect(server.sent['PATCH /api/contacts/5']).toEqual({ version: 2, changes: { NAME: 'Anna' } }),
    );
  });

  it('says why it cannot be shown', async () => {
    server.on('GET /api/contacts/5', { detail: 'This contact is not in the log any more.' }, 404);
    render(ContactDrawer, { id: 5 });
    expect((await screen.findByRole('alert')).textContent).toBe('This contact is not in the log any more.');
  });
});

describe('a picture put to a contact', () => {
  const show = () => render(ContactPicture, { id: 5, call: 'ZP5QXA', version: 1 });
  const standing = 'GET /api/contacts/5/picture/standing';

  it('says where it will be shown, and why it is not', async () => {
    server.on(standing, { there: false, service: 'Quayside' });
    show();
    await screen.findByText(/Quayside shows it beside the contact/);
    expect(screen.queryByRole('button', { name: 'Take it away' })).toBeNull();
    cleanup();
    server.on(standing, { there: true, service: 'Quayside', trouble: 'Quayside does not want the picture.' });
    show();
    await screen.findByText('Quayside does not want the picture.');
  });

  it('is put there and taken away', async () => {
    server.on(standing, { there: false });
    show();
    await screen.findByText(/No picture yet/);
    server.on('POST /api/contacts/5/picture', { there: true });
    const file = new File(['x'], 'card.png', { type: 'image/png' });
    await fireEvent.change(screen.getByLabelText('Picture file'), { target: { files: [file] } });
    await screen.findByText(/Kept here only/);
    expect(screen.getByRole('img').getAttribute('alt')).toBe('Put to the contact with ZP5QXA');
    server.on('DELETE /api/contacts/5/picture', { there: false });
    await press('Take it away');
    await screen.findByText(/No picture yet/);
  });

  it('is refused in words', async () => {
    server.on(standing, { there: false });
    show();
    await screen.findByText(/No picture yet/);
    server.on('POST /api/contacts/5/picture', { detail: 'This is not a PNG, JPEG or BMP picture.' }, 422);
    const file = new File(['x'], 'card.txt', { type: 'text/plain' });
    await fireEvent.change(screen.getByLabelText('Picture file'), { target: { files: [file] } });
    expect((await screen.findByRole('alert')).textContent).toContain('not a PNG, JPEG or BMP');
  });
});

describe('what is done to chosen contacts', () => {
  const preview = { chosen: 2, lookedAt: 2, different: 2, impossible: 0, samples: [], problems: [] };
  let chosen: Chosen;

  function show() {
    chosen = new Chosen();
    chosen.add([5, 6]);
    store(LogStore).found = 400;
    render(BulkBar, { chosen });
  }

  it('is looked at before it is done', async () => {
    show();
    server.on('POST /api/changes/preview', {
      ...preview,
      impossible: 1,
      samples: [{ id: 5, call: 'ZP5QXA', what: 'RPT, before nothing' }],
      problems: [{ id: 6, call: 'OZ1QAB', what: 'has no band' }],
    });
    await press('Change a field');
    await screen.findByText('2 contacts will be different; 1 cannot take it and stay as they are.');
    expect(screen.getByText('has no band')).toBeDefined();
    server.on('POST /api/changes/edit', change());
    await fireEvent.change(screen.getByLabelText('New value'), { target: { value: 'RPT' } });
    await vi.waitFor(() =>
      expect(server.sent['POST /api/changes/preview']).toMatchObject({ changes: { PROP_MODE: 'RPT' } }),
    );
    await fireEvent.click(await screen.findByRole('button', { name: 'Change 2 contacts' }));
    await vi.waitFor(() => expect(store(ChangeStore).shown?.sentence).toContain('PROP_MODE'));
    expect(server.sent['POST /api/changes/edit']).toEqual({
      selection: { ids: [5, 6] },
      changes: { PROP_MODE: 'RPT' },
    });
    expect(chosen.size).toBe(0);
  });

  it('what was chosen for one field is not written into another', async () => {
    show();
    server.on('POST /api/changes/preview', preview);
    await press('Change a field');
    await fireEvent.change(await screen.findByLabelText('New value'), { target: { value: 'RPT' } });
    await fireEvent.change(screen.getByLabelText('Field'), { target: { value: 'NAME' } });
    expect(await screen.findByLabelText(/empty takes the field away/)).toHaveProperty('value', '');
    await vi.waitFor(() =>
      expect(server.sent['POST /api/changes/preview']).toMatchObject({ changes: { NAME: '' } }),
    );
  });

  it('cannot be done where nothing would be different, or it cannot be known', async () => {
    show();
    server.on('POST /api/changes/preview', { ...preview, different: 0 });
    await press('Change a field');
    const button = await screen.findByRole('button', { name: 'Change 0 contacts' });
    expect(button).toHaveProperty('disabled', true);
    server.on('POST /api/changes/preview', { detail: 'There is no band 19m.' }, 422);
    await fireEvent.change(screen.getByLabelText('New value'), { target: { value: 'SAT' } });
    expect((await screen.findByRole('alert')).textContent).toBe('There is no band 19m.');
  });

  it('is a deletion only when that is said twice', async () => {
    show();
    await press('Delete');
    await screen.findByText('Delete 2 contacts?');
    await press('Leave as it is');
    expect(server.requests).toEqual([]);
    await press('Delete');
    server.on('POST /api/changes/delete', change({ kind: 'DELETED' }));
    const dialog = screen.getByRole('dialog');
    await fireEvent.click(within(dialog).getByRole('button', { name: 'Delete' }));
    await vi.waitFor(() => expect(server.sent['POST /api/changes/delete']).toEqual({ ids: [5, 6] }));
  });

  it('goes from some to all, and to none', async () => {
    show();
    await press('Choose all 400');
    expect(chosen.size).toBe(400);
    expect(screen.queryByRole('button', { name: /Choose all/ })).toBeNull();
    await press('Choose none');
    expect(chosen.size).toBe(0);
  });

  it('is sent where it may go, or gets cards', async () => {
    chosen = new Chosen();
    chosen.add([5, 6]);
    store(LaneStore).all = [lane({}), lane({}, { id: 2, name: 'Quayside', complete: false })];
    render(SendChosen, { chosen });
    await press('Send');
    expect(screen.queryByRole('button', { name: /Quayside/ })).toBeNull();
    server.on('POST /api/services/1/handovers', lane({}));
    await press('To Countersign now');
    await screen.findByText('What of them is due is on its way to Countersign.');
    expect(server.sent['POST /api/services/1/handovers']).toEqual({ contactIds: [5, 6] });
    server.on('POST /api/cards', { toSend: 2, sent: 0, received: 0 });
    await press(/bureau/i);
    await screen.findByText('2 cards to print, under Services, Card desk.');
    expect(server.sent['POST /api/cards']).toMatchObject({ contactIds: [5, 6], via: 'BUREAU' });
  });
});

describe('changes of the log', () => {
  it('are shown while they run, and stopped', async () => {
    store(ChangeStore).shown = change({ state: 'RUNNING', done: 400, planned: 8602 });
    render(ChangeBar);
    expect(screen.getByText('400 / 8 602')).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Close' })).toBeNull();
    server.on('POST /api/changes/3/cancel', {});
    await press('Cancel');
    await vi.waitFor(() => expect(server.requests).toContain('POST /api/changes/3/cancel'));
    store(ChangeStore).shown = change({ state: 'STOPPED', done: 500, planned: 8602 });
    await screen.findByText('Stopped after 500 of 8 602; what was done remains.');
  });

  it('are taken back, and dismissed', async () => {
    store(ChangeStore).shown = change();
    render(ChangeBar);
    server.on('POST /api/changes/3/undo', { detail: 'It was undone already.' }, 409);
    await press('Undo');
    await screen.findByText('It was undone already.');
    await press('Close');
    expect(store(ChangeStore).shown).toBeUndefined();
  });

  it('stand day by day', async () => {
    store(ChangeStore).all = [
      change({ id: 5, kind: 'UNDONE', undoes: 4, sentence: 'Taken back: 1 contact deleted.' }),
      change({ id: 4, undoneBy: 5, sentence: '1 contact deleted.' }),
      change({ id: 3, at: '2026-04-30T10:00:00Z', state: 'STOPPED', done: 2, planned: 9 }),
    ];
    render(ChangesDrawer);
    expect(screen.getByText('2026-05-01')).toBeDefined();
    expect(screen.getByText('2026-04-30')).toBeDefined();
    expect(screen.getByText('Stopped after 2 of 9.')).toBeDefined();
    expect(screen.getByRole('button', { name: 'Do again' })).toBeDefined();
    expect(screen.getAllByRole('button', { name: /Undo/ })).toHaveLength(1);
    cleanup();
    store(ChangeStore).all = [];
    render(ChangesDrawer);
    expect(screen.getByText(/Nothing was changed yet/)).toBeDefined();
  });
});

describe('the counts beside the log', () => {
  it('narrow the search, service states in words', async () => {
    store(LaneStore).all = [lane({})];
    store(LogStore).loading = false;
    const bands = Array.from({ length: 9 }, (_, i) => ({ value: `${i + 1}0m`, contacts: 1000 + i }));
    const states = [
      { value: 'ACCEPTED', contacts: 3 },
      { value: 'HELD', contacts: 2 },
    ];
    server.on('GET /api/log/facets?search=', {
      found: 5,
      facets: [
        { field: 'BAND', name: 'band', values: bands, more: 2 },
        { field: 'COUNTERSIGN', name: 'countersign', values: states, more: 0 },
        { field: 'MODE', name: 'mode', values: [{ value: 'CW', contacts: 5 }], more: 0 },
      ],
    });
    const onsearch = vi.fn();
    render(Facets, { typed: 'band:20m', onsearch });
    await screen.findByText('Countersign');
    expect(screen.getByRole('button', { name: /accepted/ })).toBeDefined();
    expect(screen.queryByText('Mode')).toBeNull();
    expect(screen.getByRole('button', { name: /20m/ }).getAttribute('aria-pressed')).toBe('true');
    await press('5 more');
    expect(screen.getByRole('button', { name: /90m/ })).toBeDefined();
    await press(/^accepted/);
    expect(onsearch).toHaveBeenCalledWith(expect.stringContaining('countersign:'));
  });
});
