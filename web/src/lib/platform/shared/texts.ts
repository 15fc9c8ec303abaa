import type { TextPart } from './text-part';

/** What this part of the page says. */
export const texts = {
  // Drawer
  close: 'Close',

  // Pages
  pagesTitle: (title: TextPart) => `${title} pages`,

  // RefusedLines
  dismiss: 'Dismiss',

  // SavedMark
  saved: 'Saved',

  // WaitingRows
  newShowWaiting: (waiting: TextPart) => `${waiting} new · show`,

  // format
  now: 'now',
  miKm: (km: TextPart) => `${km} mi`,
  timeZone: (zone: TextPart, secondName: TextPart) => `${zone} ${secondName} time`,
  sAgoSeconds: (seconds: TextPart) => `${seconds} s ago`,
  minAgoSeconds: (seconds: TextPart) => `${seconds} min ago`,
  hAgoSeconds: (seconds: TextPart) => `${seconds} h ago`,
  inSSeconds: (seconds: TextPart) => `in ${seconds} s`,
  inMinSeconds: (seconds: TextPart) => `in ${seconds} min`,

  // samples
  countersign: 'Countersign',
  accountName: 'Account name',
  accountPassword: 'Account password',
  paraguay: 'Paraguay',
};
