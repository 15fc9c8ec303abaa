// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { Lane, MailView } from '../platform/api/client';
import { LaneStore } from './delivery/lanes.svelte';
import type { Page } from '../../page';
import type { FakeServer } from '../platform/shared/fake-server';
import { type Show, onPage, press, type } from '../platform/shared/on-page';
import { card, lane, line } from '../platform/shared/samples';
import AccountForm from './delivery/AccountForm.svelte';
import CardDesk from './card/CardDesk.svelte';
import IdentityDesk from './delivery/IdentityDesk.svelte';
import LaneChoices from './delivery/LaneChoices.svelte';
import LanesPage from './LanesPage.svelte';
import MailPage from './mail/MailPage.svelte';
import WhenToSend from './delivery/WhenToSend.svelte';

let server: FakeServer;
let page: Page;
let render: Show;
const store = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

onPage((fresh) => ({ server, page, render } = fresh));

const asked = (question: string) => vi.waitFor(() => expect(server.requests).toContain(question));

describe('the card desk', () => {
  const piles = { toSend: 2, sent: 0, received: 0 };

  async function show(cards = [card(5, 'ZP5QXA'), card(6, 'OZ1QAB', { via: 'MANAGER', manager: 'OZ1QMM' })]) {
    server
      .on('GET /api/cards?pile=TO_SEND', cards)
      .on('GET /api/cards?pile=SENT', [])
      .on('GET /api/cards/piles', { ...piles, toSend: cards.length });
    render(CardDesk);
    await vi.waitFor(() => expect(server.requests).toContain('GET /api/cards/piles'));
  }

  it('prints and sends those chosen, or all of the pile', async () => {
    await show();
    const labels = await screen.findByRole('link', { name: 'Print labels' });
    expect(labels.getAttribute('href')).toBe('/api/cards/labels.pdf?ids=5,6');
    expect(screen.getByText('via OZ1QMM')).toBeDefined();
    await fireEvent.click(screen.getByLabelText('Choose OZ1QAB'));
    expect(labels.getAttribute('href')).toBe('/api/cards/labels.pdf?ids=6');
    expect(screen.getByRole('link', { name: 'Print cards' }).getAttribute('href')).toBe(
      '/api/cards/cards.pdf?ids=6',
    );
    server.on('POST /api/cards/sent', piles);
    await press('Mark as sent');
    await screen.findByText('1 card sent.');
    expect(server.sent['POST /api/cards/sent']).toEqual({ contactIds: [6] });
  });

  it('says how many more there are than it shows', async () => {
    server
      .on('GET /api/cards?pile=TO_SEND', [card(5, 'ZP5QXA')])
      .on('GET /api/cards/piles', { toSend: 4200, sent: 0, received: 0 });
    render(CardDesk);
    await screen.findByText(/The newest 1 of 4 200 are here/);
  });

  it('is empty in words of its own', async () => {
    await show([]);
    await screen.findByText(/No card is wanted/);
    await fireEvent.click(screen.getByRole('button', { name: /^Sent/ }));
    await screen.findByText('No card of ours is on its way.');
  });

  it('takes in a scanned card at once', async () => {
    await show();
    server.on('GET /api/cards/find?scanned=YB-5', [line()]).on('POST /api/cards/received', piles);
    await type('Scan or type a card that came', 'YB-5');
    await press('Mark as received');
    await screen.findByText('The card of ZP5QXA is in.');
    expect(server.sent['POST /api/cards/received']).toEqual({ contactIds: [5] });
  });

  it('asks which contact is meant, and says when none is', async () => {
    await show();
    server
      .on('GET /api/cards/find?scanned=zp5qxa', [line(), line({ id: 8, band: '40m' })])
      .on('POST /api/cards/received', piles);
    await type('Scan or type a card that came', 'zp5qxa');
    await press('Mark as received');
    await screen.findByText('Which contact is it for?');
    await fireEvent.click(screen.getByRole('button', { name: /40m/ }));
    await vi.waitFor(() => expect(server.sent['POST /api/cards/received']).toEqual({ contactIds: [8] }));

    server.on('GET /api/cards/find?scanned=OZ1QAB', []);
    await type('Scan or type a card that came', 'OZ1QAB');
    await press('Mark as received');
    expect((await screen.findByRole('alert')).textContent).toBe('No contact fits OZ1QAB.');
  });
});

