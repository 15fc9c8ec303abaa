// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { Page } from '../../../../page';
import type { ContestCall } from '../../../platform/api/client';
import type { FakeServer } from '../../../platform/shared/fake-server';
import { type Show, onPage, press } from '../../../platform/shared/on-page';
import { TextProgramStore } from '../../../sources/text/programs.svelte';
import { ReceivedTextStore } from '../../../sources/text/received.svelte';
import { HeardCalls } from './heard-calls.svelte';
import ReceivedStrip from './ReceivedStrip.svelte';
import ReceivedWords from './ReceivedWords.svelte';
import { lastLines } from './words';

let server: FakeServer;
let page: Page;
let render: Show;

onPage((fresh) => ({ server, page, render } = fresh));

const PATH = 'POST /api/contest-books/4/line/heard';
const place = { frequency: '14080', mode: 'RTTY' };
const worth = { counts: true, dupe: false, reason: '', points: 3, multipliers: ['zones'], bonus: 0 };
const w1qab: ContestCall = { call: 'W1QAB', oneSlip: false, worth };
const dl1qaa: ContestCall = {
  call: 'DL1QAA',
  oneSlip: false,
  worth: { ...worth, dupe: true, counts: false },
};

const lines = lastLines(
  [
    { text: '\nCQ TEST W1Q', doubtful: false },
    { text: 'A', doubtful: true },
    { text: 'B CQ \n\nDL1QAA 599 ', doubtful: false },
    { text: '014', doubtful: true },
    { text: ' -69# 01', doubtful: false },
  ],
  3,
);

describe('the agreed text', () => {
  it('is words in lines, with what is doubtful of them', () => {
    expect(lines.map((line) => line.map((word) => word.text))).toEqual([
      ['CQ', 'TEST', 'W1QAB', 'CQ'],
      ['DL1QAA', '599', '014', '-69#', '01'],
    ]);
    expect(lines[0]?.[2]?.letters.map((letter) => letter.doubtful)).toEqual([
      false,
      false,
      false,
      true,
      false,
    ]);
  });

  it('holds a word back whose end was not received yet', () => {
    expect(lines.flat().filter((word) => !word.whole)).toMatchObject([{ text: '01' }]);
  });

  it('shows only its last lines', () => {
    expect(lastLines([{ text: 'A\nB\nC\nD', doubtful: false }], 2).flat()).toHaveLength(2);
    expect(lastLines([], 2)).toEqual([]);
  });
});

describe('received words', () => {
  it('are looked at by the server once, until something is different', async () => {
    server.on(PATH, [w1qab, dl1qaa]);
    const calls = new HeardCalls();
    calls.ask(4, lines, place, 1);
    await vi.waitFor(() => expect(calls.of('W1QAB')).toBeDefined());
    expect(server.sent[PATH]).toEqual({
      words: ['CQ', 'TEST', 'W1QAB', 'DL1QAA', '599', '014', '-69#'],
      ...place,
    });
    server.sent[PATH] = undefined;
    calls.ask(4, lines, place, 1);
    expect(server.sent[PATH]).toBeUndefined();
    calls.ask(4, lines, place, 2);
    await vi.waitFor(() => expect(server.sent[PATH]).toBeDefined());
  });

  it('give the last call and the last number to the line', async () => {
    server.on(PATH, [w1qab, dl1qaa]);
    const calls = new HeardCalls();
    expect(calls.newest(lines)).toBeUndefined();
    calls.ask(4, lines, place, 1);
    await vi.waitFor(() => expect(calls.newest(lines)).toBe('W1QAB'));
    expect(calls.newest(lines.slice(1)), 'where all were worked').toBe('DL1QAA');
    expect(calls.newestPart(lines)).toBe('014');
  });

  it('are marked with what they bring, and taken with a click', async () => {
    const taken: string[] = [];
    const callOf = (word: string) => [w1qab, dl1qaa].find((one) => one.call === word);
    render(ReceivedWords, { lines, callOf, ontake: (word: string) => taken.push(word) });
    const fresh = screen.getByRole('button', { name: 'W1QAB zones +1' });
    expect(fresh.title).toBe('3 points · zones +1');
    await fireEvent.click(fresh);
    await fireEvent.click(screen.getByRole('button', { name: 'DL1QAA Worked before' }));
    await fireEvent.click(screen.getByRole('button', { name: '014' }));
    expect(taken).toEqual(['W1QAB', 'DL1QAA', '014']);
  });
});

describe('the received text above the line', () => {
  it('says how to get it where no decoder is set up', () => {
    render(ReceivedStrip, { lines: [], calls: new HeardCalls(), ontake: vi.fn() });
    expect(screen.getByText(/No decoder of radioteletype is set up/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Connect one' }).getAttribute('href')).toBe('#/hookups');
  });

  it('shows what each decoder printed when it is asked to', async () => {
    page.stores.get(TextProgramStore).all = [
      {
        id: 3,
        hookup: 'text-3',
        name: 'Dunlin',
        address: '127.0.0.1:7416',
        decoders: ['plain'],
        sendTexts: false,
      },
    ];
    page.stores
      .get(ReceivedTextStore)
      .take({ agreed: [], decoders: [{ name: 'Dunlin plain', text: 'CQ TEST\nW1QAB' }] });
    render(ReceivedStrip, { lines: [], calls: new HeardCalls(), ontake: vi.fn() });
    expect(screen.getByText('agreed by 1 decoder')).toBeTruthy();
    expect(screen.getByText('Nothing has been received yet.')).toBeTruthy();
    await press('Each decoder');
    expect(screen.getByText('CQ TEST W1QAB')).toBeTruthy();
  });
});
