import { texts } from './texts';

/** The fields an operator may fill in instead of typing freely, by the name the line knows them by. */
export const LINE_FIELDS = [
  { name: 'call', label: texts.call, width: '10ch' },
  { name: 'sent', label: texts.sent, width: '5ch' },
  { name: 'rcvd', label: texts.received, width: '5ch' },
  { name: 'name', label: texts.name, width: '10ch' },
  { name: 'loc', label: texts.locator, width: '8ch' },
  { name: 'qth', label: texts.town, width: '12ch' },
  { name: 'state', label: texts.state, width: '6ch' },
  { name: 'power', label: texts.powerW, width: '6ch' },
  { name: 'comment', label: texts.comment, width: '18ch' },
  { name: 'note', label: texts.note, width: '18ch' },
  { name: 'via', label: texts.via, width: '6ch' },
  { name: 'sat', label: texts.satellite, width: '10ch' },
  { name: 'date', label: texts.day, width: '11ch' },
  { name: 'time', label: texts.began, width: '6ch' },
  { name: 'end', label: texts.ended, width: '6ch' },
] as const;

/** The line that fields make, for the same reader. */
export function lineOf(fields: Record<string, string>): string {
  return Object.entries(fields)
    .filter(([, value]) => value.trim() !== '')
    .map(([name, value]) => {
      const tidy = value.trim().replaceAll('"', '');
      return name === 'call' ? tidy : `${name}:${/\s/.test(tidy) ? `"${tidy}"` : tidy}`;
    })
    .join(' ');
}
