import type { LogLine } from '../platform/api/client';
import { kiloHertz, utcDate, utcMinute } from '../platform/shared/format';
import { texts } from './texts';

/** A column of the log. */
export interface Column {
  /** The ADIF name of the field it shows; also what it is sorted by, unless another is given. */
  field: string;
  label: string;
  /** Of a grid column. */
  width: string;
  kind: 'text' | 'mono' | 'number';
  sort?: string;
  text: (line: LogLine) => string;
  /** Whether it can be changed in its cell. */
  editable?: boolean;
}

const mono = 'mono' as const;

/** Columns that every row brings along. */
export const USUAL: Column[] = [
  {
    field: 'QSO_DATE',
    label: texts.date,
    width: '92px',
    kind: mono,
    sort: 'START',
    text: (l) => utcDate(l.start),
  },
  {
    field: 'TIME_ON',
    label: 'UTC',
    width: '48px',
    kind: mono,
    sort: 'START',
    text: (l) => utcMinute(l.start),
  },
  {
    field: 'CALL',
    label: texts.call,
    width: 'minmax(84px, 1fr)',
    kind: mono,
    text: (l) => l.call,
    editable: true,
  },
  { field: 'BAND', label: texts.band, width: '48px', kind: 'text', text: (l) => l.band },
  { field: 'FREQ', label: 'kHz', width: '76px', kind: 'number', text: (l) => kiloHertz(l.frequencyHz) },
  { field: 'MODE', label: texts.mode, width: '56px', kind: 'text', text: (l) => l.mode },
  {
    field: 'RST_SENT',
    label: texts.sent,
    width: '48px',
    kind: mono,
    text: (l) => l.reportSent ?? '',
    editable: true,
  },
  {
    field: 'RST_RCVD',
    label: texts.rcvd,
    width: '48px',
    kind: mono,
    text: (l) => l.reportReceived ?? '',
    editable: true,
  },
  {
    field: 'NAME',
    label: texts.name,
    width: 'minmax(56px, 1.2fr)',
    kind: 'text',
    text: (l) => l.name ?? '',
    editable: true,
  },
  {
    field: 'COUNTRY',
    label: texts.entity,
    width: 'minmax(72px, 1.5fr)',
    kind: 'text',
    text: (l) => l.country ?? '',
  },
  {
    field: 'GRIDSQUARE',
    label: texts.locator,
    width: '72px',
    kind: mono,
    text: (l) => l.locator ?? '',
    editable: true,
  },
  {
    field: 'PROP_MODE',
    label: texts.via,
    width: '48px',
    kind: 'text',
    text: (l) => l.propagation ?? '',
    editable: true,
  },
  { field: 'STATION_CALLSIGN', label: texts.ownCall, width: '88px', kind: mono, text: (l) => l.ownCall },
];

/** What a log shows until somebody chooses otherwise. */
export const FIRST_COLUMNS = [
  'QSO_DATE',
  'TIME_ON',
  'CALL',
  'BAND',
  'FREQ',
  'MODE',
  'RST_SENT',
  'RST_RCVD',
  'NAME',
  'COUNTRY',
  'GRIDSQUARE',
];

const OTHER_LABELS: Record<string, string> = {
  QTH: texts.town,
  STATE: texts.state,
  COMMENT: texts.comment,
  NOTES: texts.notes,
  OPERATOR: texts.operator,
  TX_PWR: 'W',
  CQZ: 'CQ',
  ITUZ: 'ITU',
  CONT: texts.cont,
  DXCC: texts.entityNo,
  SAT_NAME: texts.satellite,
  MY_GRIDSQUARE: texts.ownLocator,
  TIME_OFF: 'End',
};
const WIDE = new Set(['QTH', 'COMMENT', 'NOTES', 'ADDRESS']);
/** They follow from others, or are the log's own. */
const COMPUTED = new Set(['YEAR', 'GROUP', 'SQUARE', 'SUBMODE', 'PLACE']);

/** The column of a field. */
export function column(field: string): Column {
  return (
    USUAL.find((c) => c.field === field) ?? {
      field,
      label: OTHER_LABELS[field] ?? field,
      width: WIDE.has(field) ? 'minmax(96px, 2fr)' : 'minmax(64px, 1fr)',
      kind: 'text',
      text: (line) => line.more[field] ?? '',
      editable: true,
    }
  );
}

/** The fields that can be chosen as columns: the usual ones, then what the log has. */
export function choosable(inLog: string[], services: string[]): string[] {
  const usual = USUAL.map((c) => c.field);
  const others = inLog.filter((f) => !usual.includes(f) && !COMPUTED.has(f) && !services.includes(f));
  return [...usual, ...others];
}

/** Fields that the server has to send besides the usual ones. */
export function besides(fields: string[]): string[] {
  return fields.filter((field) => !USUAL.some((c) => c.field === field));
}

const GAP_PX = 12;
/** What a row is known by; it stays as long as there is any room. */
const LAST_TO_GO = new Set(['CALL', 'QSO_DATE', 'TIME_ON', 'BAND', 'FREQ', 'MODE', 'NAME']);

/** The least width of a column, px, with the gap behind it. */
function leastPx(c: Column): number {
  return Number(/(\d+)px/.exec(c.width)?.[1] ?? 64) + GAP_PX;
}

/** The columns there is room for: the last go first, those a row is known by at the very end. */
export function fitting(columns: Column[], widthPx: number): Column[] {
  const kept = [...columns];
  let width = kept.reduce((sum, c) => sum + leastPx(c), 0);
  while (width > widthPx && kept.length > 1) {
    const dispensable = kept.findLastIndex((c) => !LAST_TO_GO.has(c.field));
    const at = dispensable >= 0 ? dispensable : kept.findLastIndex((c) => c.field !== 'CALL');
    width -= kept.splice(at, 1).reduce((sum, c) => sum + leastPx(c), 0);
  }
  return kept;
}

/** The box to choose with, its gap and the margins of the table. */
const CHOICE_PX = 28 + 12 + 2 * 16;
/** One seal with its word, or as many shapes as there are services. */
const SEAL_WITH_WORD_PX = 104;
const SEAL_PX = 24;

export function sealsPx(services: number): number {
  return services === 1 ? SEAL_WITH_WORD_PX : services * SEAL_PX;
}

/** What columns cannot have of the width of the table. */
export function besidesPx(services: number): number {
  return CHOICE_PX + sealsPx(services);
}
