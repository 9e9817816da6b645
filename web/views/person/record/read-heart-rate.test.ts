import { describe, expect, it } from 'vitest';
import { NoHeartRate, readHeartRate } from './read-heart-rate';

const point = (second: number, bpm: number | null) =>
  `<Trackpoint><Time>2026-05-04T10:00:${String(second).padStart(2, '0')}Z</Time>${
    bpm === null ? '' : `<HeartRateBpm><Value>${bpm}</Value></HeartRateBpm>`
  }</Trackpoint>`;
const tcx = (...points: string[]) =>
  `<?xml version="1.0"?><TrainingCenterDatabase xmlns="x"><Activities><Activity Sport="Other"><Lap><Track>${points.join('')}</Track></Lap></Activity></Activities></TrainingCenterDatabase>`;
const START_MS = Date.UTC(2026, 4, 4, 10);

describe('heart rate of a file', () => {
  it('comes of a training file with its own clock', () => {
    expect(readHeartRate(tcx(point(0, 90), point(5, null), point(10, 100)))).toEqual({
      startMs: START_MS,
      samples: [
        { afterMs: 0, beatsPerMinute: 90 },
        { afterMs: 10_000, beatsPerMinute: 100 },
      ],
    });
    // A strap that slipped writes nothing or nonsense: neither is heart rate, and the first beat is the beginning.
    expect(readHeartRate(tcx(point(0, 0), point(5, 300), point(10, 100), point(11, 101)))).toMatchObject({
      startMs: START_MS + 10_000,
      samples: [{ afterMs: 0 }, { afterMs: 1_000 }],
    });
  });

  it('brings watts along where the file has them, and none that are no power', () => {
    const powered = (second: number, watts: string) =>
      point(second, 100).replace(
        '</Trackpoint>',
        `<Extensions><ns3:TPX><ns3:Watts>${watts}</ns3:Watts></ns3:TPX></Extensions></Trackpoint>`,
      );
    const watts = (text: string) => readHeartRate(text).samples.map((sample) => sample.watts);
    expect(
      watts(tcx(powered(0, '74.6'), powered(1, '0'), powered(2, '-4'), powered(3, 'x'), point(4, 100))),
    ).toEqual([75, 0, undefined, undefined, undefined]);
    expect(watts('time,bpm,power (W)\n0,90,70\n1,91,\n2,92,72')).toEqual([70, undefined, 72]);
  });

  it.each([
    ['seconds', 'time,bpm\n0,90\n1.5,91', [0, 1_500]],
    ['minutes and seconds', 'Elapsed;Heart rate\n0:59;90\n1:02;91', [0, 3_000]],
    ['hours', 'Time\tHR (bpm)\n1:00:00\t90\n1:00:04\t91', [0, 4_000]],
  ])('comes of a table in %s, without a clock', (_, text, afterMs) => {
    const { startMs, samples } = readHeartRate(text);
    expect(startMs).toBeNull();
    expect(samples.map((sample) => sample.afterMs)).toEqual(afterMs);
  });

  it('comes of a table with dates, with a clock', () => {
    const read = readHeartRate('timestamp,pulse\n2026-05-04T10:00:00Z,90\n2026-05-04T10:00:03Z,92');
    expect(read).toMatchObject({ startMs: START_MS, samples: [{ afterMs: 0 }, { afterMs: 3_000 }] });
  });

  it.each([
    ['', /Which columns/],
    ['name,girth\nA,5', /Which columns/],
    ['time,bpm\n0,90', /no heart rate/],
    ['time,bpm\n0,ninety\n1,high', /no heart rate/],
    ['<gpx></gpx>', /no heart rate/],
    ['<Trackpoint><Time>', /no heart rate|broken off/],
    ['<!DOCTYPE x [<!ENTITY a "aaaa">]><x>&a;&a;</x>', /no heart rate|broken off/],
  ])('is not in %j', (text, words) => {
    expect(() => readHeartRate(text)).toThrow(words);
    expect(() => readHeartRate(text)).toThrow(NoHeartRate);
  });
});
