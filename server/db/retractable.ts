import type { RetractableKind } from '#contract/corrections';
import { SAME } from './superseded';

/** The table of entries of a kind, and how it is kept that one of them was retracted. */
type Retractable = { table: string; at: 'at_ms' | 'opened_at_ms'; keeps: 'superseded' | 'retracted' };

const of = (table: string): Retractable => ({
  table,
  at: table === 'session' ? 'opened_at_ms' : 'at_ms',
  keeps: table in SAME ? 'superseded' : 'retracted',
});

/** A table for every kind. In those where a newer row takes the place of an older one, 2 says that a row never counts again. */
export const RETRACTABLE_TABLES: Record<RetractableKind, Retractable> = {
  screening: of('screening'),
  clearance: of('clearance'),
  consent: of('consent'),
  'day-check': of('day_check'),
  fit: of('girth'),
  tightness: of('tightness'),
  'occlusion-pressure': of('lop'),
  'quick-check': of('lop_quick_check'),
  'strength-test': of('strength_test'),
  'heavy-work': of('heavy_work'),
  session: of('session'),
};
