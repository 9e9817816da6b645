import { ARCHIVE_KIND_NAMES } from '#contract/archive-kind-names';
import type { ArchiveKind } from '#contract/archive-rows';
import { CLINICIANS_KIT, type KitList } from '#contract/practice';
import { type Doer, mayDo, type Permission, whoMay } from '#core/access';
import { msg } from '#core/message';
import { estimateOcclusionPressure, NEVER_APART, type ReadingSchool } from '#core/occlusion-pressure';
import { EXERCISES } from '#core/protocol';
import { RULES } from '#core/rules';
import type { Prepare } from '../../db/dialect/connection';
import { readTrials } from '../../record/trial';
import { NotAnArchive } from './read-archive';

// What a file claims is compared with what can be worked out here, and is let in by the same roles as on a screen (START-3).

type Row = Record<string, unknown>;

/** The permission needed to import a row, as on the screen that makes one. */
const PERMISSION_FOR: Partial<Record<ArchiveKind, (row: Row) => Permission | null>> = {
  clearance: () => 'clear',
  kit: ({ list }) => (CLINICIANS_KIT.includes(list as KitList) ? 'keep-limits' : 'keep-weights'),
  exercise: ({ id }) => (Object.hasOwn(EXERCISES, String(id)) ? 'keep-limits' : 'keep-weights'),
  measure: () => 'keep-practice',
  template: () => 'keep-templates',
  hold: ({ liftedAtMs }) => (liftedAtMs === null ? null : 'lift-hold'),
  condition: ({ endedAtMs }) => (endedAtMs === null ? null : 'end-condition'),
  retraction: () => 'correct-record',
  'rung-check': () => 'sign',
};

/** @throws NotAnArchive where the person who imports it may not make such a row on a screen */
export function refuseUnlessAllowed(kind: ArchiveKind, row: Row, doer: Doer, at: number): void {
  const permission = PERMISSION_FOR[kind]?.(row) ?? null;
  if (permission && !mayDo(doer, permission))
    throw new NotAnArchive(
      at,
      msg('not allowed to import this {kind}: {whoMay}', {
        kind: ARCHIVE_KIND_NAMES[kind],
        whoMay: whoMay(permission),
      }),
    );
}

/** Who asked is a claim: it ends no hold and outweighs no answer unless the person who imports it may do that. */
export function withoutClaimedRole(kind: ArchiveKind, row: Row, { role }: Doer): Row {
  const isClaimed = kind === 'screening' || kind === 'day-check';
  return isClaimed && role !== 'clinician' ? { ...row, by: null } : row;
}

/** Earlier releases left out what a method adds, and took less for a reading in one direction. */
const LEAST_SHARE_OF_UNCERTAINTY = 0.75;
/** Half a step of the figure: how releases have rounded it. */
const APART_MMHG = 0.5;

/**
 * Compares a pressure that came along with its own trials.
 * @throws NotAnArchive where they make another one, or one that no measurement can be
 */
export function checkOcclusion(prepare: Prepare, row: Row, at: number): void {
  const trials = readTrials(prepare, String(row.id));
  const saysMmHg = Number(row.pressureMmHg);
  const { refuseAbove } = RULES['LOP-7'].figures.occlusionPressureMmHg;
  if (saysMmHg > refuseAbove)
    throw new NotAnArchive(
      at,
      msg('an occlusion pressure of {saysMmHg} mmHg is above {refuseAbove} (LOP-7).', {
        saysMmHg,
        refuseAbove,
      }),
    );
  // One that came from a table has none: it stays a claim, and a clinician looks through the record before anything opens.
  if (trials.length === 0) return;
  // What the practice it comes from has seen is not known; less than this no practice can come to.
  const estimate = estimateOcclusionPressure(
    trials,
    { divisionMmHg: Number(row.divisionMmHg), errorMmHg: Number(row.gaugeErrorMmHg ?? 0) },
    row.readingSchool as ReadingSchool,
    'doppler',
    NEVER_APART,
  );
  if (!estimate || Math.abs(estimate.pressure.value - saysMmHg) > APART_MMHG)
    throw new NotAnArchive(
      at,
      estimate
        ? msg('this occlusion pressure says {saysMmHg} mmHg, and its own trials make {estimate}.', {
            saysMmHg,
            estimate: estimate.pressure.value,
          })
        : msg('this occlusion pressure says {saysMmHg} mmHg, and its own trials make none.', { saysMmHg }),
    );
  if (Number(row.uncertaintyMmHg) < LEAST_SHARE_OF_UNCERTAINTY * estimate.uncertaintyMmHg)
    throw new NotAnArchive(
      at,
      msg('this occlusion pressure says ± {says} mmHg, and its own trials make ± {least} at least.', {
        says: Number(row.uncertaintyMmHg),
        least: estimate.uncertaintyMmHg,
      }),
    );
}
