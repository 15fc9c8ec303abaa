import {
  api,
  got,
  Problem,
  type CheckIn,
  type CheckInDraft,
  type NetEntryView,
  type NetSheet,
} from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';
import { LatestQuestion } from '../../platform/shared/latest-question';
import { tabMemory, type Memory } from '../../platform/shared/memory';
import { UnsentLines } from '../../platform/shared/unsent-lines.svelte';
import { texts } from './texts';

const TEXT_KEY = 'yokebar-net-line';
const UNSENT_KEY = 'yokebar-net-unsent';
const DIAL_RESTS_MS = 500;

export type SheetAction = 'NEXT_TURN' | 'GIVE_TURN' | 'SKIP_TURN' | 'MOVE_UP' | 'TOGGLE_WORKED';

/** A line that was sent off and is not answered yet; its key makes a second try harmless. */
interface Unsent {
  sessionId: number;
  body: { text: string; key: string; checkInId?: number };
}

interface NoticedSheet {
  sheet: NetSheet;
  notices: string[];
}

/**
 * The net sheet that is open: a session, and the line in which check-ins are typed. Lines are sent one after the other, again
 * and again until the server answers, and survive a reload of the page like the one that is being typed. What was answered is
 * stored.
 */
export class SheetStore {
  text = $state('');
  /** What the line means so far; undefined until the server has said so. */
  view = $state.raw<NetEntryView | undefined>(undefined);
  /** What the operator should know of the last entry. */
  notices = $state.raw<string[]>([]);
  problem = $state('');
  /** The check-in that keys and lines without a call are about; undefined for the one whose turn it is. */
  chosenId = $state<number | undefined>(undefined);
  /** The check-in that was typed here last. */
  addedId = $state<number | undefined>(undefined);
  /** Somebody wants the cursor in the line; whoever gives it takes this back. */
  focusAsked = $state(false);
  /** The check-in that is being edited in place. */
  editedId = $state<number | undefined>(undefined);

  /** Lines that were typed and are on their way. */
  readonly lines: UnsentLines<Unsent>;

  #streamed = new StreamedValue<NetSheet | undefined>(undefined);
  #id: number | undefined;
  #memory: Memory;
  #question = new LatestQuestion();
  #dialRests: ReturnType<typeof setTimeout> | undefined;

  constructor(memory: Memory = tabMemory) {
    this.#memory = memory;
    this.text = memory.getItem(TEXT_KEY) ?? '';
    this.lines = new UnsentLines(memory, UNSENT_KEY, {
      send: (line) => this.#sendLine(line),
      text: (line) => line.body.text,
      takeBack: (text, sentence) => this.#takeBack(text, sentence),
      report: (problem) => (this.problem = problem),
    });
  }

  get sheet(): NetSheet | undefined {
    return this.#streamed.value;
  }

  /** Shows a session. */
  async open(id: number): Promise<void> {
    if (this.#id !== id) {
      this.#id = id;
      this.#streamed.take(undefined);
      this.notices = [];
      this.chosenId = undefined;
      this.editedId = undefined;
    }
    await this.load();
    this.#read();
    void this.lines.send();
  }

