import { p } from '@mikro-orm/core';
import type { PracticeSettings } from '#contract/practice';
import type { RungSessions } from '#core/course';
import type { SchoolId } from '#core/protocol';
import type { OwnPlace } from '#core/quantity';
import { RULES } from '#core/rules';
import type { BloodPressure, Stricter } from '#core/screening';
import type { Prepare } from '../db/dialect/connection';
import { defineRecord, id } from './define';
import { findRow } from './read';

const STOP_ABOVE = RULES['RUN-8'].figures.stopAbove;

export const practiceRecord = defineRecord({
  name: 'Practice',
  table: 'practice',
  of: 'practice',
  properties: {
    id: id(),
    name: p.string(),
    schoolId: p.string().$type<SchoolId>(),
    massUnit: p.string().$type<PracticeSettings['massUnit']>(),
    lengthUnit: p.string().$type<PracticeSettings['lengthUnit']>(),
    phone: p.string(),
    emergencyPhone: p.string().default('112'),
    letterhead: p.string(),
    publicAddress: p.string().default(''),
    effortIn: p.string().$type<PracticeSettings['effortIn']>().default('of-ten'),
    stopAboveSystolicMmHg: p.integer().default(STOP_ABOVE.systolicMmHg),
    stopAboveDiastolicMmHg: p.integer().default(STOP_ABOVE.diastolicMmHg),
    arbitraryUpToMmHg: p.integer().nullable(),
    keepYears: p.integer().nullable(),
    dateOrder: p.string().$type<PracticeSettings['dateOrder']>().default('day-month-year'),
    stricter: p.json().$type<Stricter>(),
    rungSessions: p.json().$type<RungSessions>().default('{}'),
    places: p.json().$type<OwnPlace[]>().default('[]'),
    /** How far a demonstration's clock was moved on. */
    clockAheadMs: p.bigint('number').default(0),
  },
  archive: { kind: 'practice', order: 'id', follows: () => ({ id: 'practice' }) },
  checks: ["mass_unit in ('kg', 'lb')", "length_unit in ('cm', 'in')"],
});

/** Above which blood pressure work ends in this practice (rule RUN-8). */
export function limitOfPractice(prepare: Prepare): BloodPressure {
  const row = findRow(prepare, practiceRecord, 'all', ['stopAboveSystolicMmHg', 'stopAboveDiastolicMmHg']);
  return row
    ? { systolicMmHg: row.stopAboveSystolicMmHg, diastolicMmHg: row.stopAboveDiastolicMmHg }
    : STOP_ABOVE;
}
