import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { texts } from './texts';

export type Schema = components['schemas'];
export type LogLine = Schema['LogLine'];
export type LogUpdate = Schema['LogUpdate'];
export type FirstsUpdate = Schema['FirstsUpdate'];
export type LogChange = Schema['ChangeView'];
export type LogFacets = Schema['Facets'];
export type LogStatistics = Schema['Statistics'];
export type LogViewSaved = Schema['LogView'];
export type BulkPreview = Schema['Preview'];
export type LineView = Schema['LineView'];
export type LineAnswer = Schema['LineAnswer'];
export type NeedMarkView = Schema['NeedMark'];
export type PartnerView = Schema['PartnerView'];
export type CallbookLookup = Schema['Lookup'];
export type CallbookView = Schema['CallbookView'];
export type ReferenceView = Schema['ReferenceView'];
export type StorageState = Schema['StorageState'];
export type SafetyView = Schema['SafetyView'];
export type BackupContent = Schema['Content'];
export type Seal = Schema['Seal'];
export type ContactDetail = Schema['ContactDetail'];
export type JourneyStep = Schema['JourneyStep'];
export type Hookup = Schema['HookupView'];
export type Lane = Schema['LaneView'];
export type Handover = Schema['HandoverView'];
export type JournalLine = Schema['JournalLine'];
export type DigitalProgram = Schema['ProgramView'];
export type DecodeHeard = Schema['Heard'];
export type RecordBeside = Schema['RecordBeside'];
export type WhyReason = Schema['Reason'];
export type IntakeSource = Schema['SourceView'];
export type SourceDraft = Schema['SourceDraft'];
export type FoundLog = Schema['FoundLog'];
export type Tryout = Schema['TryoutView'];
export type TryoutOptions = Schema['TryoutDraft'];
export type PictureStanding = Schema['Standing'];
export type LaneIdentity = Schema['IdentityView'];
export type ServiceDraft = Schema['ServiceDraft'];
export type ServiceOutlook = Schema['Outlook'];
export type HeldReason = Schema['HeldBack'];
export type Remedy = HeldReason['remedies'][number];
export type HandoverDraft = Schema['HandoverDraft'];
export type CertificateDraft = Schema['CertificateDraft'];
export type Unmatched = Schema['Unmatched'];
export type Guess = Schema['Guess'];
export type Received = Schema['Received'];
export type PaperCard = Schema['CardView'];
export type CardPile = 'TO_SEND' | 'SENT' | 'RECEIVED';
export type CardPiles = Schema['Piles'];
export type MailView = Schema['MailView'];
export type Radio = Schema['RadioView'];
export type RadioNow = Schema['Now'];
export type RadioDraft = Schema['RadioDraft'];
export type RadioChoices = Schema['Choices'];
export type Rotor = Schema['RotorView'];
export type RotorDraft = Schema['RotorDraft'];
export type StationView = Schema['StationView'];
export type OwnCallView = Schema['CallView'];
export type OperatorView = Schema['OperatorView'];
export type PlaceView = Schema['PlaceView'];
export type PlaceDraft = Schema['PlaceDraft'];
export type Preferences = Schema['Preferences'];
export type Position = Schema['PositionView'];
export type PositionDraft = Schema['PositionDraft'];
export type BandView = Schema['BandView'];
export type ClockView = Schema['ClockView'];
export type SearchView = Schema['SearchView'];
export type Finding = Schema['FindingView'];
export type SunView = Schema['SunView'];
export type Spot = Schema['SpotView'];
export type SpotDetail = Schema['SpotDetail'];
export type AirFilter = Schema['FilterChoice'];
export type AirNews = Schema['AirNews'];
export type TuneResult = Schema['TuneResult'];
export type AirChoices = Schema['AirChoices'];
export type GoalChoice = Schema['GoalChoice'];
export type AlertChoice = Schema['AlertChoice'];
export type AirAlert = Schema['Alert'];
export type BandStretch = Schema['BandStretch'];
export type HearsUs = Schema['HearsUs'];
export type ClusterMessage = Schema['ClusterMessage'];
export type SolarView = Schema['SolarView'];
export type NamedFilter = Schema['NamedFilter'];
export type PostingView = Schema['PostingView'];
export type Net = Schema['NetView'];
export type NetDraft = Schema['NetDraft'];
export type NetSheet = Schema['SheetView'];
export type MarkWords = Schema['MarkWordsView'];
export type CheckIn = Schema['CheckInView'];
export type CheckInDraft = Schema['CheckInDraft'];
export type NetRoster = Schema['RosterView'];
export type NetEntryView = Schema['EntryView'];
export type ContestDefinition = Schema['DefinitionView'];
export type ContestDefinitionCheck = Schema['DefinitionCheck'];
export type ContestTryout = Schema['SampleContactsView'];
export type ContestBook = Schema['BookView'];
export type ContestBookDraft = Schema['BookDraft'];
export type ContestScore = Schema['ContestScoreView'];
export type ContestContact = Schema['BookContactView'];
export type ContestLineView = Schema['ContestLineView'];
export type ContestLineRequest = Schema['ContestLineRequest'];
export type ContestText = Schema['ContestTextView'];
export type NextText = Schema['NextText'];
export type Scoreboard = Schema['ScoreboardView'];
export type ScoreboardDraft = Schema['ScoreboardDraft'];
export type BoardLine = Schema['BoardLine'];
export type BoardStep = Schema['BoardStep'];
export type LastPost = Schema['LastPost'];
export type ScoreByHand = Schema['ScoreByHand'];
export type Adjudicator = Schema['AdjudicatorView'];
export type AdjudicatorDraft = Schema['AdjudicatorDraft'];
export type HandIn = Schema['HandInView'];
export type SerialGap = Schema['SerialGap'];
export type SentText = Schema['SentText'];
export type ContestCall = Schema['ContestCallView'];
export type TextProgram = Schema['TextProgramView'];
export type TextProgramDraft = Schema['TextProgramDraft'];
export type ReceivedText = Schema['ReceivedTextView'];
export type AgreedPiece = Schema['AgreedPiece'];
export type ContestFinding = Schema['BookFindingView'];
export type ContestWorth = Schema['WorthView'];
export type TeamView = Schema['TeamView'];
export type TeamMember = Schema['MemberView'];
export type TeamMessage = Schema['MessageView'];
export type PassOption = Schema['PassOption'];
export type PositionAtWork = Schema['PositionAtWork'];
export type ContestMultiplier = Schema['MultiplierView'];
export type ContestPace = Schema['PaceView'];
export type ContestHour = Schema['HourView'];
export type ContestCategory = Schema['CategoryView'];
export type ReceivedPicture = Schema['PictureView'];
export type PictureDetails = Schema['PictureDetails'];
export type PicturePage = Schema['PicturePage'];
export type PictureUpdate = Schema['PictureUpdate'];
export type PictureSettings = Schema['PictureSettings'];
export type ReplyLayout = Schema['ReplyLayout'];
export type ReplyLayoutStored = Schema['StoredLayout'];
export type ReplyRequest = Schema['ReplyRequest'];
export type OwnPicture = Schema['OwnPicture'];
export type Feed = Schema['FeedView'];
export type FeedDraft = Schema['FeedDraft'];
export type ConsoleLine = Schema['Entry'];
export type ImportResult = Schema['ImportResult'];
export type SettingsRestored = Schema['Restored'];

