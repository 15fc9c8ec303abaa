import { remembered, type Memory } from '../../platform/shared/memory';
import { texts } from './texts';

/** What can be seen of a book besides its score and its line, by the names under which it is remembered. */
export const PANELS = {
  contacts: texts.contacts,
  progress: texts.progress,
  multipliers: texts.multipliers,
  mistakes: texts.likelyMistakes,
  header: texts.logHeader,
  texts: texts.textsToSend,
  scoreboard: texts.scoreboard,
  team: texts.team,
  handIn: texts.handIn,
} as const;

export type Panel = keyof typeof PANELS;

export const PANEL_NAMES = Object.keys(PANELS) as Panel[];

const KEY = 'yokebar-contest-panels';

const known = (name: unknown): Panel | undefined => PANEL_NAMES.find((panel) => panel === name);

/** Which panels of a contest book are in sight, one or two; this browser remembers it. */
export class PanelLayout {
  main = $state<Panel>('contacts');
  /** Beside it, or below it where there is no room; undefined for none. */
  second = $state<Panel | undefined>(undefined);
  #memory: Memory;

  constructor(memory: Memory) {
    this.#memory = memory;
    const { main, second } = remembered<{ main?: unknown; second?: unknown }>(memory, KEY, {});
    this.main = known(main) ?? this.main;
    this.second = known(second) === this.main ? undefined : known(second);
  }

  /** The one that is beside changes its place with the other. */
  show(panel: Panel): void {
    if (panel === this.second) this.second = this.main;
    this.main = panel;
    this.#keep();
  }

  /** Likewise. */
  showBeside(panel: Panel): void {
    if (panel === this.main) this.main = this.second ?? this.#another(panel);
    this.second = panel;
    this.#keep();
  }

  /** A second one, or only one. */
  toggleSecond(): void {
    this.second = this.second ? undefined : this.#another(this.main);
    this.#keep();
  }

  #another(than: Panel): Panel {
    return than === 'progress' ? 'contacts' : 'progress';
  }

  #keep(): void {
    this.#memory.setItem(KEY, JSON.stringify({ main: this.main, second: this.second }));
  }
}
