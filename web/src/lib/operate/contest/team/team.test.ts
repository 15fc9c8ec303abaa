// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/svelte';
import { beforeEach, expect, it, vi } from 'vitest';
import type { TeamMember, TeamMessage, TeamView } from '../../../platform/api/client';
import { FakeServer } from '../../../platform/shared/fake-server';
import { onPage, type TestPage } from '../../../platform/shared/on-page';
import { bookServer, bookStore, memory, READ, view } from '../test-book';
import { TeamStore } from './team.svelte';
import TeamPanel from './TeamPanel.svelte';
import TeamStrip from './TeamStrip.svelte';

const TEAM = '/api/contest-books/3/team';
const AT_WORK = `POST ${TEAM}/at-work`;
const TEAM_NOW = `GET ${TEAM}`;

const DESK: TeamMember = { positionId: 1, name: 'Desk', frequencyHz: 14_025_000, band: '20m', mode: 'CW' };
const TABLET: TeamMember = { positionId: 2, name: 'Tablet', frequencyHz: 7_010_000, band: '40m', mode: 'CW' };

const whole = (more: Partial<TeamView> = {}): TeamView => ({
  members: [DESK, TABLET],
  bands: [],
  messages: [],
  ...more,
});

const said = (more: Partial<TeamMessage>): TeamMessage => ({
  id: 1,
  at: new Date().toISOString(),
  from: 'Tablet',
  text: '',
  taken: false,
  ...more,
});

const longAgo = () => new Date(Date.now() - 11 * 60_000).toISOString();

/** The contest line of the desk. */
class FakeLine {
  id: number | undefined = 3;
  place: { positionId?: number; frequency: string; mode: string } = {
    positionId: 1,
    frequency: '14025',
    mode: 'CW',
  };
  radioHz: number | undefined = undefined;
  steps = { way: 'RUN' as const };
  view: { call?: string } | undefined = undefined;
  done: string[] = [];
  wipe = () => void this.done.push('wipe');
  type = (text: string) => void this.done.push(`type ${text}`);
}

let page: TestPage;
let server: FakeServer;
let line: FakeLine;
let team: TeamStore;
const back = vi.fn();

onPage((fresh) => (page = fresh));

beforeEach(() => {
  server = new FakeServer();
  answer(whole());
  line = new FakeLine();
  team = new TeamStore(line);
  page.page.stores.add(team);
  back.mockClear();
});

/** How things stand with the team. */
const answer = (view: TeamView) => server.on(AT_WORK, view).on(TEAM_NOW, view);

async function strip() {
  page.render(TeamStrip, { onback: back });
  await screen.findByText('Tablet CW');
}

const alt = (key: string) => fireEvent.keyDown(window, { key, altKey: true });

it('says where this position is, and shows where the others are', async () => {
  await strip();
  expect(server.sent[AT_WORK]).toEqual({
    positionId: 1,
    way: 'RUN',
    frequency: '14025',
    mode: 'CW',
  });
  expect(screen.getByText('7 010.0')).toBeTruthy();
  expect(screen.queryByText('Desk')).toBeNull();
});

it('says nothing new while the radio is tuned or something is typed on the line', async () => {
  const open = bookStore(memory());
  server = bookServer();
  answer(whole());
  const heldAt = (frequencyHz: number) => view({ fromRadio: true, frequencyHz, mode: 'CW' });
  server.on(READ, heldAt(14_025_000));
  await open.open(3);
  await waitFor(() => expect(open.radioHz).toBe(14_025_000));
  team = new TeamStore(open);
  page.page.stores.add(team);
  await strip();
  const asked = () => server.requests.filter((one) => one === AT_WORK).length;
  expect(asked()).toBe(1);
  expect(server.sent[AT_WORK]).toEqual({ positionId: 1 });
  for (const hz of [14_026_000, 14_027_000]) {
    server.on(READ, heldAt(hz));
    open.type(`w1q${hz}`);
    await waitFor(() => expect(open.radioHz).toBe(hz));
  }
  open.work('RUN', '2026-10-24T00:00:00Z');
  await waitFor(() => expect(server.sent[AT_WORK]).toEqual({ positionId: 1, way: 'RUN' }));
  expect(asked()).toBe(2);
});

it('reads again without a word when something is different', async () => {
  await strip();
  server.on(TEAM_NOW, whole({ members: [DESK, { ...TABLET, name: 'Tent' }] }));
  team.load();
  await screen.findByText('Tent CW');
  expect(server.requests).toEqual([AT_WORK, TEAM_NOW, TEAM_NOW]);
});

it('tells what it has to though it reads meanwhile', async () => {
  await strip();
  team.load();
  team.tell();
  team.load();
  team.load();
  await waitFor(() => expect(server.requests.filter((one) => one === AT_WORK)).toHaveLength(2));
});

it('shows nothing where nobody else works the book', async () => {
  answer(whole({ members: [DESK] }));
  page.render(TeamStrip, { onback: back });
  await waitFor(() => expect(team.view).toBeDefined());
  expect(screen.queryByRole('group')).toBeNull();
});

