import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // KeepPage
  nothing: 'nothing',
  chooseASettingsFile: 'Choose a settings file',
  takingItOver: 'Taking it over…',
  allSettingsInOneFile: 'All settings in one file',
  callsOperatorsPlacesPositions:
    'Calls, operators, places, positions, radios, rotators, feeds, followed files, services, backups, goals and views. Passwords and signing identities are never in it; give them again after moving to another computer.',
  saveToAFile: 'Save to a file',
  takeOverFromAFile: 'Take over from a file',
  whatHasTheSameName: 'What has the same name is changed, what is new is added, nothing is removed.',
  takenOverWords: (words: TextPart) => `Taken over: ${words}.`,
};