  async load(): Promise<void> {
    const id = this.#id;
    if (id === undefined) return;
    await this.#act(() =>
      this.#streamed.ask(() => got(api.GET('/api/net-sessions/{id}', { params: { path: { id } } }))),
    );
  }

  /** The radio moved: when it rests, the sheet is read again, for the session may follow it. */
  dialMoved(): void {
    clearTimeout(this.#dialRests);
    if (this.sheet !== undefined && this.sheet.endedAt === undefined) {
      this.#dialRests = setTimeout(() => void this.load(), DIAL_RESTS_MS);
    }
  }

  /** Reads a session that has ended again; one that runs is sent whenever it changes. */
  async loadEnded(): Promise<void> {
    if (this.sheet?.endedAt !== undefined) await this.load();
  }

  /** The sheets of the sessions that run, as the event stream sends them. */
  takeRunning(running: NetSheet[]): void {
    const mine = running.find((sheet) => sheet.id === this.#id);
    if (mine) {
      this.#streamed.take(mine);
    } else if (this.sheet && this.sheet.endedAt === undefined) {
      // It was closed elsewhere.
      void this.load();
    }
  }

  type(text: string): void {
    this.text = text;
    this.problem = '';
    this.#memory.setItem(TEXT_KEY, text);
    this.#read();
  }

  /** Adds a call to the line and brings the cursor back to it. */
  add(call: string): void {
    this.type(`${this.text}${call.toLowerCase()} `);
    this.focusAsked = true;
  }

  /** Puts a whole call in the place of the part that was typed. */
  take(part: string, call: string): void {
    const words = this.text.split(/(\s+)/);
    const at = words.findIndex((word) => word.toUpperCase() === part);
    if (at >= 0) words[at] = call.toLowerCase();
    const text = words.join('');
    this.type(text.endsWith(' ') ? text : `${text} `);
  }

  /** Sends the line off; it is free for the next at once. */
  enter(): Promise<void> {
    const text = this.text.trim();
    if (text === '' || this.#id === undefined) return Promise.resolve();
    const body = { text, key: crypto.randomUUID(), checkInId: this.chosenId };
    const sent = this.lines.add({ sessionId: this.#id, body });
    this.type('');
    return sent;
  }

  async #sendLine({ sessionId, body }: Unsent): Promise<void> {
    const path = { id: sessionId };
    await this.#streamed.ask(async () => {
      const answer = await got(api.POST('/api/net-sessions/{id}/entries', { params: { path }, body }));
      if (sessionId !== this.#id) return this.sheet;
      this.addedId = Math.max(0, ...answer.sheet.checkIns.map((one) => one.id));
      return this.#noted(answer);
    });
  }

  #takeBack(text: string, sentence: string): boolean {
    if (this.text !== '') return false;
    this.type(text);
    this.problem = sentence;
    return true;
  }

  actOn(action: SheetAction): Promise<void> {
    return this.#change((id) => {
      const body = { action, checkInId: action === 'NEXT_TURN' ? undefined : this.chosenId };
      return got(api.POST('/api/net-sessions/{id}/actions', { params: { path: { id } }, body }));
    });
  }

  identified(): Promise<void> {
    return this.#change((id) =>
      got(api.POST('/api/net-sessions/{id}/identified', { params: { path: { id } } })),
    );
  }

  async correct(checkInId: number, body: CheckInDraft): Promise<boolean> {
    await this.#change((id) =>
      got(
        api.PUT('/api/net-sessions/{id}/check-ins/{checkInId}', {
          params: { path: { id, checkInId } },
          body,
        }),
      ),
    );
    return this.problem === '';
  }

  /** Logs the chosen station, or the one whose turn it is, before the session is closed. */
  async logChosen(): Promise<void> {
    const id = this.#id;
    const checkInId = this.chosenId ?? this.sheet?.turnId;
    if (id === undefined) return;
    if (checkInId === undefined) {
      this.problem = texts.chooseTheStationToLog;
      return;
    }
    const path = { id, checkInId };
    await this.#changeNoted(() =>
      got(api.POST('/api/net-sessions/{id}/check-ins/{checkInId}/log', { params: { path } })),
    );
  }

  async remove(checkInId: number): Promise<void> {
    await this.#change((id) =>
      got(
        api.DELETE('/api/net-sessions/{id}/check-ins/{checkInId}', { params: { path: { id, checkInId } } }),
      ),
    );
    this.editedId = undefined;
    this.chosenId = undefined;
  }

  async close(): Promise<void> {
    const id = this.#id;
    if (id === undefined) return;
    await this.#changeNoted(() =>
      got(api.POST('/api/net-sessions/{id}/close', { params: { path: { id } } })),
    );
  }

  #changeNoted(change: () => Promise<NoticedSheet>): Promise<void> {
    return this.#act(() => this.#streamed.ask(async () => this.#noted(await change())));
  }

  #noted(answer: NoticedSheet): NetSheet {
    this.notices = answer.notices;
    return answer.sheet;
  }

  reopen(): Promise<void> {
    return this.#change((id) => got(api.POST('/api/net-sessions/{id}/reopen', { params: { path: { id } } })));
  }

  /** Moves the choice up or down the list. */
  choose(by: number): void {
    const ids = this.sheet?.checkIns.map((one: CheckIn) => one.id) ?? [];
    if (ids.length === 0) return;
    const at = ids.indexOf(this.chosenId ?? -1);
    const next = at < 0 ? (by > 0 ? 0 : ids.length - 1) : at + by;
    this.chosenId = ids[Math.max(0, Math.min(ids.length - 1, next))];
  }

  async #change(change: (id: number) => Promise<NetSheet>): Promise<void> {
    const id = this.#id;
    if (id !== undefined) {
      await this.#act(() => this.#streamed.ask(() => change(id)));
    }
  }

  async #act(action: () => Promise<unknown>): Promise<void> {
    try {
      await action();
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  #read(): void {
    const id = this.#id;
    const text = this.text;
    if (text.trim() === '' || id === undefined) {
      this.#question.drop();
      this.view = undefined;
      return;
    }
    this.#question.ask(
      () => got(api.POST('/api/net-sessions/{id}/read', { params: { path: { id } }, body: { text } })),
      (view) => (this.view = view),
    );
  }
}
