import type { TextPart } from '../shared/text-part';

/** What this part of the page says. */
export const texts = {
  // ErrorNotice
  thatDidNotWork: (notice: TextPart) => `That did not work. ${notice}`,
  dismiss: 'Dismiss',

  // KeyMap
  keys: 'Keys',
  closeEsc: 'Close (Esc)',
  fromAnywhereOutsideOfFields: 'From anywhere outside of fields',

  // Offline
  connectingToYokebar: 'Connecting to Yokebar…',
  offline: 'Offline.',
  yokebarDoesNotAnswerWhat: 'Yokebar does not answer. What you see is as of',
  utcItCatchesUpAutomatically: 'UTC; it catches up automatically.',

  // Palette
  doAnything: 'Do anything',
  whatDoYouWantTo: 'What do you want to do?',
  actions: 'Actions',
  nothingOfThatName: 'Nothing of that name.',

  // Rail
  night: 'Night',
  day: 'Day',
  redLamp: 'Red lamp',
  views: 'Views',
  keysAndHelp: 'Keys and help (?)',
  whereYouAreP: (name: TextPart) => `Where you are: ${name} (p)`,
  changeToTheTheme: (next: TextPart) => `Change to the ${next} theme`,
  help: 'Help',

  // UnsavedAsk
  whatYouTypedIsNot: 'What you typed is not saved',
  goBackToSaveIt: 'Go back to save it, or leave without it.',
  goBack: 'Go back',
  leaveWithoutSaving: 'Leave without saving',

  // Updated
  yokebarWasUpdatedThisPage: 'Yokebar was updated; this page is from before.',
  loadItAgain: 'Load it again',

  // frame-actions
  goToLabel: (label: TextPart) => `Go to ${label}`,
  nextThemeNightDayRed: 'Next theme: night, day, red lamp',
  darkLightColour: 'dark light colour',
  showTheKeys: 'Show the keys',
  helpShortcutsKeyboard: 'help shortcuts keyboard',
  anywhere: 'Anywhere',
  doAnythingByItsName: 'Do anything by its name',
  closeWhatIsOpen: 'Close what is open',
};
