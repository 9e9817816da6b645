import type { Cuff } from '#core/cuff';
import type { Pump } from '#core/kit';
import { type Message, MessageError, msg } from '#core/message';
import type { Spread } from '#core/occlusion-pressure';
import type { MeasureBook } from '#core/outcomes';
import type { Exercise } from '#core/protocol';
import type { Prepare } from '../../db/dialect/connection';
import { clientRecord } from '../../record/client';
import { findRows } from '../../record/read';

/** Why a row is not imported, at which of its fields. */
export class RefusedCell extends MessageError {
  readonly code = 'refused-cell';

  constructor(
    readonly field: string,
    says: Message,
  ) {
    super(says);
  }
}

/** What rows are kept by: who works, when it is, and what the practice has. */
export type KeepingRows = {
  prepare: Prepare;
  practitionerId: string;
  nowMs: number;
  aheadMs: number;
  cuffs: readonly Cuff[];
  pumps: readonly Pump[];
  /** How the trials of the practice have spread so far (rule LOP-3). */
  spread: Spread;
  library: Readonly<Record<string, Exercise>>;
  measures: MeasureBook;
  /** Whether the practitioner may retract an entry that an earlier table brought. */
  mayCorrect: boolean;
  /** Ids of people by their name in small letters. */
  people: Map<string, string[]>;
};

/** All people by their name, read once for a table: no index finds names whatever their capitals. */
export function readPeopleByName(prepare: Prepare): Map<string, string[]> {
  const people = new Map<string, string[]>();
  for (const { id, name } of findRows(prepare, clientRecord, 'all', ['id', 'name']))
    addByName(people, name, id);
  return people;
}

export function addByName(people: Map<string, string[]>, name: string, id: string): void {
  people.set(name.toLowerCase(), [...(people.get(name.toLowerCase()) ?? []), id]);
}

/** Where a name is of several people. */
export const SEVERAL = (values: { person: string }) =>
  msg('Several people are called {person}. Enter it where they stand.', values);

/** A time of a day, where the server is, in ms since 1970. @param time such as `09:30`; `24:00` is the end of the day */
export const momentOf = (day: string, time: string): number => new Date(`${day}T${time}:00`).getTime();

/** @throws RefusedCell for a day that is to come */
export function refuseToCome(field: string, day: string, nowMs: number): void {
  if (momentOf(day, '00:00') > nowMs)
    throw new RefusedCell(field, msg('{day} is to come. Check the date.', { day }));
}