export const api = createClient<paths>({
  baseUrl: location.origin,
  fetch: (request) => fetch(request),
});

let position: () => number | undefined = () => undefined;

/** From now on requests say at which position this browser is, so that the log knows who did something. */
export function askFrom(read: () => number | undefined): void {
  position = read;
}

function fromHere(): Record<string, string> {
  const id = position();
  return id === undefined ? {} : { 'Yokebar-Position': String(id) };
}

api.use({
  onRequest({ request }) {
    Object.entries(fromHere()).forEach(([name, value]) => request.headers.set(name, value));
    return request;
  },
});

/** What the server said is wrong: one sentence, and a sentence for each field to blame. */
export class Problem extends Error {
  readonly fields: Map<string, string>;

  constructor(sentence: string, fields: Map<string, string> = new Map()) {
    super(sentence);
    this.fields = fields;
  }

  static from(body: unknown): Problem {
    const problem = (body ?? {}) as { detail?: string; fields?: { field: string; sentence: string }[] };
    const fields = new Map((problem.fields ?? []).map((f) => [f.field, f.sentence]));
    return new Problem(problem.detail ?? texts.yokebarCouldNotDoThat, fields);
  }
}

/** The server could not be reached: what was asked may be asked again. */
export class NoAnswer extends Problem {
  constructor() {
    super(texts.yokebarDoesNotAnswerIs);
  }
}

/** Sends a file with further fields; throws a Problem when the server refused it or could not be reached. */
export async function sendFile<T>(
  address: string,
  file: File,
  fields: Record<string, string> = {},
): Promise<T> {
  const body = new FormData();
  body.set('file', file);
  Object.entries(fields).forEach(([name, value]) => body.set(name, value));
  let answer: Response;
  try {
    answer = await fetch(address, { method: 'POST', body, headers: fromHere() });
  } catch {
    throw new NoAnswer();
  }
  const content: unknown = await answer.json().catch(() => undefined);
  if (!answer.ok) {
    throw Problem.from(content);
  }
  return content as T;
}

type Answer<T> = { data?: T; error?: unknown };

/** The data of an answer; throws a Problem when the server refused or could not be reached. */
export async function got<T>(answer: Promise<Answer<T>>): Promise<T> {
  let received: Answer<T>;
  try {
    received = await answer;
  } catch {
    throw new NoAnswer();
  }
  if (received.error !== undefined || received.data === undefined) {
    throw Problem.from(received.error);
  }
  return received.data;
}
