// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { IntakeSource, JournalLine, RecordBeside } from '../../platform/api/client';
import { HookupStore } from '../hookup/hookups.svelte';
import { Navigation } from '../../platform/page/navigation.svelte';
import { IntakeStore } from './intake.svelte';
import type { Page } from '../../../page';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, press } from '../../platform/shared/on-page';
import { hookup, line } from '../../platform/shared/samples';
import Journal from './Journal.svelte';
import { JournalStore } from './journal.svelte';
import Records from './Records.svelte';
import SourcesPage from './SourcesPage.svelte';
import WhyNot from './WhyNot.svelte';

let server: FakeServer;
let page: Page;
let render: Show;
const store = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

onPage((fresh) => ({ server, page, render } = fresh));

const record = (id: number, more: Partial<JournalLine> = {}): JournalLine => ({
  id,
  source: 'adif-datagrams',
  sender: '127.0.0.1:4711',
  arrivedAt: '2026-05-01T14:07:10Z',
  decision: 'ADDED',
  sentence: `Contact ${id} is new.`,
  raw: '<CALL:6>ZP5QXA<EOR>',
  contactId: id,
  ...more,
});

describe('the journal', () => {
  const first = 'GET /api/journal?limit=100';

  async function show(lines: JournalLine[]) {
    server.on('GET /api/journal/keeping', { repeatsDays: 30 }).on(first, lines);
    render(Journal);
    await vi.waitFor(() => expect(server.requests).toContain(first));
  }

  it('tells what became of each record', async () => {
    store(HookupStore).take(hookup({ id: 'adif-datagrams', kind: 'PROGRAM', name: 'Wavelet' }));
    await show([
      record(2),
      record(1, { decision: 'REFUSED', sentence: 'There is no band 19m.', contactId: undefined }),
    ]);
    await screen.findByText('There is no band 19m.');
    expect(screen.getAllByText('Wavelet').length).toBeGreaterThan(1);
    await press('Contact');
    expect(store(Navigation).openContact).toBe(2);
  });

  it('lets a refused one be put right and sent through again', async () => {
    await show([record(1, { decision: 'REFUSED', sentence: 'There is no band 19m.', contactId: undefined })]);
    await fireEvent.click(await screen.findByRole('button', { name: 'Record' }));
    await fireEvent.input(screen.getByLabelText(/put right what is wrong/), {
      target: { value: '<BAND:3>20m<EOR>' },
    });
    server.on('POST /api/journal/1/again', { sentence: 'The band is missing.' });
    await press('Send it through again');
    await screen.findByText('The band is missing.');
    expect(server.sent['POST /api/journal/1/again']).toEqual({ raw: '<BAND:3>20m<EOR>' });
  });

  it('is narrowed by call, and says when nothing is left', async () => {
    await show([record(1)]);
    server.on('GET /api/journal?limit=100&call=OZ1', []);
    const field = screen.getAllByLabelText('Call').find((one) => one.getAttribute('placeholder') === 'any');
    await fireEvent.input(field as HTMLElement, { target: { value: 'OZ1' } });
    await screen.findByText('No record is like that.');
  });

  it('goes on below the oldest as long as there are more', async () => {
    await show(Array.from({ length: 100 }, (_, i) => record(200 - i)));
    server.on('GET /api/journal?limit=100&below=101', [record(100)]);
    await fireEvent.click(await screen.findByRole('button', { name: 'Older ones' }));
    await screen.findByText('Contact 100 is new.');
    expect(screen.queryByRole('button', { name: 'Older ones' })).toBeNull();
  });

  it('is empty in words of its own, or says why it cannot be read', async () => {
    await show([]);
    await screen.findByText(/Nothing has come in yet/);
    cleanup();
    server.on(first, { detail: 'The log is being restored.' }, 503);
    render(Journal);
    expect((await screen.findByRole('alert')).textContent).toBe('The log is being restored.');
  });

  it('an answer to an earlier question does not throw away that to a later one', async () => {
    const journal = new JournalStore();
    let late: (answer: Response) => void = () => undefined;
    vi.stubGlobal('fetch', (request: Request) =>
      request.url.includes('call=OZ1')
        ? Promise.resolve(Response.json([record(7)]))
        : new Promise<Response>((answer) => (late = answer)),
    );
    const before = journal.load();
    journal.call = 'OZ1';
    await journal.load();
    late(Response.json([record(1), record(2)]));
    await before;
    expect(journal.lines.map((one) => one.id)).toEqual([7]);
  });
});

describe('why something is not in the log', () => {
  it('is answered with what can be done about it', async () => {
    const onrecord = vi.fn();
    render(WhyNot, { onrecord });
    await fireEvent.input(screen.getByLabelText('Call'), { target: { value: 'ZP5QXA' } });
    server.on('GET /api/journal/why?call=ZP5QXA', [
      { found: 'DELETED', sentence: 'It was deleted on 2026-05-02.', changeId: 8 },
      { found: 'NOT_TAKEN', sentence: 'A record was refused.', journalId: 3 },
    ]);
    await press('Find out');
    await screen.findByText(/It was deleted/);
    await press('Its records');
    expect(onrecord).toHaveBeenCalledWith('ZP5QXA');
    server
      .on('POST /api/changes/8/undo', { id: 9, kind: 'UNDONE', state: 'DONE' })
      .on('GET /api/journal/why?call=ZP5QXA', [
        { found: 'IN_THE_LOG', sentence: 'It is there.', contactId: 5 },
      ]);
    await press('Bring it back');
    await screen.findByText(/It is there/);
  });

  it('says at its field what it does not understand', async () => {
    render(WhyNot, { onrecord: vi.fn() });
    await fireEvent.input(screen.getByLabelText('Call'), { target: { value: '??' } });
    const sentence = '"??" cannot be a call.';
    server.on(
      'GET /api/journal/why?call=%3F%3F',
      { detail: sentence, fields: [{ field: 'call', sentence }] },
      422,
    );
    await press('Find out');
    await screen.findByText(sentence);
  });
});

