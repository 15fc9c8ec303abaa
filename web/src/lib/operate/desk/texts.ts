/** What this part of the page says. */
export const texts = {
  // DeskView
  desk: 'Desk',

  // LatestContacts
  lastContacts: 'Last contacts',
  nothingLoggedYetContactsThat:
    'Nothing logged yet. Contacts that your programs make show up here by themselves; see',
  hookups: 'Hookups',
  whetherTheyReachTheLog: 'whether they reach the log.',
  call: 'Call',
  mode: 'Mode',
  sent: 'Sent',
  rcvd: 'Rcvd',
  name: 'Name',
  country: 'Country',
};
