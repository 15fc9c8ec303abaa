// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { ContestScore } from '../../platform/api/client';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, press } from '../../platform/shared/on-page';
import BookFindings from './BookFindings.svelte';
import BookHeader from './BookHeader.svelte';
import BookImport from './BookImport.svelte';
import BookMultipliers from './BookMultipliers.svelte';
import BookPanels from './BookPanels.svelte';
import BookProgress from './BookProgress.svelte';
import { PanelLayout } from './layout.svelte';
import { hoursAndMinutes, scorePoints } from './progress';
import { memory } from './test-book';

let server: FakeServer;
let render: Show;

onPage((fresh) => ({ server, render } = fresh));

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

const finding = {
  contactId: 7,
  start: '2026-11-30T19:05:00Z',
  call: 'DL1QAB',
  band: '20m',
  sentence: 'DL1QAB was worked only here, and DL1QAA 2 times.',
  likelyCall: 'DL1QAA',
  atStake: 12,
};

describe('likely mistakes', () => {
  const path = 'GET /api/contest-books/4/findings';
  const gaps = 'GET /api/contest-books/4/serial-gaps';

  it('say which serials are in no contact, and who heard them', async () => {
    server
      .on(path, [])
      .on(gaps, [{ serial: 2, call: 'W1QAB', sentAt: '2026-11-28T12:04:00Z' }, { serial: 5 }]);
    render(BookFindings, { id: 4, score });
    await screen.findByText(/no contact, though higher ones are: 2 \(sent to W1QAB at 12:04\); 5\./);
  });

  it('are shown with what they cost, and corrected with one key', async () => {
    server.on(path, [finding]).on('POST /api/changes/edit', { id: 1, state: 'DONE' });
    render(BookFindings, { id: 4, score });
    await screen.findByText(finding.sentence);
    expect(screen.getByRole('row', { name: /DL1QAB .*12/ })).toBeTruthy();
    await press('Change to DL1QAA');
    await vi.waitFor(() =>
      expect(server.sent['POST /api/changes/edit']).toEqual({
        selection: { ids: [7] },
        changes: { CALL: 'DL1QAA' },
      }),
    );
  });

  it('are looked for again when the score is another one', async () => {
    server.on(path, [finding]);
    const { rerender } = render(BookFindings, { id: 4, score });
    await screen.findByText(finding.sentence);
    server.on(path, []);
    await rerender({ score: { ...score, points: 2 } });
    await screen.findByText('Nothing odd was found in this log.');
  });

  it('say when they cannot be read', async () => {
    render(BookFindings, { id: 4, score });
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
    expect(screen.getByText('Checking the log…').hidden).toBe(true);
  });
});

const book = {
  id: 4,
  contest: 'Harbour Hours',
  cabrilloName: 'HARBOUR-HOURS',
  ownCall: 'CU9QYB',
  power: 'LOW',
  from: '2027-01-02T12:00:00Z',
  until: '2027-01-02T18:00:00Z',
  sent: {},
  bands: ['40m', '20m'],
  radioteletype: false,
  exchange: ['serial'],
  categories: [
    { name: 'operator', choices: ['SINGLE-OP', 'MULTI-OP'], optional: false },
    { name: 'overlay', choices: ['ROOKIE'], optional: true },
  ],
  category: { operator: 'SINGLE-OP' },
  headerNames: ['CLUB', 'SOAPBOX'],
  header: { CLUB: 'Corvo' },
  goal: 0,
};

describe('the log header', () => {
  const path = 'PUT /api/contest-books/4';

  it('saves a category as it is chosen, and a line as it is left', async () => {
    server.on(path, book).on('GET /api/contest-books', [book]);
    render(BookHeader, { book });
    await fireEvent.change(screen.getByLabelText('CATEGORY-OPERATOR'), { target: { value: 'MULTI-OP' } });
    await vi.waitFor(() => expect(server.sent[path]).toEqual({ category: { operator: 'MULTI-OP' } }));
    const club = screen.getByLabelText('CLUB');
    await fireEvent.input(club, { target: { value: 'Flores' } });
    await fireEvent.blur(club);
    await vi.waitFor(() => expect(server.sent[path]).toEqual({ header: { CLUB: 'Flores' } }));
  });

  it('says beside the line what is wrong with it', async () => {
    server.on(
      path,
      { detail: 'Not saved.', fields: [{ field: 'header.CLUB', sentence: 'CLUB is too long.' }] },
      422,
    );
    render(BookHeader, { book });
    const club = screen.getByLabelText('CLUB');
    await fireEvent.input(club, { target: { value: 'x' } });
    await fireEvent.blur(club);
    await screen.findByText('CLUB is too long.');
  });
});

