import {
  api,
  got,
  Problem,
  type PassOption,
  type PositionAtWork,
  type TeamMember,
  type TeamMessage,
  type TeamView,
} from '../../../platform/api/client';
import { Doing } from '../../../platform/shared/doing.svelte';
import { kiloHertz } from '../../../platform/shared/format';
import { LatestAnswer } from '../../../platform/shared/latest-answer.svelte';
import { LatestQuestion } from '../../../platform/shared/latest-question';
import type { Place } from '../receiving/heard-calls.svelte';
import { sends, type Way } from '../sending/line-steps.svelte';
import { texts } from './texts';

const BEAT_MS = 60_000;
/** A message, or a station that is passed on, stands beside the line for so long. */
const NEWS_MS = 10 * 60_000;

/** What is needed of the contest line. */
interface Line {
  /** Of the open book. */
  readonly id: number | undefined;
  /** Where contacts are made. */
  readonly place: Place;
  /** Where the radio is; undefined without one. */
  readonly radioHz: number | undefined;
  readonly steps: { readonly way: Way };
  /** The call that was typed. */
  readonly view: { call?: string } | undefined;
  wipe(): void;
  type(text: string): void;
}

const isNew = ({ at }: TeamMessage, now: number) => now - Date.parse(at) < NEWS_MS;

/** The positions that work the open book together. */
export class TeamStore {
  readonly doing = new Doing();
  /** The station that is being passed on, and where it could go. */
  passing = $state.raw<{ call: string; options: PassOption[] } | undefined>(undefined);

  #answer = new LatestAnswer<TeamView>();
  /** A question of its own: reading must not take the place of telling. */
  #telling = new LatestQuestion();
  #line: Line;
  /**
   * What the others have to be told of this position. It is text, so that it is another one only when something of it is: not
   * while the radio is tuned, for where that is everybody knows, and not while something is typed on the line.
   */
  #told = $derived.by(() => {
    const { place, steps, radioHz } = this.#line;
    const { positionId } = place;
    const typed = radioHz === undefined ? place : {};
    return JSON.stringify({ ...typed, positionId, ...(sends(steps.way) ? { way: steps.way } : {}) });
  });

  constructor(line: Line) {
    this.#line = line;
  }

  get view(): TeamView | undefined {
    return this.#answer.value;
  }

  get problem(): string {
    return this.doing.problem || this.#answer.problem;
  }

  /** This browser's own position. */
  get here(): TeamMember | undefined {
    return this.view?.members.find((one) => one.positionId === this.#line.place.positionId);
  }

  get others(): TeamMember[] {
    return this.view?.members.filter((one) => one.positionId !== this.#line.place.positionId) ?? [];
  }

  /**
   * The station that was passed here first and that nobody has taken; one that did not come for long does not come any more.
   *
   * @param now ms since 1970
   */
  coming(now: number): TeamMessage | undefined {
    return this.view?.messages.findLast(
      (one) => one.call !== undefined && !one.taken && this.#isForUs(one) && isNew(one, now),
    );
  }

  /**
   * What was said last to this position, or to all; undefined when that is long ago.
   *
   * @param now ms since 1970
   */
  news(now: number): TeamMessage | undefined {
    return this.view?.messages.find((one) => one.call === undefined && this.#isForUs(one) && isNew(one, now));
  }

  #isForUs({ from, toPositionId }: TeamMessage): boolean {
    if (toPositionId !== undefined) return toPositionId === this.#line.place.positionId;
    return from !== this.here?.name;
  }

  /** While the book is open, the others are told so; the end of it is returned. */
  watch(): () => void {
    this.#answer.value = undefined;
    this.tell();
    const beat = setInterval(() => this.tell(), BEAT_MS);
    return () => clearInterval(beat);
  }

  /** Says where this browser is, and reads where the others are. */
  tell(): void {
    const body = JSON.parse(this.#told) as PositionAtWork;
    const { id } = this.#line;
    if (id === undefined || body.positionId === undefined) return;
    const params = { path: { bookId: id } };
    // What keeps it from being told keeps it from being read, too, and is said then.
    this.#telling.ask(
      () =>
        got(api.POST('/api/contest-books/{bookId}/team/at-work', { params, body })).catch(() => undefined),
      () => this.load(),
    );
  }

  /**
   * Reads again, and says nothing: two browsers at one position that say different things would answer each other for ever.
   */
  load(): void {
    const { id } = this.#line;
    if (id === undefined) return;
    this.#answer.read(() =>
      got(api.GET('/api/contest-books/{bookId}/team', { params: { path: { bookId: id } } })),
    );
  }

  /** @return whether it was sent */
  async say(text: string): Promise<boolean> {
    await this.#change((bookId, positionId) =>
      got(
        api.POST('/api/contest-books/{bookId}/team/messages', {
          params: { path: { bookId } },
          body: { positionId, text },
        }),
      ),
    );
    return this.doing.problem === '';
  }

  takeBand(band: string, take: boolean): Promise<void> {
    return this.#change((bookId, positionId) =>
      got(
        api.PUT('/api/contest-books/{bookId}/team/bands/{band}', {
          params: { path: { bookId, band } },
          body: { positionId, take },
        }),
      ),
    );
  }

  /** Asks where the station on the line could go. */
  async askWhere(): Promise<void> {
    const { id, place, view } = this.#line;
    const { positionId } = place;
    const call = view?.call;
    await this.doing.during('', async () => {
      if (id === undefined || positionId === undefined) return;
      if (!call) throw new Problem(texts.typeTheCallFirst);
      const params = { path: { bookId: id } };
      const body = { positionId, call };
      const options = await got(api.POST('/api/contest-books/{bookId}/team/pass-options', { params, body }));
      if (options.length === 0) throw new Problem(texts.nobodyToPassTo);
      this.passing = { call, options };
    });
  }

  /** The station on the line goes there; the line is free for the next. */
  async passTo(option: PassOption): Promise<void> {
    const call = this.passing?.call;
    this.passing = undefined;
    if (!call) return;
    await this.#change((bookId, positionId) =>
      got(
        api.POST('/api/contest-books/{bookId}/team/stations', {
          params: { path: { bookId } },
          body: { positionId, toPositionId: option.positionId, call },
        }),
      ),
    );
    if (this.doing.problem === '') {
      this.#line.wipe();
      this.doing.notice = texts.askToGo(call, kiloHertz(option.frequencyHz), option.name);
    }
  }

  /** Puts a station that was passed here on the line; what stood there can be recalled. */
  async takeStation(message: TeamMessage): Promise<void> {
    this.#line.wipe();
    this.#line.type(`${message.call?.toLowerCase() ?? ''} `);
    await this.#change((bookId) =>
      got(
        api.POST('/api/contest-books/{bookId}/team/stations/{id}/take', {
          params: { path: { bookId, id: message.id } },
        }),
      ),
    );
  }

  #change(ask: (bookId: number, positionId: number) => Promise<TeamView>): Promise<void> {
    const { id, place } = this.#line;
    const { positionId } = place;
    return this.doing.during('', async () => {
      if (id === undefined || positionId === undefined) return;
      this.#answer.value = await ask(id, positionId);
    });
  }
}
