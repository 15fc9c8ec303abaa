// @vitest-environment jsdom
import { screen } from '@testing-library/svelte';
import { expect, it, vi } from 'vitest';
import type { ContestScore, HandIn } from '../../../platform/api/client';
import type { FakeServer } from '../../../platform/shared/fake-server';
import { onPage, press, type Show } from '../../../platform/shared/on-page';
import { HandInStore } from './hand-in.svelte';
import HandInPanel from './HandInPanel.svelte';

const LOG = 'GET /api/contest-books/4/hand-in';
const HAND_IN = 'POST /api/contest-books/4/hand-in';
const ACCOUNT = {
  hookup: 'fair-copy',
  address: 'http://copy.example/',
  account: 'CU9QYB',
  hasPassword: true,
};
const OVER = '2026-11-29T00:00:00Z';

let server: FakeServer;
let show: Show;

onPage((fresh) => {
  ({ server, render: show } = fresh);
  server.on('GET /api/adjudicator', ACCOUNT);
});

const score: ContestScore = {
  contacts: 3,
  dupes: 0,
  others: 0,
  points: 3,
  multipliers: {},
  bonus: 0,
  score: 3,
  byBand: [],
};

const nothing: HandIn = {
  words: '',
  claimed: 0,
  changedSince: false,
  findings: [],
  moreFindings: 0,
  refusedLines: [],
};

const taken: HandIn = {
  ...nothing,
  takenAt: '2026-11-30T19:05:00Z',
  receipt: 'A-1',
  words: '3 contacts were taken for the check.',
  claimed: 1200,
  askAt: '2026-11-30T20:05:00Z',
};

const remark = {
  line: 12,
  contactId: 7,
  start: '2026-11-28T12:05:00Z',
  call: 'DL1QAB',
  band: '20m',
  sentence: 'the station was DL1QAA',
  rightCall: 'DL1QAA',
  pointsLost: 40,
};

const render = (until = OVER) => show(HandInPanel, { bookId: 4, until, score });

it('says what an adjudicator is for where there is none', async () => {
  server.on('GET /api/adjudicator', { hookup: 'fair-copy', hasPassword: false }).on(LOG, nothing);
  render();
  await screen.findByText(/Set up your account there/);
  expect(screen.queryByRole('button', { name: 'Hand in' })).toBeNull();
  await press('Set up…');
  screen.getByRole('group', { name: 'The adjudicator' });
});

it('hands in the log and says under which receipt it is known', async () => {
  server.on(LOG, nothing).on(HAND_IN, taken);
  render('2099-01-01T00:00:00Z');
  await screen.findByText('This log was not handed in yet.');
  screen.getByText(/The contest is not over yet/);
  await press('Hand in');
  await screen.findByText(/with 1.?200 claimed, receipt A-1/);
  screen.getByText('3 contacts were taken for the check.');
  screen.getByText(/The report is asked for at .*20:05 UTC/);
  expect(screen.getByRole('link', { name: 'The log as handed in' }).getAttribute('href')).toBe(
    '/api/contest-books/4/hand-in/log',
  );
});

it('names what was refused, and that the log before still counts', async () => {
  server.on(LOG, {
    ...taken,
    changedSince: true,
    refusedAt: '2026-11-30T21:00:00Z',
    refusal: 'the log has a line that cannot be taken',
    refusedLines: [
      { ...remark, rightCall: undefined, sentence: 'no such band', pointsLost: 0 },
      { line: 3, call: '', band: '', sentence: 'no contest', pointsLost: 0 },
      { line: 3, call: '', band: '', sentence: 'no contest', pointsLost: 0 },
    ],
  });
  render();
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toMatch(/Refused .*21:00 UTC: the log has a line that cannot be taken\./);
  expect(alert.textContent).toContain('still counts');
  screen.getByText(/The book is different now/);
  expect(screen.getByRole('row', { name: /12 .*DL1QAB .*no such band/ })).toBeTruthy();
  expect(screen.getAllByText('no contest')).toHaveLength(2);
});

it('shows what the check found, and corrects a call with one key', async () => {
  const checked = { ...taken, checkedScore: 1160, findings: [remark], moreFindings: 3, askAt: undefined };
  server.on(LOG, checked).on('POST /api/changes/edit', { id: 1, state: 'DONE' });
  render();
  await screen.findByText(/After the check: 1.?160 of 1.?200 claimed\./);
  expect(screen.getByRole('row', { name: /DL1QAB .*the station was DL1QAA .*40/ })).toBeTruthy();
  screen.getByText('And 3 more.');
  expect(screen.queryByRole('button', { name: 'Ask for the report' })).toBeNull();
  await press('Change to DL1QAA');
  await vi.waitFor(() =>
    expect(server.sent['POST /api/changes/edit']).toEqual({
      selection: { ids: [7] },
      changes: { CALL: 'DL1QAA' },
    }),
  );
});

it('asks for the report when somebody wants it, and says why there is none', async () => {
  server.on(LOG, taken);
  server.on('POST /api/contest-books/4/hand-in/report', { detail: 'Fair Copy cannot be reached.' }, 422);
  const { rerender } = render();
  await screen.findByText(/receipt A-1/);
  await press('Ask for the report');
  await screen.findByText('Fair Copy cannot be reached.');
  const reads = server.requests.filter((one) => one === LOG).length;
  await rerender({ bookId: 4, until: OVER, score: { ...score, contacts: 4 } });
  await vi.waitFor(() => expect(server.requests.filter((one) => one === LOG).length).toBe(reads + 1));
  await new Promise((done) => setTimeout(done));
  screen.getByText('Fair Copy cannot be reached.');
  server.on('POST /api/contest-books/4/hand-in/report', { ...taken, checkedScore: 1200 });
  await press('Ask for the report');
  await screen.findByText('The check found nothing wrong.');
  expect(screen.queryByText('Fair Copy cannot be reached.')).toBeNull();
});

it('passes over an answer that is older than what was asked since', async () => {
  const store = new HandInStore();
  server.on(LOG, nothing).on(HAND_IN, taken);
  const answering = fetch;
  let release = () => {};
  const released = new Promise<void>((done) => (release = done));
  vi.stubGlobal('fetch', async (request: Request) => {
    const answer = await answering(request);
    if (request.method === 'GET') await released;
    return answer;
  });
  const older = store.load(4);
  await store.handIn(4);
  release();
  await older;
  expect(store.log?.receipt).toBe('A-1');
  expect(store.complete).toBe(true);
});

it('says nothing of a failure any more in another book, or when it is set up otherwise', async () => {
  const store = new HandInStore();
  server.on(LOG, nothing).on('GET /api/contest-books/5/hand-in', nothing).on('PUT /api/adjudicator', ACCOUNT);
  server.on(HAND_IN, { detail: 'Fair Copy refuses the account.' }, 422);
  await store.load(4);
  await store.handIn(4);
  expect(store.failure).toBe('Fair Copy refuses the account.');
  await store.save('password', { password: 'another' });
  expect(store.failure).toBe('');
  await store.handIn(4);
  await store.load(5);
  expect(store.failure).toBe('');
});