describe('the outbox of radio mail', () => {
  const session = { sending: false, bytes: 0, total: 0, bytesPerSecond: 0, sentence: '' };
  const mail = (more: Partial<MailView> = {}): MailView => ({ due: 0, letters: [], session, ...more });
  const letter = {
    handoverId: 12,
    contacts: 1501,
    parts: 4,
    partsTaken: 1,
    bytes: 400_000,
    sentBytes: 130_000,
  };
  const show = (view: MailView) => {
    server.on('GET /api/mail', view);
    render(MailPage);
  };

  it('asks for a gateway first, and says at the field what is wrong with it', async () => {
    show(mail());
    await screen.findByText(/The outbox is empty/);
    expect(screen.getByRole('button', { name: 'Begin a session' })).toHaveProperty('disabled', true);
    server.on(
      'PUT /api/mail',
      { detail: 'No port.', fields: [{ field: 'address', sentence: 'No port.' }] },
      422,
    );
    await type('Gateway, host:port', 'somewhere');
    await type('Called as', 'CU9QYB');
    await press('Save');
    await vi.waitFor(() => expect(screen.getAllByText('No port.').length).toBeGreaterThan(1));
    expect(server.sent['PUT /api/mail']).toEqual({ address: 'somewhere', callSign: 'CU9QYB' });
  });

  it('packs what is due and begins a session', async () => {
    show(mail({ address: '127.0.0.1:9', callSign: 'CU9QYB', due: 1501 }));
    server.on('POST /api/mail/letters', mail({ address: '127.0.0.1:9', letters: [letter] }));
    await fireEvent.click(await screen.findByRole('button', { name: /Pack 1.501 due contacts/ }));
    await screen.findByText('All that is due is packed');
    const row = screen.getAllByRole('row')[1] as HTMLElement;
    expect(within(row).getByText('1 of 4')).toBeDefined();
    expect(within(row).getByText('130 of 400 kB')).toBeDefined();
    server.on('POST /api/mail/session', mail({ letters: [letter], session: { ...session, sending: true } }));
    await press('Begin a session');
    await screen.findByRole('button', { name: 'Stop' });
    expect(screen.getByRole('button', { name: 'Take back' })).toHaveProperty('disabled', true);
  });

  it('shows true progress, and reads again while a session runs', async () => {
    const running = { ...session, sending: true, bytes: 130_000, total: 400_000, bytesPerSecond: 2_000 };
    show(mail({ letters: [letter], session: running }));
    await screen.findByText(/130 of 400 kB, 2 000 bytes a second, 135 s to go/);
    const questions = server.requests.length;
    server.on('GET /api/mail', mail({ letters: [], session: { ...session, sentence: 'All is there.' } }));
    await vi.waitFor(() => expect(server.requests.length).toBeGreaterThan(questions));
    await screen.findByText('All is there.');
  });

  it('takes a letter back, or says why not', async () => {
    show(mail({ letters: [letter] }));
    await screen.findByRole('button', { name: 'Take back' });
    server.on('DELETE /api/mail/letters/12', { detail: 'It may be there already.' }, 409);
    await press('Take back');
    expect((await screen.findByRole('alert')).textContent).toBe('It may be there already.');
  });
});