describe('the records of a contact', () => {
  const beside = (id: number, more: Partial<RecordBeside> = {}): RecordBeside => ({
    line: record(id),
    path: `from Wavelet, ${id}`,
    fields: [
      { name: 'CALL', arrived: 'ZP5QXA', logged: 'ZP5QXA', same: true },
      { name: 'NAME', arrived: 'Ana', logged: 'Anna', same: false },
    ],
    ...more,
  });
  const records = 'GET /api/contacts/5/records';

  function show(all: RecordBeside[]) {
    server.on(records, all);
    const onchanged = vi.fn();
    const { rerender } = render(Records, { id: 5, version: 1, call: 'ZP5QXA', onchanged });
    return { onchanged, rerender };
  }

  it('stand beside what the log says', async () => {
    show([beside(1), beside(2, { fields: [] })]);
    await screen.findByText('log: Anna');
    expect(screen.getByText('<CALL:6>ZP5QXA<EOR>')).toBeDefined();
  });

  it('are said to be gone only once that is known', async () => {
    show([]);
    expect(screen.getByText('Reading its records…')).toBeDefined();
    await screen.findByText(/No record of it is left/);
  });

  it('are taken apart', async () => {
    const { onchanged } = show([beside(1), beside(2)]);
    const split = await screen.findByRole('button', { name: /a contact of their own/ });
    expect(split).toHaveProperty('disabled', true);
    await fireEvent.click(screen.getByLabelText('Came from Wavelet, 2'));
    server.on('POST /api/contacts/5/split', { sentence: 'One record is a contact of its own now.' });
    await fireEvent.click(split);
    await screen.findByText('One record is a contact of its own now.');
    expect(server.sent['POST /api/contacts/5/split']).toEqual({ journalIds: [2] });
    await vi.waitFor(() => expect(onchanged).toHaveBeenCalled());
  });

  it('stay chosen when another one comes meanwhile', async () => {
    const { rerender } = show([beside(1), beside(2)]);
    await fireEvent.click(await screen.findByLabelText('Came from Wavelet, 2'));
    server.on(records, [beside(1), beside(2), beside(3)]);
    await rerender({ version: 2 });
    await screen.findByLabelText('Came from Wavelet, 3');
    expect(screen.getByLabelText('Came from Wavelet, 2')).toHaveProperty('checked', true);
    expect(screen.getByRole('button', { name: /a contact of their own/ })).toHaveProperty('disabled', false);
  });

  it('of two contacts are joined', async () => {
    show([beside(1)]);
    await screen.findByText('Came from Wavelet, 1');
    server.on('GET /api/contacts?call=ZP5QXA&limit=20', { lines: [line(), line({ id: 6, band: '40m' })] });
    await press('Join with another contact');
    const other = await screen.findByRole('button', { name: 'Join' });
    server.on('POST /api/contacts/5/join', { detail: 'They are on different bands.' }, 422);
    await fireEvent.click(other);
    await screen.findByText('They are on different bands.');
    expect(server.sent['POST /api/contacts/5/join']).toEqual({ contactId: 6 });
  });
});

describe('the sources', () => {
  const source = (more: Partial<IntakeSource> = {}): IntakeSource => ({
    id: 10,
    name: 'Wavelet log',
    kind: 'FILE',
    path: '/home/operator/very/long/way/to/the/program/wavelet/log.adi',
    hookup: 'file-10',
    builtIn: false,
    held: 0,
    holdDeliveries: true,
    lookUp: false,
    ownCalls: ['CU9QYB'],
    operatorCall: 'CU9QYD',
    ...more,
  });

  it('tell where, how and what of them', () => {
    store(IntakeStore).sources = [source()];
    store(HookupStore).take(
      hookup({
        id: 'file-10',
        kind: 'PROGRAM',
        where: source().path,
        state: 'TROUBLE',
        brief: 'file away',
        reason: 'The file is not there.',
        fix: 'Is the program set to another one?',
      }),
    );
    render(SourcesPage);
    expect(screen.getByText('…/wavelet/log.adi')).toBeDefined();
    expect(screen.getByText('only CU9QYB · by CU9QYD · not looked up · held')).toBeDefined();
    expect(screen.getByText('The file is not there.')).toBeDefined();
    expect(screen.getByText('none since the start')).toBeDefined();
  });

  it('let contacts go that waited for a look', async () => {
    store(IntakeStore).sources = [source({ held: 1204 })];
    render(SourcesPage);
    server
      .on('POST /api/intake-sources/10/let-go', { contacts: 1204 })
      .on('GET /api/intake-sources', [source()]);
    await press(/Let 1.204 go/);
    await screen.findByText('1 204 contacts of Wavelet log may go to the services now.');
    expect(screen.queryByRole('button', { name: /^Let/ })).toBeNull();
  });
});
