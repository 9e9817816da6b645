import { t } from '@lingui/core/macro';
import { XMLParser } from 'fast-xml-parser';
import { parse } from 'papaparse';
import type { HeartRateFile, HeartRateSample } from '#core/session';
import { plainWords } from '#core/table';

/** Why a file has no heart rate, and what to do. */
export class NoHeartRate extends Error {}

/** Two days at one a second. */
const MOST_SAMPLES = 200_000;
const [LOWEST, HIGHEST] = [20, 260];
const MOST_WATTS = 2_000;

/**
 * Heart rate of a file, and watts where it has them: a training file in XML (TCX), or a table with a time and beats a minute.
 * @throws NoHeartRate with what to do
 */
export function readHeartRate(text: string): HeartRateFile {
  const read = /^\s*</.test(text) ? readTcx(text) : readCsv(text);
  const samples = read.samples
    .filter(({ beatsPerMinute }) => beatsPerMinute >= LOWEST && beatsPerMinute <= HIGHEST)
    .sort((a, b) => a.afterMs - b.afterMs);
  if (samples.length < 2)
    throw new NoHeartRate(
      t`There is no heart rate in this file. Choose one with a time and beats a minute (TCX or CSV).`,
    );
  if (samples.length > MOST_SAMPLES)
    throw new NoHeartRate(t`More than two days of heart rate: cut out the session.`);
  const [first] = samples;
  const offMs = first?.afterMs ?? 0;
  return {
    startMs: read.startMs === null ? null : read.startMs + offMs,
    samples: samples.map((sample) => ({ ...sample, afterMs: sample.afterMs - offMs })),
  };
}

type Read = HeartRateFile;

function readTcx(text: string): Read {
  // No entities: a file of beats needs none, and some are made to fill the memory.
  const parser = new XMLParser({
    processEntities: false,
    isArray: (name) => name === 'Trackpoint',
    removeNSPrefix: true,
  });
  let root: unknown;
  try {
    root = parser.parse(text);
  } catch {
    throw new NoHeartRate(t`This XML is broken off. Take the file out of the watch’s program again, as TCX.`);
  }
  const points = under(root, 'Trackpoint').flat() as Record<string, unknown>[];
  const timed = points.flatMap((point) => {
    const atMs = Date.parse(String(point.Time));
    const [value] = under(point.HeartRateBpm, 'Value');
    const beatsPerMinute = Number(value ?? point.HeartRateBpm);
    const [watts] = under(point.Extensions, 'Watts');
    return Number.isNaN(atMs) || Number.isNaN(beatsPerMinute)
      ? []
      : [{ atMs, beatsPerMinute, ...wattsOf(watts) }];
  });
  return fromClock(timed);
}

/** Values under a name, however deep. */
function under(value: unknown, name: string): unknown[] {
  if (Array.isArray(value)) return value.flatMap((one) => under(one, name));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, one]) => (key === name ? [one] : under(one, name)));
}

/** Watts as they stand in a file; not there where none do, or what stands there is no power. */
function wattsOf(text: unknown): { watts?: number } {
  const watts = text === undefined || text === '' ? Number.NaN : Math.round(Number(text));
  return watts >= 0 && watts <= MOST_WATTS ? { watts } : {};
}

type Timed = Omit<HeartRateSample, 'afterMs'> & { atMs: number };

function fromClock(timed: readonly Timed[]): Read {
  const startMs = Math.min(...timed.map(({ atMs }) => atMs));
  return {
    startMs: timed.length === 0 ? null : startMs,
    samples: timed.map(({ atMs, ...sample }) => ({ ...sample, afterMs: atMs - startMs })),
  };
}

const TIME = ['time', 'timestamp', 'elapsed', 'seconds', 'elapsed time', 'time s', 'date time', 'datetime'];
const RATE = [
  'bpm',
  'heart rate',
  'hr',
  'heartrate',
  'heart rate bpm',
  'hr bpm',
  'pulse',
  'beats per minute',
];

const WATTS = ['watts', 'power', 'power w', 'w', 'leistung'];

function readCsv(text: string): Read {
  const { data } = parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' });
  const heads = data[0]?.map(plainWords) ?? [];
  const column = (names: readonly string[]) => heads.findIndex((head) => names.includes(head));
  const [time, rate, power] = [column(TIME), column(RATE), column(WATTS)];
  if (time < 0 || rate < 0) {
    throw new NoHeartRate(
      t`Which columns are the time and the heart rate? Call them “time” (seconds, m:ss or a date and time) and “bpm”.`,
    );
  }
  const cells = data.slice(1).map((row) => ({
    when: row[time]?.trim() ?? '',
    beatsPerMinute: Number(row[rate]),
    ...wattsOf(row[power]?.trim()),
  }));
  const elapsed = cells.map(({ when, ...sample }) => ({ ...sample, afterMs: elapsedMs(when) }));
  if (elapsed.every(({ afterMs }) => afterMs !== null)) {
    return { startMs: null, samples: elapsed as HeartRateSample[] };
  }
  return fromClock(
    cells.flatMap(({ when, ...sample }) => {
      const atMs = Date.parse(when);
      return Number.isNaN(atMs) ? [] : [{ ...sample, atMs }];
    }),
  );
}

/** Seconds, m:ss or h:mm:ss since the file began; null for anything else. @example elapsedMs('1:02') //=> 62000 */
function elapsedMs(text: string): number | null {
  if (/^\d+([.]\d+)?$/.test(text)) return Number(text) * 1_000;
  const parts = /^(?:(\d+):)?(\d{1,2}):(\d{2})(?:\.\d+)?$/.exec(text);
  if (!parts) return null;
  return (Number(parts[1] ?? 0) * 3_600 + Number(parts[2]) * 60 + Number(parts[3])) * 1_000;
}
