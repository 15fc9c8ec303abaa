import type { Action } from '../page/action';
import type { Navigation } from '../page/navigation.svelte';
import type { ThemeStore } from '../page/theme.svelte';

/** What can be done with the page itself. */
export function frameActions(navigation: Navigation, theme: ThemeStore): Action[] {
  return [
    ...navigation.railViews.map(({ name, label, rail }) => ({
      label: `Go to ${label}`,
      keys: `g ${rail.key}`,
      run: () => navigation.go(name),
    })),
    {
      label: 'Next theme: night, day, red lamp',
      words: 'dark light colour',
      run: () => theme.next(),
    },
    {
      label: 'Show the keys',
      keys: '?',
      words: 'help shortcuts keyboard',
      run() {
        navigation.keysOpen = true;
      },
    },
  ];
}

/** Keys that work everywhere, for the list of keys. */
export const FRAME_KEYS = [
  { where: 'Anywhere', keys: 'Ctrl+K', label: 'Do anything by its name' },
  { where: 'Anywhere', keys: 'Esc', label: 'Close what is open' },
];