describe('the identities', () => {
  const identity = {
    id: 3,
    call: 'CU9QYB',
    toBeRenewed: false,
    locked: false,
    validFrom: '2015-01-01T00:00:00Z',
    validUntil: '2030-01-01T00:00:00Z',
  };
  const place = { id: 7, name: 'Farol', locator: 'HM49kq' };
  const request = {
    id: 4,
    call: 'CR9QL',
    number: 'RQ-0001',
    words: 'a letter goes out',
    askedAt: '2026-05-01T00:00:00Z',
    postalAddress: 'Farol',
  };

  function show(of: Lane) {
    store(LaneStore).all = [of];
    render(IdentityDesk, { lane: of, lanes: store(LaneStore), places: [place] });
  }

  it('are asked for, with what is wrong at its field', async () => {
    show(lane({}));
    expect(screen.getByText(/None installed/)).toBeDefined();
    await press('Ask for one');
    await type('Own call', 'CU9QYB');
    await type('First day of contacts', 'May');
    await type('Postal address for the letter', 'Farol, Corvo');
    const fields = [{ field: 'fromDay', sentence: '"May" is not a day.' }];
    server.on('POST /api/services/1/requests', { detail: '"May" is not a day.', fields }, 422);
    await press('Make and send the request');
    await vi.waitFor(() => expect(screen.getAllByText('"May" is not a day.').length).toBeGreaterThan(1));
    await type('First day of contacts', '2015-01-01');
    server.on('POST /api/services/1/requests', lane({}, { requests: [request] }));
    await press('Make and send the request');
    await screen.findByText('Asked. A letter with a code is on its way.');
    expect(server.sent['POST /api/services/1/requests']).toEqual({
      call: 'CU9QYB',
      fromDay: '2015-01-01',
      postalAddress: 'Farol, Corvo',
    });
  });

  it('come with the code of the letter, or the request is given up', async () => {
    show(lane({}, { requests: [request] }));
    await type('Code in the letter', '1234-5678');
    server.on('POST /api/services/1/requests/4/code', { detail: 'Not the code; 2 tries left.' }, 422);
    await press('Get the certificate');
    expect((await screen.findByRole('alert')).textContent).toBe('Not the code; 2 tries left.');
    server.on('POST /api/services/1/requests/4/code', lane({}, { identities: [identity] }));
    await press('Get the certificate');
    await screen.findByText('Installed. Contacts it covers are released now.');
    expect(server.sent['POST /api/services/1/requests/4/code']).toEqual({ code: '1234-5678' });
    server.on('DELETE /api/services/1/requests/4', lane({}));
    await press('Give up');
    await screen.findByText('The request is given up.');
  });

  it('are tried, renewed and given a place', async () => {
    show(lane({}, { identities: [identity] }));
    server.on('POST /api/services/1/identities/3/test', { works: true, sentence: 'It signs as CU9QYB.' });
    await press('Try');
    await screen.findByText('It signs as CU9QYB.');
    server.on('POST /api/services/1/identities/3/test', { works: false, sentence: 'It has ended.' });
    await press('Try');
    expect((await screen.findByRole('alert')).textContent).toBe('It has ended.');
    server.on('POST /api/services/1/identities/3/renew', lane({}, { identities: [identity] }));
    await press('Renew');
    await screen.findByText('The certificate of CU9QYB is renewed.');
    server.on('PUT /api/services/1/identities/3/place', lane({}, { identities: [identity] }));
    await fireEvent.change(screen.getByLabelText('Place of contacts that do not say theirs'), {
      target: { value: '7' },
    });
    await screen.findByText(/are sent as made from Farol/);
    expect(server.sent['PUT /api/services/1/identities/3/place']).toEqual({ placeId: 7 });
  });

  it('are taken away only when that is said twice', async () => {
    show(lane({}, { identities: [identity] }));
    await press('Take away');
    expect(screen.getByText(/Its key is removed with it/)).toBeDefined();
    expect(server.requests).toEqual([]);
    await press('Take away');
    expect(screen.queryByText(/Its key is removed with it/)).toBeNull();
    await press('Take away');
    server.on('DELETE /api/services/1/identities/3', lane({}));
    await press('Take it away for good');
    await screen.findByText('Taken away. Contacts made as CU9QYB are held.');
  });

  it('are not installed without a file', async () => {
    show(lane({}));
    await press('Install from a file');
    await press('Install identity');
    expect((await screen.findByRole('alert')).textContent).toContain('Choose the identity file first');
    expect(server.requests).toEqual([]);
  });
});

describe('the account', () => {
  it('is saved and tried, and the password leaves the page', async () => {
    render(AccountForm, {
      lane: lane({}, { hasPassword: false, address: 'http://h/' }),
      lanes: store(LaneStore),
    });
    server
      .on('PUT /api/services/1', lane({}))
      .on('POST /api/services/1/test', { works: true, sentence: 'Account CU9QYB is in good standing.' });
    await type('Account name', 'CU9QYB');
    await type('Account password', 'lamp');
    await press('Save and try');
    await screen.findByText('Saved. Account CU9QYB is in good standing.');
    expect(server.sent['PUT /api/services/1']).toEqual({
      address: 'http://h/',
      account: 'CU9QYB',
      password: 'lamp',
    });
    expect(screen.getByLabelText('Account password')).toHaveProperty('value', '');
  });

  it('is saved though it does not work, and says so', async () => {
    render(AccountForm, { lane: lane({}), lanes: store(LaneStore) });
    expect(screen.getByText(/One is stored; leave empty to keep it/)).toBeDefined();
    server
      .on('PUT /api/services/1', lane({}))
      .on('POST /api/services/1/test', { works: false, sentence: 'Countersign refuses the account.' });
    await press('Save and try');
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Saved, but: Countersign refuses the account.',
    );
  });

  it('has its stored password cleared on request', async () => {
    render(AccountForm, { lane: lane({}), lanes: store(LaneStore) });
    server.on('PUT /api/services/1', lane({}, { hasPassword: false }));
    await press('Clear password');
    await screen.findByText('The stored password is cleared.');
    expect(server.sent['PUT /api/services/1']).toEqual({ clearPassword: true });
  });

  it('has a key only where the service wants no name', () => {
    const access = { secret: 'API key', hint: 'From your pages.' };
    render(AccountForm, { lane: lane({}, { access }), lanes: store(LaneStore) });
    expect(screen.queryByLabelText('Account name')).toBeNull();
    expect(screen.getByLabelText('API key')).toBeDefined();
  });
});

