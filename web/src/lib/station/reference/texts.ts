import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // ReferencePanel
  lists: 'Lists',
  aNewerOneIsChecked:
    'Newer editions come from the publisher. Each is checked as a whole before it takes the place of the one in use.',
  publishersAddress: "Publisher's address",
  none: 'none',
  lookOnceADay: 'Look once a day',
  lookNow: 'Look now',
  list: 'List',
  edition: 'Edition',
  holds: 'Holds',
  serves: 'Used for',
  entities: 'Entities',
  entitiesServe: 'country, zones, continent',
  cameWithYokebar: 'came with Yokebar',
  stations: {
    stations: { name: 'Stations', serve: 'known calls and what they send' },
    exchanges: { name: 'Exchange history', serve: 'what was sent in past contests' },
  } as Record<string, { name: string; serve: string }>,
  entity: { one: 'entity', many: 'entities' },
  station: 'station',
  noneYet: 'none yet',
  fromAFile: 'From a file',
  fromAFileWhich: (list: TextPart) => `${list}: from a file`,
  drop: 'Drop',
  dropWhich: (list: TextPart) => `Drop ${list}`,

  // reference
  askingThePublisher: 'Asking the publisher…',
  readingTheFile: 'Reading the file…',
  listTaken: (file: TextPart) => `${file} is in use now.`,
  droppingTheList: 'Dropping the list…',
};
