import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // Gallery
  noContact: 'No contact',
  receivedPictures: 'Received pictures',
  morePicture: 'more picture',
  wasNotTaken: (sentence: TextPart) => `was not taken. ${sentence}`,
  readingThePictures: 'Reading the pictures…',
  noFolderYet: 'No folder yet.',
  chooseTheFolder: 'Choose the folder',
  inWhichYourPictureProgram: 'in which your picture program saves what it receives.',
  noPictureHereIsOf: 'No picture here is of a station with that call.',
  noNewPictureEachAppears: 'No new picture. Each appears here as soon as your picture program has saved it.',
  noPicturesHere: 'No pictures here.',

  // GalleryBar
  new: 'New',
  withAContact: 'With a contact',
  kept: 'Kept',
  hidden: 'Hidden',
  whichPictures: 'Which pictures',
  byTime: 'By time',
  byStation: 'By station',
  onlyOfThisCall: 'Only of this call',
  call: 'Call',

  // LayoutEditor
  topLeft: 'Top left',
  top: 'Top',
  topRight: 'Top right',
  left: 'Left',
  centre: 'Centre',
  right: 'Right',
  bottomLeft: 'Bottom left',
  bottom: 'Bottom',
  bottomRight: 'Bottom right',
  white: 'White',
  yellow: 'Yellow',
  black: 'Black',
  red: 'Red',
  nameOfTheLayout: 'Name of the layout',
  sizePixels: 'Size (pixels)',
  receivedPicture: 'Received picture',
  notShown: 'Not shown',
  where: 'Where',
  size: 'Size (%)',
  colour: 'Colour',
  textNumber: (number: TextPart) => `Text ${number}`,
  removeTextNumber: (number: TextPart) => `Remove text ${number}`,
  layout: 'Layout',
  remove: 'Remove',
  callNameMycallReportPlace:
    '{call} {name} {mycall} {report} {place} {locator} {words} stand for what is known.',
  addText: 'Add text',
  saveLayout: 'Save layout',
  deleteLayout: 'Delete layout',

  // NewPicture
  pictureReceived: 'Picture received',
  on: 'on',
  attachTo: 'Attach to',
  altA: 'Alt+A',
  pictures: 'Pictures',
  dismiss: 'Dismiss',

  // OwnPictures
  yourPicture: 'Your picture',
  pictureOfYours: 'Picture of yours',
  none: 'None',
  add: 'Add…',
  delete: 'Delete',

  // PictureFolders
  folderWithReceivedPictures: 'Folder with received pictures',
  folderForRepliesFromWhich: 'Folder for replies, from which your program transmits',
  radioWhoseFrequencyIsNoted: 'Radio whose frequency is noted',
  theFirstRadio: 'The first radio',
  readingTheFolders: 'Reading the folders…',
  picturesInItAndIts:
    'Pictures in it and its subfolders appear within seconds. Nothing in the folder is changed.',
  notConnectedConnect: 'Not connected. Connect',
  atTheTop: 'at the top.',
  pngJpegAndBmpFiles:
    "PNG, JPEG and BMP files in it and its subfolders are copied into the log's data. Nothing in the folder is changed.",
  aReplyIsWrittenThere: 'A reply is written there as a file. Transmitting it is up to you, in that program.',

  // PicturePanel
  keptHereAnotherPictureOf: 'Kept here: another picture of this contact goes to the services.',
  atSinceUtc: (service: TextPart, date: TextPart, time: TextPart) =>
    `At ${service} since ${date} ${time} UTC.`,
  goesToOnceTheContact: (service: TextPart) => `Goes to ${service} once the contact is there.`,
  keptHereOnlyNoService: 'Kept here only: no service in use shows pictures.',
  chosenPicture: 'Chosen picture',
  backToTheList: 'Back to the list',
  largeView: 'Large view',
  note: 'Note',
  receivedUtcDate: (date: TextPart, time: TextPart) => `Received ${date} ${time} UTC`,
  attachedTo: 'Attached to',
  asSoonAsThatContact: 'as soon as that contact is logged.',
  noContactNearThisTime: 'No contact near this time. It is offered here when one is typed or logged.',
  reply: 'Reply',
  detach: 'Detach',
  sendThisOne: 'Send this one',
  keep: 'Keep',
  showAgain: 'Show again',
  hide: 'Hide',
  saveAsFile: 'Save as file',

  // PictureTile
  onceLoggedWaitsFor: (waitsFor: TextPart) => `${waitsFor}, once logged`,
  receivedUtc: (date: TextPart, time: TextPart, words: TextPart) => `Received ${date} ${time} UTC${words}`,

  // PicturesView
  received: 'Received',
  composeAPictureForYour: 'Compose a picture for your picture program to transmit.',
  folders: 'Folders',
  whereYourPictureProgramKeeps: 'Where your picture program keeps its pictures.',

  // ReplyComposer
  everybody: 'everybody',
  name: 'Name',
  reportSent: 'Report sent',
  reportReceived: 'Report received',
  writing: 'Writing…',
  writeToFolder: 'Write to folder',
  yourWords: 'Your words',
  thanksForThePicture: 'Thanks for the picture',
  useTheReceivedPictureWhere: 'Use the received picture, where the layout has room for it',
  closeEditor: 'Close editor',
  editLayout: 'Edit layout',
  replyToWhom: (whom: TextPart) => `Reply to ${whom}`,
  drawingThePicture: 'Drawing the picture…',
  isInTheFolderTransmit: 'is in the folder. Transmit it in your picture program.',
  fromWhichYourPictureProgram: 'from which your picture program transmits.',
  aFileForYourPicture: 'A file for your picture program. Nothing is transmitted by it.',
  bothReportsAreAlsoPut: (call: TextPart) => `Both reports are also put into the contact with ${call}.`,

  // feature
  replyWithAPicture: 'Reply with a picture',
  sstvComposeSlowScan: 'sstv compose slow scan',
  pictureFolders: 'Picture folders',
  sstvSettingsFolder: 'sstv settings folder',
  anywhere: 'Anywhere',
  attachTheNewPictureTo: 'Attach the new picture to the contact it is offered with',
  chooseAPicture: 'Choose a picture',
  attachToTheFirstContact: 'Attach to the first contact offered, or to that one',
  keepWithoutAContactHide: 'Keep without a contact, hide, detach',
  largeViewAndBack: 'Large view, and back',
  writeANoteReplyTo: 'Write a note; reply to it',
};
