import { api, got, Problem, type ContestContact, type ContestScore } from '../../platform/api/client';
import type { ContestLineRequest, ContestLineView, NextText } from '../../platform/api/client';
import type { Radio, SentText } from '../../platform/api/client';
import { LatestQuestion } from '../../platform/shared/latest-question';
import { tabMemory, type Memory } from '../../platform/shared/memory';
import { UnsentLines } from '../../platform/shared/unsent-lines.svelte';
import type { Place } from './receiving/heard-calls.svelte';
import { Calling } from './calling/calling.svelte';
import { asTyped, Correction } from './correcting/correction.svelte';
import { Keyer } from './sending/keyer.svelte';
import { LineSteps, sends, type Slot, type Way } from './sending/line-steps.svelte';
import { PaperTimes } from './sending/paper.svelte';
import { texts } from './texts';
import { isFrequency, typedBehind, withCall } from './typed';
import { LatestLists, withContact } from './latest';

const TEXT_KEY = 'yokebar-contest-line';
const UNSENT_KEY = 'yokebar-contest-unsent';
const CHANNEL_KEY = 'yokebar-contest-channel';

/** A line that was sent off and is not answered yet. */
interface Unsent {
  bookId: number;
  /** When it was sent off, ms since 1970. */
  at: number;
  body: ContestLineRequest;
}

/** The contest book that is open: its score, its latest contacts, and the line in which contacts are typed. */
export class OpenBookStore {
  score = $state.raw<ContestScore | undefined>(undefined);
  contacts = $state.raw<ContestContact[]>([]);
  text = $state('');
  /** As people write it, such as 14025: where the radio was last, or what was typed where there is none. */
  frequency = $state('');
  mode = $state('');
  /** What the line means so far; undefined until the server has said so. */
  view = $state.raw<ContestLineView | undefined>(undefined);
  problem = $state('');
  /** What became of the last line. */
  notice = $state('');

  /** Lines that were typed and are on their way. */
  readonly lines: UnsentLines<Unsent>;
  /** How far the contact on the line has come, when texts are sent. */
  readonly steps: LineSteps;
  readonly keyer: Keyer;
  readonly paper: PaperTimes;
  readonly correction = new Correction();
  readonly calling: Calling;

  #id: number | undefined;
  /** The text that the view is about. */
  #viewed = $state('');
  #memory: Memory;
  #position: () => number | undefined;
  #question = new LatestQuestion();
  #lists = new LatestLists();
  /** What was wiped last. */
  #wiped = '';
  /** Texts are sent in the order of their keys. */
  #sending: Promise<void> = Promise.resolve();

  /**
   * @param position where this browser is
   * @param radio the one of that position
   */
  constructor(
    position: () => number | undefined,
    radio: () => Radio | undefined = () => undefined,
    memory: Memory = tabMemory,
  ) {
    this.#position = position;
    this.#memory = memory;
    this.steps = new LineSteps(memory);
    this.paper = new PaperTimes(memory);
    this.calling = new Calling(this, this.steps, memory);
    this.keyer = new Keyer(radio, memory, (problem) => (this.problem = problem));
    this.text = memory.getItem(TEXT_KEY) ?? '';
    [this.frequency = '', this.mode = ''] = (memory.getItem(CHANNEL_KEY) ?? '').split(' ');
    this.lines = new UnsentLines(memory, UNSENT_KEY, {
      send: (line) => this.#send(line),
      text: (line) => line.body.text ?? '',
      takeBack: (text, sentence) => this.#takeBack(text, sentence),
      report: (problem) => (this.problem = problem),
    });
  }

  /** Shows a book. */
  async open(id: number): Promise<void> {
    if (this.#id !== id) {
      this.#id = id;
      this.score = undefined;
      this.contacts = [];
      this.notice = '';
    }
    await this.load();
    void this.lines.send();
  }

  /** No book is shown any more. */
  close(): void {
    this.#id = undefined;
    if (this.correction.contact) this.leaveCorrection();
  }

