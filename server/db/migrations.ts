import type { Migration } from '@mikro-orm/migrations';
import { MIGRATION_NAMES, type MigrationName } from './migration-names';
import { FirstTables } from './migrations/001-first-tables';
import { WholeSessions } from './migrations/002-whole-sessions';
import { OneTruth } from './migrations/003-one-truth';
import { LimbShelfLives } from './migrations/004-limb-shelf-lives';
import { ShapedReads } from './migrations/005-shaped-reads';
import { SeveralPlans } from './migrations/006-several-plans';
import { Outcomes } from './migrations/007-outcomes';
import { OwnMeasures } from './migrations/008-own-measures';
import { TakenIn } from './migrations/009-taken-in';
import { Accounts } from './migrations/010-accounts';
import { MendedRecords } from './migrations/011-mended-records';
import { ErasedAdverseEvents } from './migrations/012-erased-adverse-events';
import { Consents } from './migrations/013-consents';
import { PracticeHabits } from './migrations/014-practice-habits';
import { WithoutLop } from './migrations/015-without-lop';
import { HomeLinks } from './migrations/016-home-links';
import { PracticeDateOrder } from './migrations/017-date-order';
import { Learning } from './migrations/018-learning';
import { Wraps } from './migrations/019-wraps';
import { LimbsOfItems } from './migrations/020-limbs-of-items';
import { About } from './migrations/021-about';
import { WhoIsNew } from './migrations/022-who-is-new';
import { Conditions } from './migrations/023-conditions';
import { PainInHeavyWork } from './migrations/024-pain-in-heavy-work';
import { RangesOfLetters } from './migrations/025-ranges-of-letters';
import { StepsDown } from './migrations/026-steps-down';
import { GaugeErrors } from './migrations/027-gauge-errors';
import { SiteKeys } from './migrations/028-site-keys';
import { Messages } from './migrations/029-messages';
import { PlainNames } from './migrations/030-plain-names';
import { Retention } from './migrations/031-retention';
import { CoursesAsSigned } from './migrations/032-courses-as-signed';
import { Floor } from './migrations/033-floor';
import { NotesAndAttachments } from './migrations/034-notes-and-attachments';

const CLASSES: Record<MigrationName, new (...of: ConstructorParameters<typeof Migration>) => Migration> = {
  '001-first-tables': FirstTables,
  '002-whole-sessions': WholeSessions,
  '003-one-truth': OneTruth,
  '004-limb-shelf-lives': LimbShelfLives,
  '005-shaped-reads': ShapedReads,
  '006-several-plans': SeveralPlans,
  '007-outcomes': Outcomes,
  '008-own-measures': OwnMeasures,
  '009-taken-in': TakenIn,
  '010-accounts': Accounts,
  '011-mended-records': MendedRecords,
  '012-erased-adverse-events': ErasedAdverseEvents,
  '013-consents': Consents,
  '014-practice-habits': PracticeHabits,
  '015-without-lop': WithoutLop,
  '016-home-links': HomeLinks,
  '017-date-order': PracticeDateOrder,
  '018-learning': Learning,
  '019-wraps': Wraps,
  '020-limbs-of-items': LimbsOfItems,
  '021-about': About,
  '022-who-is-new': WhoIsNew,
  '023-conditions': Conditions,
  '024-pain-in-heavy-work': PainInHeavyWork,
  '025-ranges-of-letters': RangesOfLetters,
  '026-steps-down': StepsDown,
  '027-gauge-errors': GaugeErrors,
  '028-site-keys': SiteKeys,
  '029-messages': Messages,
  '030-plain-names': PlainNames,
  '031-retention': Retention,
  '032-courses-as-signed': CoursesAsSigned,
  '033-floor': Floor,
  '034-notes-and-attachments': NotesAndAttachments,
};

/** Every migration, in order. */
export const MIGRATIONS = MIGRATION_NAMES.map((name) => ({ name, class: CLASSES[name] }));
