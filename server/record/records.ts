import { accountRecord } from './account';
import { adverseEventRecord } from './adverse-event';
import { attachmentPartRecord, attachmentRecord } from './attachment';
import { auditRecord } from './audit';
import { blockRecord } from './block';
import { calendarFeedRecord } from './calendar-feed';
import { clearanceRecord } from './clearance';
import { clientRecord } from './client';
import { comparisonRecord } from './comparison';
import { conditionRecord } from './condition';
import { consentRecord } from './consent';
import { coursePlanRecord } from './course-plan';
import { dayCheckRecord } from './day-check';
import { erasedRecord } from './erased';
import { erasedSessionRecord } from './erased-session';
import { exerciseRecord } from './exercise';
import { fitRecord } from './fit';
import { dayNoteRecord, handoverRecord } from './handover';
import { heavyWorkRecord } from './heavy-work';
import { holdRecord } from './hold';
import { homeLinkRecord } from './home-link';
import { importBatchRecord } from './import-batch';
import { importRowRecord } from './import-row';
import { inflationCountRecord } from './inflation-count';
import { kitRecord } from './kit';
import { measureRecord } from './measure';
import { occlusionPressureRecord } from './occlusion-pressure';
import { outcomeRecord } from './outcome';
import { practiceRecord } from './practice';
import { practiceAttemptRecord } from './practice-attempt';
import { practitionerRecord } from './practitioner';
import { prescriptionRecord } from './prescription';
import { quickCheckRecord } from './quick-check';
import { reportRecord } from './report';
import { retractionRecord } from './retraction';
import { rungCheckRecord } from './rung-check';
import { screeningRecord } from './screening';
import { sessionRecord } from './session';
import { sessionAttemptRecord } from './session-attempt';
import { sessionEventRecord } from './session-event';
import { signInRecord } from './sign-in';
import { signInWaitRecord } from './sign-in-wait';
import { siteKeyRecord } from './site-key';
import { strengthTestRecord } from './strength-test';
import { templateRecord } from './template';
import { tightnessRecord } from './tightness';
import { trialRecord } from './trial';
import { visitNoteRecord } from './visit-note';

/** Every kind of record; each is defined once, in a file of its own. */
export const RECORDS = [
  practiceRecord,
  practitionerRecord,
  kitRecord,
  exerciseRecord,
  measureRecord,
  templateRecord,
  practiceAttemptRecord,
  sessionAttemptRecord,
  clientRecord,
  screeningRecord,
  conditionRecord,
  clearanceRecord,
  consentRecord,
  dayCheckRecord,
  fitRecord,
  tightnessRecord,
  occlusionPressureRecord,
  trialRecord,
  quickCheckRecord,
  strengthTestRecord,
  coursePlanRecord,
  prescriptionRecord,
  blockRecord,
  sessionRecord,
  sessionEventRecord,
  rungCheckRecord,
  heavyWorkRecord,
  outcomeRecord,
  comparisonRecord,
  adverseEventRecord,
  visitNoteRecord,
  attachmentRecord,
  attachmentPartRecord,
  handoverRecord,
  dayNoteRecord,
  reportRecord,
  holdRecord,
  retractionRecord,
  homeLinkRecord,
  auditRecord,
  accountRecord,
  signInRecord,
  signInWaitRecord,
  calendarFeedRecord,
  importBatchRecord,
  importRowRecord,
  inflationCountRecord,
  erasedRecord,
  erasedSessionRecord,
  siteKeyRecord,
] as const;

export const ENTITIES = RECORDS.map(({ entity }) => entity);
