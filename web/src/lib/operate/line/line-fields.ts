/** The fields an operator may fill in instead of typing freely, by the name the line knows them by. */
export const LINE_FIELDS = [
  { name: 'call', label: 'Call', width: '10ch' },
  { name: 'sent', label: 'Sent', width: '5ch' },
  { name: 'rcvd', label: 'Received', width: '5ch' },
  { name: 'name', label: 'Name', width: '10ch' },
  { name: 'loc', label: 'Locator', width: '8ch' },
  { name: 'qth', label: 'Town', width: '12ch' },
  { name: 'state', label: 'State', width: '6ch' },
  { name: 'power', label: 'Power, W', width: '6ch' },
  { name: 'comment', label: 'Comment', width: '18ch' },
  { name: 'note', label: 'Note', width: '18ch' },
  { name: 'via', label: 'Via', width: '6ch' },
  { name: 'sat', label: 'Satellite', width: '10ch' },
  { name: 'date', label: 'Day', width: '11ch' },
  { name: 'time', label: 'Began', width: '6ch' },
  { name: 'end', label: 'Ended', width: '6ch' },
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
