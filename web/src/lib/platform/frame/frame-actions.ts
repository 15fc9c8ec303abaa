import type { Action } from '../page/action';
import type { Navigation } from '../page/navigation.svelte';
import type { ThemeStore } from '../page/theme.svelte';
import { texts } from './texts';

/** What can be done with the page itself. */
export function frameActions(navigation: Navigation, theme: ThemeStore): Action[] {
  return [
    ...navigation.railViews.map(({ name, label, rail }) => ({
      label: texts.goToLabel(label),
      keys: `g ${rail.key}`,
      run: () => navigation.go(name),
    })),
    {
      label: texts.nextThemeNightDayRed,
      words: texts.darkLightColour,
      run: () => theme.next(),
    },
    {
      label: texts.showTheKeys,
      keys: '?',
      words: texts.helpShortcutsKeyboard,
      run() {
        navigation.keysOpen = true;
      },
    },
  ];
}

/** Keys that work everywhere, for the list of keys. */
export const FRAME_KEYS = [
  { where: texts.anywhere, keys: 'Ctrl+K', label: texts.doAnythingByItsName },
  { where: texts.anywhere, keys: 'Esc', label: texts.closeWhatIsOpen },
];