  /** Reads the open book again; what the line is worth may be different then, too. */
  async load(): Promise<void> {
    const id = this.#id;
    if (id === undefined) return;
    const params = { path: { id } };
    const asked = this.#lists.ask();
    try {
      const [score, contacts] = await Promise.all([
        got(api.GET('/api/contest-books/{id}/score', { params })),
        got(api.GET('/api/contest-books/{id}/contacts', { params })),
      ]);
      const latest = id === this.#id ? this.#lists.take(asked, contacts) : undefined;
      if (latest) {
        this.score = score;
        this.contacts = latest;
      }
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
    this.read();
  }

  type(text: string): void {
    this.text = text;
    this.problem = '';
    if (text.trim() === '') this.steps.forget();
    // After a reload, the line of a correction would be a contact of its own.
    if (!this.correction.contact) this.#memory.setItem(TEXT_KEY, text);
    this.read();
  }

  /** Empties the line; {@link recall} brings back what stood there. */
  wipe(): void {
    if (this.text !== '') this.#wiped = this.text;
    this.type('');
  }

  /** Brings back what was wiped last, to an empty line. */
  recall(): void {
    if (this.text === '' && this.#wiped !== '') this.type(this.#wiped);
  }

  /** Takes the latest contact into the line to correct it; again, the one before. */
  correctOlder(): void {
    const contact = this.correction.older(this.contacts, this.text);
    if (contact) this.type(asTyped(contact));
  }

  /** Leaves the contact as it is; what was typed before stands on the line again. */
  leaveCorrection(): void {
    this.type(this.correction.leave());
  }

  async #saveCorrection(bookId: number): Promise<void> {
    const text = this.text.trim();
    const { contact } = this.correction;
    let contacts: ContestContact[];
    try {
      contacts = await this.correction.save(bookId, text);
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
      return;
    }
    // Meanwhile Enter may have been pressed again, or another contact taken in.
    if (contact !== this.correction.contact) return;
    this.contacts = contacts;
    const before = this.correction.leave();
    this.type(this.text.trim() === text ? before : typedBehind(this.text, text));
    this.notice = texts.itIsCorrected;
    await this.load();
  }

  /** Contacts from paper were made on this day. */
  setPaperDay(day: string): void {
    if (this.paper.setDay(day)) this.read();
    else this.problem = texts.notADay(day);
  }

  /** Says where contacts are made, where there is no radio. */
  tune(frequency: string, mode: string): void {
    this.#keepChannel(frequency, mode);
    this.read();
  }

  #keepChannel(frequency: string, mode: string): void {
    this.frequency = frequency;
    this.mode = mode;
    this.#memory.setItem(CHANNEL_KEY, `${frequency} ${mode}`);
  }

  /** Whether Enter tunes the radio: as the server said of just this text, or before it did, to a mere number. */
  get tunes(): boolean {
    if (!this.view?.fromRadio) return false;
    return this.#viewed === this.text ? this.view.tunes : this.isFrequency;
  }

  /** Whether a mere frequency is typed; on paper, such a number is the time of a contact. */
  get isFrequency(): boolean {
    return this.steps.way !== 'PAPER' && isFrequency(this.text);
  }

  /** What Enter puts into the line rather than log it: all that is missing, when it can be guessed; empty otherwise. */
  get guess(): string {
    const view = this.#viewed === this.text ? this.view : undefined;
    const words = view?.missing.map((name) => view.guessed[name]) ?? [];
    return words.every((word) => word !== undefined) ? words.join(' ') : '';
  }

  /** Whether Enter puts the guess into the line: when texts are sent, in place of asking again. */
  get takesGuess(): boolean {
    return this.guess !== '' && (!this.view?.next || this.view.next.slot === 'AGAIN');
  }

  /** Puts a call into the line in place of what was typed of it. */
  takeCall(call: string): void {
    this.type(withCall(this.text, this.view?.call, call));
  }

  /** Takes a word that was received: a call in place of the call, anything else behind what was typed. */
  takeWord(word: string, isCall: boolean): void {
    const aNumberFirst = !this.view?.call && /^\d+(\s|$)/.test(this.text.trim());
    if (isCall && aNumberFirst) this.type(`${word.toLowerCase()} ${this.text.trim()} `);
    else if (isCall) this.takeCall(word);
    else this.type(`${this.text.trim()} ${word.toLowerCase()} `.trimStart());
  }

  get id(): number | undefined {
    return this.#id;
  }

  get radioHz(): number | undefined {
    return this.view?.fromRadio ? this.view.frequencyHz : undefined;
  }

  /** Where contacts are made. */
  get place(): Place {
    return { positionId: this.#position(), frequency: this.frequency, mode: this.mode };
  }

  /** Does what comes next: tunes, takes a guess, sends a text, or logs the contact. */
  enter(): Promise<void> {
    const text = this.text.trim();
    if (this.correction.contact && this.#id !== undefined) return this.#saveCorrection(this.#id);
    if (this.tunes || this.isFrequency) return this.tuneTo(text);
    if (this.takesGuess) {
      this.type(`${text} ${this.guess.toLowerCase()}`);
      return Promise.resolve();
    }
    if (!sends(this.steps.way) || !this.view?.next) return this.log();
    return this.#sendText((id) => {
      const body = this.#request(text);
      return got(api.POST('/api/contest-books/{id}/line/next', { params: { path: { id } }, body }));
    }, text);
  }

