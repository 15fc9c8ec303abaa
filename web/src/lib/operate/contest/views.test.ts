// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { ContestScore } from '../../platform/api/client';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, press } from '../../platform/shared/on-page';
import BookFindings from './BookFindings.svelte';
import BookImport from './BookImport.svelte';

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
