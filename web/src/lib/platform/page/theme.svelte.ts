import { memory } from '../shared/memory';

export const THEMES = ['night', 'day', 'red'] as const;
export type Theme = (typeof THEMES)[number];

const THEME_KEY = 'yokebar-theme';

/** Light, dark, or the red lamp; each browser has its own. */
export class ThemeStore {
  theme = $state<Theme>('night');

  start(): void {
    this.set(THEMES.find((theme) => theme === memory.getItem(THEME_KEY)) ?? 'night');
  }

  next(): void {
    this.set(THEMES[(THEMES.indexOf(this.theme) + 1) % THEMES.length] ?? 'night');
  }

  set(theme: Theme): void {
    this.theme = theme;
    memory.setItem(THEME_KEY, theme);
    document.documentElement.dataset.theme = theme;
    document.documentElement.setAttribute('theme', theme === 'day' ? 'white' : 'g100');
  }
}
