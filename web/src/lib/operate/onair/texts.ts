import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // AirMap
  mapOfTheAir: 'Map of the air',
  stationsOnTheAirNight: 'Stations on the air, night, and who hears the chosen one',
  wholeWorldFlat: 'Whole world flat',
  roundUs: 'Round us',
  hearsItCall: (call: TextPart, words: TextPart) => `${call} hears it${words}`,
  neverWorked: 'never worked',
  isNeeded: 'needed',
  notNeeded: 'not needed',
  hearsTheChosenOne: 'hears the chosen one',

  // AlertsPage
  aCallOnTheWatch: 'A call on the watch list',
  anEntityNeverWorked: 'An entity never worked',
  newOnTheBandOr: 'New on the band or in the mode',
  anythingElseNeeded: 'Anything else needed',
  somebodyHearsUs: 'Somebody hears us',
  whatIsAnnounced: 'What is announced',
  quietFromUtc: 'Quiet from, UTC',
  quietUntilUtc: 'Quiet until, UTC',
  whatWasAnnounced: 'What was announced',
  onScreenKind: (kind: TextPart) => `${kind}: on screen`,
  toneKind: (kind: TextPart) => `${kind}: tone`,
  spokenKind: (kind: TextPart) => `${kind}: spoken`,
  notificationKind: (kind: TextPart) => `${kind}: notification`,
  kindAtMostAMinute: (kind: TextPart) => `${kind}: at most a minute`,
  whenThereIs: 'When there is',
  onScreen: 'On screen',
  tone: 'Tone',
  spoken: 'Spoken',
  notification: 'Notification',
  atMostAMinute: 'At most a minute',
  noSoundFrom: 'No sound from',
  until: 'until',
  utcMoreThanTheLimit: 'UTC. More than the limit are announced together in one sentence.',
  whatWasAnnouncedAndWhy: 'What was announced, and why',
  nothingYetCallsToLook: 'Nothing yet. Calls to look out for are set under',
  goals: 'Goals',
  switchThisKindOff: 'Switch this kind off',
  readingTheAlerts: 'Reading the alerts…',

  // Announcer
  alerts: 'Alerts',
  goThere: 'Go there',
  whyQuestion: 'Why?',
  dismiss: 'Dismiss',

  // FilterBar
  rankedFor: (contest: TextPart) => `Ranked for ${contest}`,
  rankFor: (contest: TextPart) => `Rank for ${contest}`,
  rankByNeed: 'Rank by what is needed, and show stations that do not count in the contest',
  filter: 'Filter',
  heardInTheLastMinutes: 'Heard in the last minutes',
  takeThisOut: 'Take this out',
  addFilter: 'Add filter',
  views: 'Views',
  shown: 'Shown:',
  lastMinMinutes: (minutes: TextPart) => `last ${minutes} min`,

  // FilterForm
  notWorkedHereYet: 'not worked here yet',
  insideMyLicence: 'inside my licence',
  confirmsElectronically: 'confirms electronically',
  callingCq: 'calling CQ',
  onMyWatchList: 'on my watch list',
  yokebarDoesNotAnswer: 'Yokebar does not answer.',
  noEntityIsCalled: (value: TextPart) => `No entity is called “${value}”.`,
  anEntity: 'an entity',
  heardFromAnEntity: 'Heard from an entity',
  zone14OrAreaK1: 'zone 14, or area K1',
  heardFromAZoneOr: 'Heard from a zone or a call area',
  any: 'any',
  leastSignalDb: 'Least signal, dB',
  stationsInAnEntity: 'Stations in an entity',
  needed: 'Needed',
  modesAndBands: 'Modes and bands',
  allBands: 'all bands',
  heardFrom: 'Heard from',
  atLeast: 'at least',
  stationsIn: 'Stations in',
  onlyStationsThat: 'Only stations that',

  // FilterViews
  nameForThisFilter: 'Name for this filter',
  forgetName: (name: TextPart) => `Forget ${name}`,
  everythingOnTheAir: 'Everything on the air',
  whatINeed: 'What I need',
  keepIt: 'Keep it',

  // GoalRow
  islandSummitOrPark: 'island, summit or park',
  goalWhatNumber: (number: TextPart) => `Goal ${number}: what`,
  goalHowOften: (number: TextPart) => `Goal ${number}: how often`,
  goalWorkedOrConfirmed: (number: TextPart) => `Goal ${number}: worked or confirmed`,
  onTheAirNow: (onAirNow: TextPart) => `${onAirNow} on the air now`,
  goalWithWhichOfYour: (number: TextPart) => `Goal ${number}: with which of your calls`,
  goalSinceWhichDayEmpty: (number: TextPart) => `Goal ${number}: since which day; empty for your whole log`,
  each: 'each',
  remove: 'Remove',
  with: 'with',
  anyOfYourCalls: 'any of your calls',
  since: 'since',
  yourFirstContact: 'your first contact',
  by: 'by',
  anybody: 'anybody',

  // GoalsPage
  calls: 'Calls',
  callsILookOutFor: 'Calls I look out for',
  callsINeverWantTo: 'Calls I never want to see',
  iWant: 'I want',
  noGoalYetSoNothing: 'No goal yet, so nothing on the air counts as needed. Add one.',
  withTheseGoals: 'With these goals',
  ofStationsOnTheAir: (onAir: TextPart) => `of ${onAir} stations on the air now are needed.`,
  addAGoal: 'Add a goal',
  theyAreAlwaysListedFirst: 'They are always listed first. * stands for anything, ? for one character.',
  tuningToAStation: 'Tuning to a station',
  turnTheAntennaWhenTuning: 'Turn the antenna when tuning to a station',
  restoreHiddenStations: 'Restore hidden stations',
  readingTheGoals: 'Reading the goals…',

  // HearsUsPage
  whoHearsUsSeenFrom: 'Who hears us, seen from here',
  readingWhoHearsUs: 'Reading who hears us…',
  nobodyHasReportedOurSignal:
    'Nobody has reported our signal in the last hour. Call CQ where skimmers listen, and their reports show here by themselves.',
  who: 'Who',
  where: 'Where',
  away: 'Away',
  when: 'When',

  // Ladder
  showAllStations: 'Show all stations',
  radioInView: 'Keep the radio in view',
  ladderBand: (band: TextPart) => `Ladder ${band}`,
  withoutRoomForTheirCalls: (value: TextPart) => `${value} without room for their calls; zoom in`,
  stationsValue: (value: TextPart) => `${value} stations`,
  unnamedValue: (value: TextPart) => `, ${value} unnamed`,
  closerOnBand: (band: TextPart) => `Closer on ${band}`,
  furtherOnBand: (band: TextPart) => `Further on ${band}`,
  closeTheLadderOf: (band: TextPart) => `Close the ladder of ${band}`,
  dialOfPlusAndMinus: (band: TextPart) =>
    `Dial of ${band}: plus and minus zoom, arrow keys move, a click tunes`,
  fit: 'Fit',
  follow: 'Follow',

  // LadderScale
  notYoursWords: (words: TextPart) => `${words} · not yours`,

  // OnAirView
  now: 'Now',
  whoHearsUs: 'Who hears us',
  reportsOfYourOwnSignal: 'Reports of your own signal in the last hour.',
  whatCountsAsNeededFor: 'What counts as needed, for everybody at this station.',
  whatIsAnnouncedHowAnd: 'What is announced, how, and why it was.',
  sunAndNews: 'Sun and news',
  asReportedByTheFeeds: 'As reported by the feeds.',
  onAir: 'On air',
  partsOfTheView: 'Parts of the view',
  addALadder: 'Add a ladder',
  ofStationsValue: (value: TextPart, onAir: TextPart) => `${value} of ${onAir} stations`,
  list: 'List',
  map: 'Map',
  chooseLadder: 'Ladder…',
  haveTheProgramAnswerA: (call: TextPart) => `Have the program answer ${call} (a)`,
  nothingIsChosenToLook: 'Nothing is chosen to look at. Choose the list, the map or a ladder at the top.',

  // PostSpot
  receivedTheSpotOfOn: (node: TextPart, call: TextPart, frequencyHz: TextPart) =>
    `${node} received the spot of ${call} on ${frequencyHz} kHz.`,
  postASpot: 'Post a spot',
  call: 'Call',
  comment: 'Comment',
  node: 'Node',
  theFirstConnected: 'the first connected',
  everybodyOnTheClusterReads:
    'Everybody on the cluster reads it. It is checked before: call, frequency, not a repeat.',
  tellTheCluster: 'Tell the cluster',

  // Shortlist
  neededOnTheAir: 'Needed on the air',
  neededStationsArrowKeysChoose: 'Needed stations; arrow keys choose, Enter tunes, x hides',
  onYourWatchList: 'on your watch list',
  allOnAir: (onAir: TextPart) => `all ${onAir}`,
  readingWhatIsOnThe: 'Reading what is on the air…',
  nobodyIsHeardConnectA: 'Nobody is heard. Connect a feed under',
  hookups: 'Hookups',
  noneOfTheStationsHeard: (onAir: TextPart) => `None of the ${onAir} stations heard is needed.`,

  // SpotList
  stationsOnTheAir: 'Stations on the air',
  everThisBandThisMode: 'ever, this band, this mode',
  stationsArrowKeysChooseEnter:
    'Stations; arrow keys choose, Enter tunes, Control and Enter answer a decode, x hides',
  need: 'Need',
  mode: 'Mode',
  why: 'Why',
  heardBy: 'Heard by',
  heard: 'Heard',
  newShowThem: (waiting: TextPart) => `${waiting} new · show them`,
  noneOfTheStationsOn: (onAir: TextPart) =>
    `None of the ${onAir} stations on the air passes the filter. Take a phrase out of the sentence above.`,
  nobodyIsHeardYetConnect:
    'Nobody is heard yet. Connect a cluster node, a skimmer feed or a digital program under',

  scoreAndWhy: 'Score, and why',
  byScoreAndChance:
    'By how much the score would rise. Stations that can hardly be heard here, or were heard long ago, stand further down.',
  noneCountsIn: (onAir: TextPart, contest: TextPart) =>
    `None of the ${onAir} stations on the air would count in ${contest} now: worked already, on another band or in another mode, or left out by the filter.`,

  // SpotRow
  scoreRise: (rise: TextPart) => `+${rise}`,
  heardAgoWhen: (when: TextPart) => `heard ${when} ago`,

  // SunPage
  ofTheDay: 'of the day',
  flux: 'Flux',
  solarFluxAt107: 'solar flux at 10.7 cm',
  ofThreeHours0To: 'of three hours, 0 to 9',
  messagesOnTheCluster: 'Messages on the cluster',
  toUs: 'to us: ',
  overTheLastWeek: (label: TextPart) => `${label} over the last week`,
  readingTheSunsNumbers: 'Reading the sun’s numbers…',
  noFeedHasSentSolar:
    'No feed has sent solar data yet. Cluster nodes do so every few hours; connect one under',
  lastToldUtc: (date: TextPart, time: TextPart) => `Last told ${date} ${time} UTC.`,
  theHistoryBeginsWithThe: 'The history begins with the next report.',
  noAnnouncementAndNoTalk: 'No announcement and no talk has come since the start.',

  // feature
  theNextStationOnThe: 'The next station on the air, and there',
  spotCluster: 'spot cluster',
  theStationBeforeAndThere: 'The station before, and there',
  hideTheStation: 'Hide the station',
  clusterAnnounce: 'cluster announce',
  whatCountsAsNeeded: 'What counts as needed',
  goalsWantedNewOneAward: 'goals wanted new one award',
  alertsSoundNotification: 'alerts sound notification',
  solarFiguresAndGreyLine: 'Solar figures and grey line',
  sunPropagationFlux: 'sun propagation flux',
  spottedSkimmer: 'spotted skimmer',
  pgupPgdnHomeEnd: '↑ ↓ PgUp PgDn Home End',
  chooseAStation: 'Choose a station',
  goThereRadioContactLine: 'Go there: radio, contact line, card',
  haveTheProgramAnswerADecode: 'Have the program answer a decode (transmits)',
  ladder: 'Ladder',
  zoomAndMove: 'Zoom and move',

  // filter
  northAmerica: 'North America',
  southAmerica: 'South America',
  neededOrNotConfirmed: 'needed, or not confirmed',

  // words
  isNow: 'now',
  here: 'here',
  skimmer: 'skimmer',
  cluster: 'cluster',
  minMinutes: (minutes: TextPart) => `${minutes} min`,
};