describe('what goes there and when', () => {
  it('refuses minutes that are none before anything is saved', async () => {
    render(LaneChoices, { lane: lane({}), lanes: store(LaneStore) });
    await type('Fetch every, minutes', 'often');
    await press('Save');
    await vi.waitFor(() => expect(screen.getAllByText(/"often" is not a number of minutes/)).toHaveLength(2));
    expect(server.requests).toEqual([]);
    server.on('PUT /api/services/1', lane({}));
    await type('Fetch every, minutes', '30');
    await press('Save');
    await screen.findByText('Saved. The log is looked through again.');
    expect(server.sent['PUT /api/services/1']).toEqual({
      ownCalls: '',
      fromDay: '',
      fetchEverySeconds: 1800,
    });
  });

  it('lets relayed contacts go only where that can be chosen', async () => {
    render(LaneChoices, { lane: lane({}), lanes: store(LaneStore) });
    expect(screen.getByText(/never go there/)).toBeDefined();
    cleanup();
    render(LaneChoices, {
      lane: lane({}, { relayedOnRequest: true, signed: false }),
      lanes: store(LaneStore),
    });
    server.on('PUT /api/services/1', lane({}, { relayed: true }));
    await fireEvent.click(screen.getByRole('switch'));
    await asked('PUT /api/services/1');
    expect(server.sent['PUT /api/services/1']).toEqual({ relayed: true });
  });

  it('offers to send automatically once a first proof came back', async () => {
    render(WhenToSend, { lane: lane({}), lanes: store(LaneStore) });
    expect(screen.queryByText(/it works/)).toBeNull();
    cleanup();
    render(WhenToSend, { lane: lane({}, { proven: true }), lanes: store(LaneStore) });
    server.on('PUT /api/services/1', lane({}, { when: 'AT_ONCE' }));
    await press('Send automatically');
    await asked('PUT /api/services/1');
    expect(server.sent['PUT /api/services/1']).toEqual({ when: 'AT_ONCE' });
  });

  it('goes every so many minutes', async () => {
    render(WhenToSend, { lane: lane({}, { when: 'EVERY' }), lanes: store(LaneStore) });
    server.on('PUT /api/services/1', lane({}, { when: 'EVERY', everyMinutes: 5 }));
    await fireEvent.change(screen.getByLabelText(/every/), { target: { value: '5' } });
    await asked('PUT /api/services/1');
    expect(server.sent['PUT /api/services/1']).toEqual({ everyMinutes: 5 });
  });
});

describe('the services', () => {
  it('get another account at a kind of service, and lose one that nothing went through', async () => {
    const club = lane({}, { id: 5, name: 'Society', kind: 'Quayside', inUse: false, removable: true });
    const lanes = [lane({}), club];
    server.on('GET /api/services', [lane({})]);
    await store(LaneStore).load();
    render(LanesPage);
    server
      .on('GET /api/services/kinds', ['Postbag', 'Quayside'])
      .on('POST /api/services', club)
      .on('GET /api/services', lanes)
      .on('DELETE /api/services/5', [lane({})]);
    await press('Another account…');
    await fireEvent.change(await screen.findByLabelText('At'), { target: { value: 'Quayside' } });
    await type('Called', 'Society');
    await press('Add it');
    await screen.findByText(/at Quayside\. Contact by contact/);
    expect(server.sent['POST /api/services']).toEqual({ kind: 'Quayside', name: 'Society' });
    await press('Remove');
    await vi.waitFor(() => expect(screen.queryByText('Society')).toBeNull());
  });
});
