import type { Prepare } from './sqlite';

/** Of which things a newer row takes the place of an older one, as the triggers keep it (migrations 005, 006 and 013). */
export const SAME: Record<string, readonly string[]> = {
  screening: ['client_id'],
  consent: ['client_id'],
  day_check: ['client_id'],
  girth: ['client_id', 'limb'],
  tightness: ['client_id', 'limb', 'strap_id'],
  lop: ['client_id', 'limb', 'position', 'cuff_id', 'width_cm'],
  strength_test: ['client_id', 'exercise_id', 'side'],
  prescription: ['course_plan_id'],
  block: ['client_id'],
  session: ['client_id'],
};

/** Works out which rows of a person count now, but for those that were retracted (2): to be called where some were deleted, which no trigger sees. */
export function recountSuperseded(prepare: Prepare, clientId: string): void {
  for (const [table, keys] of Object.entries(SAME)) {
    const at = table === 'session' ? 'opened_at_ms' : 'at_ms';
    prepare(
      `update ${table} set superseded = case when id in (
         select id from (
           select id, row_number() over (partition by ${keys.join(', ')} order by ${at} desc, rowid desc) as place
           from ${table} where client_id = ?1 and superseded <> 2
         ) where place = 1) then 0 else 1 end
       where client_id = ?1 and superseded <> 2`,
    ).run(clientId);
  }
}