it('passes the station on the line to another position', async () => {
  await strip();
  await alt('p');
  await screen.findByText('Type the call of the station that is to be passed on.');
  line.view = { call: 'W1QAB' };
  const worth = { counts: true, dupe: false, reason: '', points: 3, multipliers: [], bonus: 0 };
  server.on(`POST ${TEAM}/pass-options`, [{ ...TABLET, worth }]).on(`POST ${TEAM}/stations`, whole());
  await alt('p');
  const to = await screen.findByText('Tablet 7 010.0 CW · 3 points');
  await waitFor(() => expect(document.activeElement).toBe(to));
  await fireEvent.click(to);
  await screen.findByText('Ask W1QAB to go to 7 010.0 kHz; Tablet is told.');
  expect(server.sent[`POST ${TEAM}/stations`]).toEqual({ positionId: 1, toPositionId: 2, call: 'W1QAB' });
  expect(line.done).toEqual(['wipe']);
  expect(back).toHaveBeenCalled();
});

it('keeps the line when the station cannot be passed on', async () => {
  await strip();
  line.view = { call: 'W1QAB' };
  server
    .on(`POST ${TEAM}/pass-options`, [TABLET])
    .on(`POST ${TEAM}/stations`, { title: 'no', detail: 'Nobody is at work there.' }, 422);
  await alt('p');
  await fireEvent.click(await screen.findByText('Tablet 7 010.0 CW'));
  await screen.findByText('Nobody is at work there.');
  expect(line.done).toEqual([]);
});

it('takes the station that was passed here first, by key', async () => {
  const messages = [
    said({ id: 9, call: 'K1QAA', frequencyHz: 14_025_000, toPositionId: 1, to: 'Desk' }),
    said({ id: 8, call: 'W1QAB', frequencyHz: 14_025_000, toPositionId: 1, to: 'Desk' }),
    said({ id: 7, call: 'VE3QAA', frequencyHz: 14_025_000, toPositionId: 1, to: 'Desk', taken: true }),
    said({ id: 6, call: 'N1QAC', frequencyHz: 7_010_000, toPositionId: 2, to: 'Tablet' }),
    said({ id: 5, call: 'W9QAD', at: longAgo(), frequencyHz: 14_025_000, toPositionId: 1, to: 'Desk' }),
  ];
  answer(whole({ messages })).on(`POST ${TEAM}/stations/8/take`, whole());
  await strip();
  expect(screen.getByText(/Take W1QAB from Tablet/)).toBeTruthy();
  await alt('t');
  await waitFor(() => expect(server.requests).toContain(`POST ${TEAM}/stations/8/take`));
  expect(line.done).toEqual(['wipe', 'type w1qab ']);
});

it('shows what was said lately to all or to here, and not what this position said', async () => {
  const messages = [
    said({ id: 5, from: 'Desk', text: 'Back in five' }),
    said({ id: 4, text: 'For the tent', toPositionId: 3, to: 'Tent' }),
    said({ id: 3, text: 'Soup?' }),
    said({ id: 2, text: 'Old', at: longAgo() }),
  ];
  answer(whole({ messages }));
  await strip();
  expect(screen.getByText(/Tablet: Soup\?/)).toBeTruthy();
  expect(team.news(Date.now() + 11 * 60_000)).toBeUndefined();
});

it('sends a message with Enter, and leaves it with Esc', async () => {
  server.on(`POST ${TEAM}/messages`, whole());
  await strip();
  await alt('m');
  const field = await screen.findByLabelText('To all positions');
  await fireEvent.input(field, { target: { value: 'Rain on the lower beam' } });
  await fireEvent.keyDown(field, { key: 'Enter' });
  await waitFor(() =>
    expect(server.sent[`POST ${TEAM}/messages`]).toEqual({ positionId: 1, text: 'Rain on the lower beam' }),
  );
  await waitFor(() => expect(screen.queryByLabelText('To all positions')).toBeNull());
  await alt('m');
  await fireEvent.keyDown(await screen.findByLabelText('To all positions'), { key: 'Escape' });
  expect(screen.queryByLabelText('To all positions')).toBeNull();
});

it('takes the own band and gives it back', async () => {
  server.on(
    `PUT ${TEAM}/bands/20m`,
    whole({ bands: [{ band: '20m', positionId: 1, name: 'Desk', atWork: true }] }),
  );
  team.tell();
  page.render(TeamPanel);
  await fireEvent.click(await screen.findByText('Take 20m'));
  await fireEvent.click(await screen.findByText('Give 20m back'));
  await waitFor(() => expect(server.sent[`PUT ${TEAM}/bands/20m`]).toEqual({ positionId: 1, take: false }));
});

it.each([true, false])('takes a band of a position that has left, and of no other: %s', async (atWork) => {
  answer(whole({ bands: [{ band: '20m', positionId: 7, name: 'Tent', atWork }] }));
  team.tell();
  page.render(TeamPanel);
  await screen.findByText('Desk');
  expect(screen.queryAllByText('Take 20m')).toHaveLength(atWork ? 0 : 1);
});

it('says what a team needs where only this position has the book open', async () => {
  answer(whole({ members: [DESK] }));
  team.tell();
  page.render(TeamPanel);
  await screen.findByText(/Only this position has the book open/);
});

it('says why the team cannot be read', async () => {
  server = new FakeServer().on(TEAM_NOW, { title: 'no', detail: 'There is no contest book 3.' }, 404);
  team.tell();
  page.render(TeamPanel);
  await screen.findByText('There is no contest book 3.');
});
