import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // KeyCopy
  anotherPassphrase: 'Another passphrase',
  passphrase: 'Passphrase',
  working: 'Working…',
  openTheKey: 'Open the key',
  sealTheKey: 'Seal the key',
  thisLogCameFromAnother:
    'This log came from another computer, and its stored passwords are locked. Its key came along, sealed: type the passphrase, and Yokebar starts again with it. Or type each password again where it is used.',
  backupsHoldTheKeyThat: 'Backups hold the key that opens stored passwords (',
  sealedWithYourPassphraseOn:
    '), sealed with your passphrase. On another computer you are asked for it here.',
  backupsDoNotHoldThe: 'Backups do not hold the key that opens stored passwords (',
  onAnotherComputerEachPassword:
    '): on another computer each password is typed again where it is used. With a passphrase, backups hold the key too, sealed. The passphrase is stored nowhere; without it the sealed key is worth nothing.',
  removeTheSealedKey: 'Remove the sealed key',

  // SafetyPage
  folderEmptyForNoSecond: 'Folder; empty for no second copy',
  onceADay: 'Once a day',
  whenYokebarEnds: 'When Yokebar ends',
  daysWithABackupThat: 'Days with a backup that are kept',
  anotherFolder: 'Another folder',
  besideTheLog: 'beside the log',
  byHand: 'by hand',
  restoreABackupFile: 'Restore a backup file',
  readASecondCopyBack: 'Read a second copy back',
  putThisBackupInThe: "Put this backup in the log's place?",
  restoreAndStartAgain: 'Restore and start again',
  leaveTheLogAsIt: 'Leave the log as it is',
  secondCopy: 'Second copy',
  eachContactIsWrittenTo:
    'Each contact is written to one more file as it is logged: on a stick, another disk, a folder that is mirrored elsewhere.',
  writeTheCopyAnew: 'Write the copy anew',
  itHoldsEveryContactEdits: 'It holds every contact; edits and deletions follow within a minute.',
  backups: 'Backups',
  theWholeStationDatedAnd:
    'The whole station, dated and compressed: log, journeys, changes, settings, as rows that any program can read. Kept: one for each of the last days, eight weeks, two years of months, and each year. They are in',
  backUpNow: 'Back up now',
  madeUtc: 'Made, UTC',
  size: 'Size',
  how: 'How',
  restore: 'Restore',
  restoreThis: 'Restore…',
  thereIsNoBackupYet: 'There is no backup yet.',
  keyOfThePasswords: 'Key of the passwords',
  logFile: 'Log file',
  whatHappensInYokebarIs: 'What happens in Yokebar is written to',
  atMost30Mb: ', 30 MB at the most.',
  fromElsewhere: 'From elsewhere',
  afterALossFirstRestore:
    'After a loss: first restore the newest backup, then read the second copy back; nothing is doubled. A restored log begins a copy of its own and keeps the one from before beside it, with its date in its name: that is the one to read back.',
  itIsWholeAndHolds: (contact: TextPart) => `It is whole and holds ${contact}`,
  theLastOfUtc: (date: TextPart, time: TextPart) => `, the last of ${date} ${time} UTC`,
  notInIt: (list: TextPart) => `Not in it: ${list}.`,
  theLogOfNowIs:
    'The log of now is kept beside it in the data folder. Yokebar restarts automatically; that takes some seconds.',

  // safety
  makingABackup: 'Making a backup…',
  writingTheCopyAnew: 'Writing the copy anew…',
  openingTheBackup: 'Opening the backup…',
  puttingTheBackupInPlace: 'Putting the backup in place; Yokebar starts again…',
  checkingTheBackupYokebarStarts: 'Checking the backup; Yokebar starts again…',
  readingTheContacts: 'Reading the contacts…',
  readWereMissingAndAre: (read: TextPart, added: TextPart, refused: TextPart) =>
    `${read} read, ${added} were missing and are in the log now, ${refused} refused.`,
};
