import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // ChangeBar
  howFarItIs: 'How far it is',
  undo: 'Undo',
  doItAgain: 'Do it again',
  stoppedAfterOfWhatWas: (done: TextPart, planned: TextPart) =>
    `Stopped after ${done} of ${planned}; what was done remains.`,
  cancel: 'Cancel',
  close: 'Close',

  // ChangesDrawer
  changes: 'Changes',
  whatWasDoneToThe: 'What was done to the log; each can be taken back, also after a restart',
  doAgain: 'Do again',
  undone: 'Undone.',
  stoppedAfterOf: (done: TextPart, planned: TextPart) => `Stopped after ${done} of ${planned}.`,
  ofDone: (done: TextPart, planned: TextPart) => `${done} of ${planned} …`,
  nothingWasChangedYetEdits: 'Nothing was changed yet. Edits, deletions and merged records are listed here.',
};