  /** Sends the line off to the log; it is free for the next at once. */
  log(): Promise<void> {
    const text = this.text.trim();
    if (text === '' || this.#id === undefined) return Promise.resolve();
    if (this.correction.contact) return this.#saveCorrection(this.#id);
    return this.isFrequency ? this.tuneTo(text) : this.#logLine(this.#id, text);
  }

  #logLine(bookId: number, text: string): Promise<void> {
    const sent = this.lines.add({ bookId, at: Date.now(), body: this.#request(text) });
    this.steps.done();
    this.type(typedBehind(this.text, text));
    return sent;
  }

  /**
   * How somebody works from now on.
   *
   * @param begins when the contest begins, ISO, UTC
   */
  work(way: Way, begins: string): void {
    this.steps.choose(way);
    if (way === 'PAPER') this.paper.begin(this.contacts[0]?.start, begins);
    this.read();
  }

  /** Sends the text of a key. */
  sendKey(slot: Slot): Promise<void> {
    if (this.correction.contact) {
      this.problem = texts.endTheCorrectionFirst;
      return Promise.resolve();
    }
    const text = this.text.trim();
    return this.#sendText((id) => {
      const params = { path: { id, slot } };
      const body = this.#request(text);
      return got(api.POST('/api/contest-books/{id}/line/texts/{slot}', { params, body }));
    }, text);
  }

  #sendText(send: (bookId: number) => Promise<SentText>, text: string): Promise<void> {
    const id = this.#id;
    if (id === undefined) return Promise.resolve();
    const { key } = this.steps;
    this.#sending = this.#sending.then(async () => {
      // A key that was pressed twice, and the contact is on its way into the log: nothing more is sent to that station.
      if (key !== this.steps.key) return;
      let done: SentText;
      await this.keyer.prepare();
      try {
        done = await send(id);
      } catch (e) {
        this.problem = e instanceof Problem ? e.message : String(e);
        return;
      }
      this.problem = '';
      this.calling.sent(this.view?.mode);
      if (text !== '' && this.text.trim() !== '') this.steps.add(done.slot);
      if (done.logs) {
        void this.#logLine(id, text);
        this.problem = done.problem;
      } else {
        this.read();
      }
    });
    return this.#sending;
  }

  /** What Enter does in the contact, while that is known of just this text; undefined when no texts are sent. */
  get next(): NextText | undefined {
    return this.#viewed === this.text ? this.view?.next : undefined;
  }

  /** Tunes the radio; without one, that is where contacts are made. */
  async tuneTo(text: string): Promise<void> {
    this.type('');
    if (isFrequency(text) && this.view?.fromRadio === false)
      return this.tune(text.replace(',', '.'), this.mode);
    const body = { text, positionId: this.#position(), typedForMs: 0, sticking: {} };
    try {
      await got(api.POST('/api/line/tune', { body }));
    } catch (e) {
      // Not back into the line: a frequency would run together with the call that is typed next.
      this.lines.setAside(text, e instanceof Problem ? e.message : String(e));
    }
  }

  async #send({ bookId, at, body: typed }: Unsent): Promise<void> {
    const params = { path: { id: bookId } };
    const body = { ...typed, agoMs: Math.max(0, Date.now() - at) };
    // Lines from paper may wait behind each other: each follows the one that was logged before it.
    if (typed.before !== undefined) body.before = this.paper.before;
    const logged = await got(api.POST('/api/contest-books/{id}/line/log', { params, body }));
    if (typed.before !== undefined) this.paper.after(logged.at);
    this.correction.logged(logged.contactId);
    this.notice = logged.sentence;
    if (logged.contact && bookId === this.#id) {
      this.#lists.logged(logged.contact);
      this.contacts = withContact(this.contacts, logged.contact);
    }
  }

  #takeBack(text: string, sentence: string): boolean {
    if (this.text !== '') return false;
    this.type(text);
    this.problem = sentence;
    return true;
  }

  #request(text: string): ContestLineRequest {
    return {
      text,
      positionId: this.#position(),
      frequency: this.frequency,
      mode: this.mode,
      agoMs: 0,
      ...this.steps.asked,
      ...(this.steps.way === 'PAPER' && this.paper.before ? { before: this.paper.before } : {}),
    };
  }

  /** Asks what the line means; on an empty line, what is to be sent next and where. */
  read(): void {
    const id = this.#id;
    if (id === undefined) return;
    const body = this.#request(this.text);
    this.#question.ask(
      () => got(api.POST('/api/contest-books/{id}/line/read', { params: { path: { id } }, body })),
      (view) => {
        this.view = view;
        this.#viewed = body.text ?? '';
        // When the radio goes away, contacts are still made where it was.
        if (view.fromRadio && view.frequencyHz !== undefined) {
          this.#keepChannel(String(view.frequencyHz / 1000), view.mode ?? '');
        }
      },
    );
  }
}
