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

/** Every migration, in order; what stands in a file tells its release. */
export const MIGRATIONS = [
  { name: '001-first-tables', class: FirstTables },
  { name: '002-whole-sessions', class: WholeSessions },
  { name: '003-one-truth', class: OneTruth },
  { name: '004-limb-shelf-lives', class: LimbShelfLives },
  { name: '005-shaped-reads', class: ShapedReads },
  { name: '006-several-plans', class: SeveralPlans },
  { name: '007-outcomes', class: Outcomes },
  { name: '008-own-measures', class: OwnMeasures },
  { name: '009-taken-in', class: TakenIn },
  { name: '010-accounts', class: Accounts },
  { name: '011-mended-records', class: MendedRecords },
  { name: '012-erased-adverse-events', class: ErasedAdverseEvents },
  { name: '013-consents', class: Consents },
  { name: '014-practice-habits', class: PracticeHabits },
  { name: '015-without-lop', class: WithoutLop },
  { name: '016-home-links', class: HomeLinks },
  { name: '017-date-order', class: PracticeDateOrder },
  { name: '018-learning', class: Learning },
  { name: '019-wraps', class: Wraps },
  { name: '020-limbs-of-items', class: LimbsOfItems },
  { name: '021-about', class: About },
  { name: '022-who-is-new', class: WhoIsNew },
  { name: '023-conditions', class: Conditions },
];

export const MIGRATION_NAMES = MIGRATIONS.map(({ name }) => name);
