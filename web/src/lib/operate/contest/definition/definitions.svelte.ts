import {
  api,
  got,
  Problem,
  type ContestDefinition,
  type ContestDefinitionCheck,
  type ContestTryout,
} from '../../../platform/api/client';
import { LatestAnswer } from '../../../platform/shared/latest-answer.svelte';
import { tabMemory, type Memory } from '../../../platform/shared/memory';

const TEXT_KEY = 'yokebar-contest-definition';
const SAMPLES_KEY = 'yokebar-contest-samples';
/** What stands in front of a definition that is begun from one that ships, which nobody can change. */
const COPY = 'My ';

/** The definition that is being written; what is typed outlives a reload of the page. */
export class DefinitionStore {
  all = $state.raw<ContestDefinition[] | undefined>(undefined);
  text = $state('');
  /** Sample contacts, a line each. */
  samples = $state('');
  problem = $state('');
  notice = $state('');
  /** What the text said when the server read it last, and which text that was. */
  readonly reading = new LatestAnswer<{ text: string; check: ContestDefinitionCheck }>();
  /** What the sample contacts come to. */
  readonly tryout = new LatestAnswer<ContestTryout>();

  #memory: Memory;

  constructor(memory: Memory = tabMemory) {
    this.#memory = memory;
    this.text = memory.getItem(TEXT_KEY) ?? '';
    this.samples = memory.getItem(SAMPLES_KEY) ?? '';
  }

  async load(): Promise<void> {
    await this.#during(async () => {
      this.all = await got(api.GET('/api/contest-definitions'));
    });
    this.#read();
  }

  type(text: string): void {
    this.text = text;
    this.notice = '';
    this.problem = '';
    this.#memory.setItem(TEXT_KEY, text);
    this.#read();
  }

  /** Takes sample contacts to be counted by what is written. */
  sample(lines: string): void {
    this.samples = lines;
    this.#memory.setItem(SAMPLES_KEY, lines);
    this.#count();
  }

  /** What the text says; undefined while there is none, and until the server has read it. */
  get check(): ContestDefinitionCheck | undefined {
    return this.text.trim() === '' ? undefined : this.reading.value?.check;
  }

  /** Takes a definition into the editor; of one that ships a copy under another name. */
  take({ name, text, shipped }: ContestDefinition): void {
    this.type(shipped ? text.replace(/^name:.*$/m, () => `name: ${COPY}${name}`) : text);
  }

  /** The definition stored under the name in the text; undefined while there is none. */
  get stored(): ContestDefinition | undefined {
    const name = this.check?.definition?.name;
    return this.all?.find((one) => !one.shipped && one.name === name);
  }

  /** Whether it can be stored: the server has read just this text and found nothing wrong. */
  get ready(): boolean {
    return (
      this.reading.value?.text === this.text &&
      this.check?.definition !== undefined &&
      this.stored?.text !== this.text
    );
  }

  save(saved: (name: string) => string): Promise<boolean> {
    return this.#during(async () => {
      const body = this.text;
      const answer = await got(api.POST('/api/contest-definitions', { body, ...asText }));
      this.all = await got(api.GET('/api/contest-definitions'));
      if (answer.name) this.notice = saved(answer.name);
    });
  }

  remove(name: string): Promise<boolean> {
    return this.#during(async () => {
      this.all = await got(api.DELETE('/api/contest-definitions', { params: { query: { name } } }));
    });
  }

  #read(): void {
    const text = this.text;
    if (text.trim() === '') return;
    this.reading.read(async () => {
      const check = await got(api.POST('/api/contest-definitions/check', { body: text, ...asText }));
      if (check.definition) this.#count();
      return { text, check };
    });
  }

  #count(): void {
    const body = { definition: this.text, contacts: this.samples };
    if (this.samples.trim() !== '') {
      this.tryout.read(() => got(api.POST('/api/contest-definitions/try', { body })));
    }
  }

  async #during(work: () => Promise<void>): Promise<boolean> {
    try {
      this.problem = '';
      await work();
      return true;
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
      return false;
    }
  }
}

const asText = {
  headers: { 'Content-Type': 'text/plain' },
  bodySerializer: (body?: string) => body ?? '',
};

/** Where a line begins and ends in a text, counted from 1; the end of the text for lines it does not have. */
export function lineAt(text: string, line: number): [number, number] {
  const lines = text.split('\n');
  const from = lines.slice(0, line - 1).reduce((sum, one) => sum + one.length + 1, 0);
  return [Math.min(from, text.length), Math.min(from + (lines[line - 1]?.length ?? 0), text.length)];
}
