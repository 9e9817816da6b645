import type { EntryContent, RecordEntries, RecordEntry, RetractableKind } from '#contract/corrections';
import { RETRACTABLE_TABLES } from './retractable';
import type { Prepare } from './sqlite';

/** The content of a row of a kind (`EntryContent`), as a JSON object in SQL. */
const CONTENT: Record<RetractableKind, string> = {
  screening: `json_object('yes', json(yes))`,
  clearance: `json_object('subjects', json_extract(clearance, '$.subjects'), 'givenBy', json_extract(clearance, '$.givenBy'))`,
  consent: `json_object('decision', decision, 'read', "read")`,
  'day-check': `json_object('painNow', json_extract(answers, '$.painNow'))`,
  fit: `json_object('limb', limb, 'girthCm', girth_cm, 'label', label)`,
  tightness: `json_object('limb', limb, 'label', strap_label, 'mark', mark, 'counts', counts, 'tension', tension, 'felt', felt)`,
  'occlusion-pressure': `json_object('limb', limb, 'position', position, 'pressureMmHg', pressure_mm_hg, 'label', cuff_label)`,
  'quick-check': `json_object('limb', (select limb from lop where lop.id = lop_id), 'goneMmHg', gone_mm_hg)`,
  'strength-test': `json_object('exerciseId', exercise_id, 'side', side, 'loadKg', load_kg, 'reps', reps)`,
  'heavy-work': `json_object('exerciseId', exercise_id, 'side', side, 'sets', sets, 'loadKg', load_kg, 'reps', reps)`,
  session: `json_object('plan', (
    select course_plan.name from prescription join course_plan on course_plan.id = course_plan_id
    where prescription.id = prescription_id), 'state', case when finished_at_ms is null then 'running' else 'finished' end)`,
};

const PAGE = 40;
const KINDS = Object.keys(RETRACTABLE_TABLES) as RetractableKind[];

/** What is on a person's record, the newest first, with what was retracted and why. */
export function readEntries(prepare: Prepare, clientId: string, beforeMs: number): RecordEntries {
  const selects = KINDS.map((kind) => {
    const { table, at } = RETRACTABLE_TABLES[kind];
    return `select * from (select '${kind}' as kind, id, ${at} as at_ms, ${CONTENT[kind]} as content from ${table}
      where client_id = ?1 and ${at} < ?2 order by ${at} desc limit ${PAGE + 1})`;
  });
  const rows = prepare(
    `select entry.kind, entry.id, entry.at_ms as "atMs", content, retraction.at_ms as "retractedAtMs", person.name as "by", reason
     from (${selects.join(' union all ')}) as entry
       left join retraction on retraction.kind = entry.kind and row_id = entry.id
       left join person on person.id = retraction.practitioner_id
     order by entry.at_ms desc, entry.id limit ${PAGE + 1}`,
  ).all(clientId, beforeMs) as {
    kind: RetractableKind;
    id: string;
    atMs: number;
    content: string;
    retractedAtMs: number | null;
    by: string | null;
    reason: string | null;
  }[];
  return {
    entries: rows.slice(0, PAGE).map(
      ({ kind, id, atMs, content, retractedAtMs, by, reason }): RecordEntry => ({
        id,
        atMs,
        content: { kind, ...JSON.parse(content) } as EntryContent,
        retracted:
          retractedAtMs === null ? null : { atMs: retractedAtMs, by: by ?? '', reason: reason ?? '' },
      }),
    ),
    hasMore: rows.length > PAGE,
  };
}
