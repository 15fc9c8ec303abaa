import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // FeedForm
  addAFeed: 'Add a feed',
  name: 'Name',
  receiversOnTheirOwnSpeak: 'Receivers on their own speak there (a skimmer feed)',
  address: 'Address',
  port: 'Port',
  logInAs: 'Log in as',
  yourCallMostAskFor: 'Your call; most ask for nothing else',
  passwordIfItAsksFor: 'Password, if it asks for one',
  clearedWhenSaved: 'cleared when saved',
  keptTypeToChangeIt: 'kept; type to change it',
  clearTheStoredPassword: 'Clear the stored password',
  emptyLineWhenSilentFor: 'Empty line when silent for, s',
  zeroForNever: '0 for never',
  setUpName: (name: TextPart) => `Set up ${name}`,
  saidAfterEachLoginA: 'Said after each login, a line each',

  // FeedPanel
  whatTheLinesBecame: 'What the lines became',
  console: 'Console',
  lines: 'Lines',
  aCommandSuchAsSh: 'A command, such as sh/dx',
  command: 'Command',
  noLineThatSaysSomething: 'No line that says something has come yet.',
  say: 'Say',

  // feature
  connectAClusterNodeOr: 'Connect a cluster node or skimmer feed',
  spotsTelnetFeedSetUp: 'spots telnet feed set up add',

  // feeds
  yokebarDoesNotAnswer: 'Yokebar does not answer.',
};
