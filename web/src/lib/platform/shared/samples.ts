import type { Guess, Handover, Hookup, Lane, LogLine, PaperCard, Spot, Unmatched } from '../api/client';
import { texts } from './texts';

/** Things as the server sends them, for tests: plain ones, with what a test is about put in. */

export const hookup = (more: Partial<Hookup> = {}): Hookup => ({
  id: 'countersign',
  kind: 'SERVICE',
  name: 'Countersign',
  where: '',
  complete: true,
  state: 'LIVE',
  since: '2026-05-01T12:00:00Z',
  attempt: 0,
  lastMinute: 0,
  ...more,
});

export const lane = (counts: Record<string, number>, more: Partial<Lane> = {}): Lane => ({
  id: 1,
  name: 'Countersign',
  kind: texts.countersign,
  inUse: true,
  removable: false,
  byHand: false,
  signed: true,
  access: { account: texts.accountName, secret: texts.accountPassword, hint: '' },
  hasPassword: true,
  complete: true,
  when: 'BY_HAND',
  everyMinutes: 30,
  paused: false,
  proven: false,
  relayedOnRequest: false,
  relayed: false,
  ownCalls: '',
  confirms: true,
  withdrawals: 0,
  unmatched: 0,
  requests: [],
  fetchEverySeconds: 900,
  hookup: hookup(),
  counts,
  due: 0,
  waiting: 0,
  identities: [],
  handovers: [],
  ...more,
});

export const line = (more: Partial<LogLine> = {}): LogLine => ({
  id: 5,
  version: 1,
  call: 'ZP5QXA',
  start: '2026-05-01T14:07:00Z',
  band: '20m',
  mode: 'CW',
  ownCall: 'CU9QYB',
  more: {},
  seals: [],
  ...more,
});

export const handover = (more: Partial<Handover> = {}): Handover => ({
  id: 9,
  state: 'PREPARED',
  via: 'NETWORK',
  contacts: 3,
  preparedAt: '2026-05-01T14:10:00Z',
  attempts: 0,
  ...more,
});

export const guess = (more: Partial<Guess> = {}): Guess => ({
  contact: line(),
  confirmed: false,
  differences: ['HOURS'],
  correction: { TIME_ON: '160700' },
  ...more,
});

export const unmatched = (more: Partial<Unmatched> = {}): Unmatched => ({
  id: 70,
  ownCall: 'CU9QYB',
  call: 'ZP5QXA',
  band: '20m',
  mode: 'CW',
  start: '2026-05-01T16:07:00Z',
  receivedAt: '2026-05-03T00:00:00Z',
  guesses: [guess()],
  ...more,
});

export const card = (id: number, call: string, more: Partial<PaperCard> = {}): PaperCard => ({
  contact: line({ id, call }),
  via: 'BUREAU',
  ...more,
});

export const spot = (more: Partial<Spot> = {}): Spot => ({
  id: 1,
  call: 'ZP5QXA',
  frequencyHz: 14_025_000,
  band: '20m',
  mode: 'CW',
  group: 'CW',
  entity: texts.paraguay,
  cqZone: 11,
  comment: '',
  ears: ['PERSON'],
  hearers: 1,
  firstAt: '2026-05-01T14:00:00Z',
  lastAt: '2026-05-01T14:07:00Z',
  callingCq: false,
  answers: false,
  insideLicence: true,
  likelihood: 0.5,
  score: 10,
  wants: [],
  watched: false,
  why: 'nothing new',
  worked: 0,
  workedHere: false,
  ...more,
});
