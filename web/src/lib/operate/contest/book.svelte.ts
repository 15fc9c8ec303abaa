import {
  api,
  got,
  Problem,
  type ContestContact,
  type ContestLineRequest,
  type ContestLineView,
  type ContestScore,
} from '../../platform/api/client';
import { LatestQuestion } from '../../platform/shared/latest-question';
import { tabMemory, type Memory } from '../../platform/shared/memory';
import { UnsentLines } from '../../platform/shared/unsent-lines.svelte';

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

  #id: number | undefined;
  /** The text that the view is about. */
  #viewed = $state('');
  #memory: Memory;
  #position: () => number | undefined;
  #question = new LatestQuestion();

  /** @param position where this browser is */
  constructor(position: () => number | undefined, memory: Memory = tabMemory) {
    this.#position = position;
    this.#memory = memory;
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
  }

  /** Reads the open book again; what the line is worth may be different then, too. */
  async load(): Promise<void> {
    const id = this.#id;
    if (id === undefined) return;
    const params = { path: { id } };
    try {
      const [score, contacts] = await Promise.all([
        got(api.GET('/api/contest-books/{id}/score', { params })),
        got(api.GET('/api/contest-books/{id}/contacts', { params })),
      ]);
      if (id === this.#id) {
        this.score = score;
        this.contacts = contacts;
      }
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
    this.read();
  }

  type(text: string): void {
    this.text = text;
    this.problem = '';
    this.#memory.setItem(TEXT_KEY, text);
    this.read();
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

  /** Whether Enter tunes the radio: only when the server has said so of just this text. */
  get tunes(): boolean {
    return this.#viewed === this.text && !!this.view?.tunes && this.view.fromRadio;
  }

  /** Sends the line off; it is free for the next at once. */
  enter(): Promise<void> {
    const text = this.text.trim();
    if (text === '' || this.#id === undefined) return Promise.resolve();
    if (this.tunes) return this.#tuneRadio(text);
    const body = { ...this.#request(text), key: crypto.randomUUID() };
    const sent = this.lines.add({ bookId: this.#id, at: Date.now(), body });
    this.type('');
    return sent;
  }

  async #tuneRadio(text: string): Promise<void> {
    this.type('');
    const body = { text, positionId: this.#position(), typedForMs: 0, sticking: {} };
    try {
      await got(api.POST('/api/line/tune', { body }));
    } catch (e) {
      this.#takeBack(text, e instanceof Problem ? e.message : String(e));
    }
  }

  async #send({ bookId, at, body: typed }: Unsent): Promise<void> {
    const params = { path: { id: bookId } };
    const body = { ...typed, agoMs: Math.max(0, Date.now() - at) };
    const logged = await got(api.POST('/api/contest-books/{id}/line/log', { params, body }));
    this.notice = logged.sentence;
  }

  #takeBack(text: string, sentence: string): boolean {
    if (this.text !== '') return false;
    this.type(text);
    this.problem = sentence;
    return true;
  }

  #request(text: string): ContestLineRequest {
    return { text, positionId: this.#position(), frequency: this.frequency, mode: this.mode, agoMs: 0 };
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
