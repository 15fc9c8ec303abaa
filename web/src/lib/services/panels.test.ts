// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { HeldReason, Lane, ServiceOutlook } from '../platform/api/client';
import { LaneStore } from './delivery/lanes.svelte';
import { Navigation } from '../platform/page/navigation.svelte';
import { ChangeStore } from '../log/change/changes.svelte';
import type { Page } from '../../page';
import type { FakeServer } from '../platform/shared/fake-server';
import { type Show, onPage } from '../platform/shared/on-page';
import { guess, handover, hookup, lane, line, unmatched } from '../platform/shared/samples';
import ComingBack from './confirm/ComingBack.svelte';
import HeldBack from './delivery/HeldBack.svelte';
import LanePanel from './LanePanel.svelte';
import NearMisses from './confirm/NearMisses.svelte';
import Receipts from './delivery/Receipts.svelte';
import Seals from './delivery/Seals.svelte';

let server: FakeServer;
let page: Page;
let render: Show;
const store = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

onPage((fresh) => ({ server, page, render } = fresh));

const outlook = (more: Partial<ServiceOutlook> = {}): ServiceOutlook => ({
  going: [],
  handovers: 0,
  held: [],
  ...more,
});

describe('the panel of a service', () => {
  function show(of: Lane, more: Partial<ServiceOutlook> = {}) {
    server.on('GET /api/services/1/outlook', outlook(more));
    store(LaneStore).all = [of];
    render(LanePanel, { lane: of });
  }

  const identities = [
    {
      id: 3,
      call: 'CU9QYB',
      validFrom: '2015-01-01T00:00:00Z',
      validUntil: '2030-01-01T00:00:00Z',
      toBeRenewed: false,
      locked: false,
    },
  ];

  it('offers to hand over what is due and lies in no batch', async () => {
    const due = lane({ DUE: 7 }, { due: 7, waiting: 4, identities });
    show(due);
    server.on('POST /api/services/1/handovers', lane({ DUE: 7 }, { identities, due: 7, waiting: 0 }));
    await fireEvent.click(screen.getByRole('button', { name: 'Hand over 4 contacts now' }));
    await vi.waitFor(() => expect(store(LaneStore).all[0]?.waiting).toBe(0));
    expect(server.sent['POST /api/services/1/handovers']).toEqual({});
  });

  it('says when nothing is due, and when all that is due lies in a batch', () => {
    show(lane({}, { identities }));
    expect(screen.getByRole('button', { name: 'Nothing is due' })).toHaveProperty('disabled', true);
    cleanup();
    show(lane({ DUE: 2 }, { due: 2, waiting: 0, identities }));
    expect(screen.getByRole('button', { name: 'Try again now' })).toHaveProperty('disabled', false);
  });

  it('hands nothing over without an identity to sign with', () => {
    show(lane({ DUE: 2 }, { due: 2, waiting: 2 }));
    expect(screen.getByRole('button', { name: 'Hand over 2 contacts now' })).toHaveProperty('disabled', true);
  });

  it('begins with the set-up where that is not complete', () => {
    show(lane({}, { complete: false, hasPassword: false }));
    expect(screen.getByRole('button', { name: 'Set-up' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('says what is wrong, what to do, and when it is tried again', () => {
    const trouble = hookup({
      state: 'TROUBLE',
      reason: 'Countersign cannot be reached.',
      fix: 'Is the network up?',
      attempt: 3,
      nextAttempt: new Date(Date.now() + 90_000).toISOString(),
    });
    const handovers = [handover()];
    show(lane({ DUE: 2 }, { due: 2, waiting: 0, identities, handovers, hookup: trouble }));
    const alert = screen.getByRole('alert').textContent ?? '';
    expect(alert).toContain('Countersign cannot be reached.');
    expect(alert).toContain('Is the network up?');
    expect(alert).toMatch(/Try 3 failed; the next is in 2 min/);
    expect(alert).toContain('In the batch under way: 3 contacts.');
  });

  it('reminds of a certificate that ends before long, and leads to its renewal', async () => {
    const soon = new Date(Date.now() + 20 * 86_400_000).toISOString();
    show(
      lane(
        {},
        { identities: identities.map((one) => ({ ...one, certificateEnds: soon, toBeRenewed: true })) },
      ),
    );
    expect(screen.getByText(/The certificate of/).textContent).toContain('CU9QYB');
    await fireEvent.click(screen.getByRole('button', { name: 'Renew it' }));
    expect(screen.queryByRole('button', { name: 'Renew it' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Set-up' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('shows how far a long handover has come, and can be stopped', async () => {
    show(lane({ DUE: 900 }, { due: 900, waiting: 900, identities, handingOver: { total: 1200, left: 900 } }));
    expect(screen.getByText(/300 of 1 200 contacts/)).toBeDefined();
    server.on('DELETE /api/services/1/handovers', lane({}, { identities }));
    await fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    await vi.waitFor(() => expect(server.requests).toContain('DELETE /api/services/1/handovers'));
  });

  it('shows no bar for a few, and none to stop where contacts are sent automatically', () => {
    show(lane({ DUE: 3 }, { due: 3, identities, handingOver: { total: 3, left: 3 } }));
    expect(screen.queryByRole('progressbar')).toBeNull();
    cleanup();
    show(lane({}, { due: 500, identities, when: 'AT_ONCE', handingOver: { total: 500, left: 500 } }));
    expect(screen.getByRole('progressbar')).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Stop' })).toBeNull();
  });

  it('tells what would go, and tries with one first', async () => {
    show(lane({ DUE: 12 }, { due: 12, waiting: 12, identities }), {
      handovers: 2,
      going: [
        { ownCall: 'CU9QYB', contacts: 10, from: '2026-05-01T00:00:00Z', until: '2026-05-03T00:00:00Z' },
        { ownCall: 'CR9QL', contacts: 2, from: '2026-05-02T00:00:00Z', until: '2026-05-02T10:00:00Z' },
      ],
    });
    const would = await screen.findByRole('region', { name: 'To be sent' });
    const words = (would.textContent ?? '').replace(/\s+/g, ' ');
    expect(words).toContain('2 handovers; preview only.');
    expect(words).toContain('10 as CU9QYB, 2026-05-01 to 2026-05-03');
    expect(words).toContain('2 as CR9QL, 2026-05-02 ');
    server.on('POST /api/services/1/handovers', lane({ DUE: 12 }, { due: 12, identities }));
    await fireEvent.click(screen.getByRole('button', { name: 'Try with one contact' }));
    await screen.findByText('One contact is on its way.');
    expect(server.sent['POST /api/services/1/handovers']).toEqual({ maxContacts: 1 });
  });

  it('hands over a stretch of days, and says why it could not', async () => {
    show(lane({ DUE: 12 }, { due: 12, waiting: 12, identities, proven: true }), { handovers: 1 });
    await screen.findByRole('region', { name: 'To be sent' });
    expect(screen.queryByRole('button', { name: 'Try with one contact' })).toBeNull();
    const go = screen.getByRole('button', { name: 'Hand over these days' });
    expect(go).toHaveProperty('disabled', true);
    await fireEvent.input(screen.getByLabelText('From'), { target: { value: 'May' } });
    server.on('POST /api/services/1/handovers', { detail: '"May" is not a day.' }, 422);
    await fireEvent.click(go);
    expect((await screen.findByRole('alert')).textContent).toBe('"May" is not a day.');
    expect(server.sent['POST /api/services/1/handovers']).toEqual({ fromDay: 'May' });
  });

  it('says that a look at what would go failed', async () => {
    store(LaneStore).all = [lane({}, { identities })];
    render(LanePanel, { lane: lane({}, { identities }) });
    expect((await screen.findByRole('alert')).textContent).toContain('Yokebar does not answer');
  });
});

describe('what is held back', () => {
  const held: HeldReason[] = [
    {
      key: 'RELAYED RPT',
      reason: 'It went over a repeater.',
      contacts: 9,
      field: '',
      remedies: ['CLEAR_WAY', 'ALLOW_RELAYED', 'LEAVE_OUT'],
    },
    {
      key: 'FIELD_MISSING RST_SENT',
      reason: 'RST_SENT is missing.',
      contacts: 1,
      field: 'RST_SENT',
      remedies: ['FILL_FIELD'],
    },
    {
      key: 'FIELD_MISSING MY_GRIDSQUARE',
      reason: 'MY_GRIDSQUARE is missing.',
      contacts: 2,
      field: 'MY_GRIDSQUARE',
      remedies: ['FILL_FIELD'],
    },
  ];
  const ids = (key: string, contacts: number[]) =>
    server.on(`GET /api/services/1/held?key=${encodeURIComponent(key)}`, contacts);

  function show(onsetup = vi.fn()) {
    store(LaneStore).all = [lane({ HELD: 12 })];
    render(HeldBack, { lane: lane({ HELD: 12 }), held, onsetup });
    return onsetup;
  }

  it('is sorted by reason, each with the ways out', () => {
    show();
    expect(screen.getByRole('heading').textContent).toContain('12');
    expect(
      screen.getByRole('button', {
        name: 'They were direct: clear the propagation mode of these 9',
      }),
    ).toBeDefined();
    expect(screen.getByRole('button', { name: 'Let such contacts go to Countersign' })).toBeDefined();
    expect(screen.getByRole('button', { name: 'Set RST_SENT of this one' })).toHaveProperty('disabled', true);
  });

  it('what is typed for one reason is of that reason alone', async () => {
    show();
    await fireEvent.input(screen.getByLabelText('RST_SENT for all of them'), { target: { value: '599' } });
    expect(screen.getByLabelText('MY_GRIDSQUARE for all of them')).toHaveProperty('value', '');
    expect(screen.getByRole('button', { name: 'Set MY_GRIDSQUARE of these 2' })).toHaveProperty(
      'disabled',
      true,
    );
    ids('FIELD_MISSING RST_SENT', [5]);
    server.on('POST /api/changes/edit', { id: 1, state: 'DONE' }).on('GET /api/changes', []);
    await fireEvent.click(screen.getByRole('button', { name: 'Set RST_SENT of this one' }));
    await vi.waitFor(() =>
      expect(server.sent['POST /api/changes/edit']).toEqual({
        selection: { ids: [5] },
        changes: { RST_SENT: '599' },
      }),
    );
  });

  it('leaves them out, or allows them', async () => {
    show();
    ids('RELAYED RPT', [5, 6]);
    server
      .on('PUT /api/services/1/contacts', lane({}))
      .on('GET /api/services', [lane({})])
      .on('PUT /api/services/1', lane({}, { relayed: true }));
    await fireEvent.click(screen.getByRole('button', { name: 'Leave these 9 out' }));
    await vi.waitFor(() =>
      expect(server.sent['PUT /api/services/1/contacts']).toEqual({ meant: false, contactIds: [5, 6] }),
    );
    await fireEvent.click(screen.getByRole('button', { name: 'Let such contacts go to Countersign' }));
    await vi.waitFor(() => expect(server.sent['PUT /api/services/1']).toEqual({ relayed: true }));
  });

  it('shows the contacts behind a reason', async () => {
    show();
    const seals = [{ service: 1, state: 'HELD', hold: 'FIELD_MISSING RST_SENT' }];
    store(LaneStore).held = { 1: [line({ seals }), line({ id: 6, call: 'OZ1QAB' })] };
    await fireEvent.click(screen.getAllByRole('button', { name: 'Show them' })[1] as HTMLElement);
    await fireEvent.click(within(screen.getByRole('list')).getByRole('button', { name: 'ZP5QXA' }));
    expect(store(Navigation).openContact).toBe(5);
    expect(screen.queryByText('OZ1QAB')).toBeNull();
  });
});

describe('near misses', () => {
  const show = (all = [unmatched()]) => {
    const onchanged = vi.fn(() => Promise.resolve());
    render(NearMisses, { lane: lane({}), unmatched: all, onchanged });
    return onchanged;
  };

  it('stand side by side with what differs', () => {
    show([
      unmatched({ guesses: [guess({ differences: ['HOURS', 'BAND'] })] }),
      unmatched({ id: 71, guesses: [] }),
    ]);
    expect(screen.getByText('whole hours and the band')).toBeDefined();
    expect(screen.getByText('Countersign has it, we have nothing like it')).toBeDefined();
  });

  it('are corrected when what would change has been seen, and taken back in place', async () => {
    const onchanged = show();
    const change = { id: 9, kind: 'EDITED', sentence: 'ZP5QXA: Edited.', state: 'DONE', done: 1, planned: 1 };
    server.on('PATCH /api/contacts/5', { version: 2 }).on('GET /api/changes', [change]);
    await fireEvent.click(screen.getByRole('button', { name: 'Correct ours' }));
    expect(screen.getByRole('alert').textContent).toMatch(/UTC .* → .*16:07/s);
    expect(server.sent['PATCH /api/contacts/5']).toBeUndefined();
    await fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByRole('alert')).toBeNull();
    await fireEvent.click(screen.getByRole('button', { name: 'Correct ours' }));
    await fireEvent.click(screen.getByRole('button', { name: 'Change it so' }));
    await vi.waitFor(() => expect(onchanged).toHaveBeenCalled());
    expect(server.sent['PATCH /api/contacts/5']).toEqual({ version: 1, changes: { TIME_ON: '160700' } });
    expect(store(ChangeStore).shown?.id).toBe(9);
  });

  it('say why a correction did not work', async () => {
    const onchanged = show([unmatched({ guesses: [guess({ confirmed: true })] })]);
    expect(screen.getByText(/your contact is confirmed as it is/)).toBeDefined();
    server.on('PATCH /api/contacts/5', { detail: 'Somebody edited it meanwhile.' }, 409);
    await fireEvent.click(screen.getByRole('button', { name: 'Correct ours' }));
    await fireEvent.click(screen.getByRole('button', { name: 'Change it so' }));
    expect((await screen.findByText('Somebody edited it meanwhile.')).role).toBe('alert');
    expect(onchanged).not.toHaveBeenCalled();
  });

  it('go when none is left', async () => {
    const { guesses } = unmatched();
    server
      .on('GET /api/services/1/confirmations', [])
      .on('GET /api/services/1/near-misses', [unmatched({ guesses })])
      .on('PATCH /api/contacts/5', { version: 2 })
      .on('GET /api/changes', []);
    render(ComingBack, { lane: lane({}, { unmatched: 1 }) });
    const button = await screen.findByRole('button', { name: 'Correct ours' });
    server.on('GET /api/services/1/near-misses', []);
    await fireEvent.click(button);
    await fireEvent.click(screen.getByRole('button', { name: 'Change it so' }));
    await vi.waitFor(() => expect(screen.queryByRole('region', { name: 'Near misses' })).toBeNull());
  });

  it('are put aside', async () => {
    const onchanged = show();
    server.on('PUT /api/confirmations/70', {});
    await fireEvent.click(screen.getByRole('button', { name: 'Put aside' }));
    await vi.waitFor(() => expect(onchanged).toHaveBeenCalled());
    expect(server.sent['PUT /api/confirmations/70']).toEqual({ aside: true });
  });
});

describe('receipts', () => {
  it('tell the outcome in the words of what is proven', () => {
    const receipt = { receiptNumber: 'CS-000001', receiptWords: 'Queued for CU9QYB' };
    render(Receipts, {
      handovers: [
        handover({ id: 1, state: 'REPORTED', taken: 3, refused: 0, ...receipt }),
        handover({ id: 2, state: 'REPORTED', taken: 2, refused: 1 }),
        handover({ id: 3, state: 'REPORTED', contacts: 1, taken: 0, refused: 1 }),
        handover({ id: 4, state: 'GIVEN' }),
        handover({ id: 5, state: 'REFUSED', trouble: 'The signature does not fit.' }),
        handover({ id: 6 }),
        handover({ id: 7, trouble: 'It cannot be reached.' }),
      ],
    });
    const outcomes = screen.getAllByRole('row').map((row) => row.lastElementChild?.textContent);
    expect(outcomes.slice(1)).toEqual([
      'all 3 accepted',
      '2 accepted, 1 refused',
      'refused',
      'queued there; waiting for the report',
      'The signature does not fit.',
      'on its way',
      'It cannot be reached. Next try soon.',
    ]);
    expect(screen.getByText('Queued for CU9QYB')).toBeDefined();
  });

  it('say when there is none', () => {
    render(Receipts, { handovers: [] });
    expect(screen.getByText('Nothing has been handed over yet.')).toBeDefined();
  });
});

describe('seals', () => {
  it('have a word where there is one service, and a name each where there are more', () => {
    const seals = [{ service: 1, state: 'HELD', reason: 'No identity.' }];
    const { container } = render(Seals, { lanes: [lane({})], seals, word: true });
    expect(container.textContent).toContain('held');
    cleanup();
    render(Seals, { lanes: [lane({}), lane({}, { id: 2, name: 'Quayside' })], seals });
    expect(document.body.innerHTML).toContain('Countersign');
    expect(document.body.innerHTML).toContain('Quayside');
    expect(document.body.innerHTML).toContain('not meant');
  });
});