describe('multipliers', () => {
  it('are shown with the bands on which they were worked', async () => {
    server.on('GET /api/contest-books/4/multipliers', [
      {
        name: 'zones',
        values: [
          { value: '5', bands: ['20m'] },
          { value: '14', bands: ['40m', '20m'] },
        ],
      },
    ]);
    render(BookMultipliers, { book, score });
    await screen.findByRole('img', { name: '14 worked on 40m' });
    expect(screen.queryByRole('img', { name: '5 worked on 40m' })).toBeNull();
    expect(screen.getByRole('row', { name: '2 values 1 2' })).toBeTruthy();
  });

  it('say when there is none yet', async () => {
    server.on('GET /api/contest-books/4/multipliers', [{ name: 'zones', values: [] }]);
    render(BookMultipliers, { book, score });
    await screen.findByText(/No multiplier yet/);
  });
});

describe('the progress of a contest', () => {
  const pace = {
    last10Minutes: 30,
    last60Minutes: 42,
    last10Contacts: 35,
    operatingMinutes: 187,
    leftMinutes: 60,
    breakMinutes: 30,
    hours: [{ from: '2027-01-02T13:00:00Z', contacts: 42, points: 90, multipliers: 12, score: 1080 }],
    earlier: [],
  };

  it('shows rates, time and hours, and saves a goal', async () => {
    vi.setSystemTime('2027-01-02T14:00:00Z');
    server
      .on('GET /api/contest-books/4/pace', pace)
      .on('PUT /api/contest-books/4', book)
      .on('GET /api/contest-books', [book]);
    render(BookProgress, { book, score });
    await screen.findByText('42 /h');
    expect(screen.getByText('3:07')).toBeTruthy();
    expect(screen.getByText('1:00')).toBeTruthy();
    expect(screen.getByRole('row', { name: /^13:00.*42.*90.*12.*1.080$/ })).toBeTruthy();
    const goal = screen.getByLabelText('Goal');
    await fireEvent.input(goal, { target: { value: '2 500' } });
    await fireEvent.blur(goal);
    await vi.waitFor(() => expect(server.sent['PUT /api/contest-books/4']).toEqual({ goal: 2500 }));
  });

  it('says when it cannot be read', async () => {
    render(BookProgress, { book, score });
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
  });

  it('grows within an hour and stands still between', () => {
    const hours = [
      { ...pace.hours[0], from: '2027-01-02T12:00:00Z', score: 10 },
      { ...pace.hours[0], from: '2027-01-02T15:00:00Z', score: 30 },
    ] as typeof pace.hours;
    expect(scorePoints(hours, book.from, book.until, Date.parse('2027-01-02T17:00:00Z'))).toEqual([
      { part: 0, score: 0 },
      { part: 0, score: 0 },
      { part: 1 / 6, score: 10 },
      { part: 0.5, score: 10 },
      { part: 4 / 6, score: 30 },
      { part: 5 / 6, score: 30 },
    ]);
    expect(hoursAndMinutes(5)).toBe('0:05');
  });
});

describe('a log that is imported into a book', () => {
  const path = 'POST /api/imports?contestBook=4';

  async function choose() {
    render(BookImport, { id: 4, onclose: () => undefined });
    const input = document.querySelector('input[type=file]');
    await fireEvent.change(input as Element, { target: { files: [new File(['x'], 'contest.log')] } });
  }

  it('tells what became of it, and the first refused records', async () => {
    const problems = [1, 2, 3, 4, 5, 6].map((record) => ({
      record,
      line: record + 3,
      message: `No. ${record}`,
    }));
    server.on(path, { read: 9, added: 2, merged: 0, duplicates: 1, refused: 6, problems });
    await choose();
    await screen.findByText('9 read: 2 added, 1 in the log already, 6 refused.');
    expect(screen.getByText('No. 5')).toBeTruthy();
    expect(screen.queryByText('No. 6')).toBeNull();
    expect(screen.getByText('More refused: 1. All are in the journal, under Intake.')).toBeTruthy();
  });

  it('says what is wrong with something else than a log', async () => {
    server.on(path, { detail: 'It is empty.' }, 422);
    await choose();
    expect((await screen.findByRole('alert')).textContent).toBe('It is empty.');
  });
});

describe('the panels', () => {
  it('stand beside each other, and change their places when the same is chosen in both', async () => {
    const layout = new PanelLayout(memory());
    render(BookPanels, { layout, book, score });
    expect(screen.queryByRole('region', { name: 'Second panel' })).toBeNull();
    layout.toggleSecond();
    const second = await screen.findByRole('region', { name: 'Second panel' });
    await fireEvent.change(screen.getByLabelText('In the second panel'), { target: { value: 'header' } });
    expect(within(second).getByLabelText('CATEGORY-OPERATOR')).toBeTruthy();
    expect(screen.getByText(/No contact/)).toBeTruthy();
    await fireEvent.click(screen.getByRole('tab', { name: 'Log header' }));
    await vi.waitFor(() => expect([layout.main, layout.second]).toEqual(['header', 'contacts']));
    expect(within(second).getByText(/No contact/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLSelectElement>('In the second panel').value).toBe('contacts');
  });
});
