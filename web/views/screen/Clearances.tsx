import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewClearance } from '#contract/measurements';
import { workModeSchema } from '#core/protocol/work-mode';
import { LIMB_LABELS, LIMBS } from '#core/quantity/limb';
import { type Clearance, type ClearanceSubject, clearanceSchema, isInForce } from '#core/screening/clearance';
import type { Reason } from '#core/screening/decide';
import { SCREEN_ITEMS } from '#core/screening/items';
import { api, failureWords, read } from '../../data/api';
import { usePastClearances } from '../../data/history';
import { useMay, useRecordWrite } from '../../data/queries';
import { told } from '../../language/told';
import { Button } from '../../parts/Button';
import { DateField } from '../../parts/DateField';
import { Field, FieldError } from '../../parts/Field';
import { day, endOfDayMs } from '../../parts/format';
import { More } from '../../parts/More';
import { Tick } from '../../parts/Tick';
import { Ticks } from '../../parts/Ticks';
import { Why } from '../../parts/Why';

const OTHER_SUBJECTS = {
  'blood-pressure': t`Resting blood pressure`,
  'pressor-response': t`How the blood pressure rises in work`,
};
const subjectWords = (subject: ClearanceSubject): string =>
  subject === 'blood-pressure' || subject === 'pressor-response'
    ? OTHER_SUBJECTS[subject]
    : told(SCREEN_ITEMS[subject].label);

/** What a clearance limits, in words; "no limits" when nothing. */
function limitWords({ maxPercentLop, limbs, modes }: Clearance): string {
  const parts = [
    maxPercentLop === null ? '' : t`to ${maxPercentLop} % of LOP`,
    limbs.length > 0 ? limbs.map((limb) => told(LIMB_LABELS[limb].toLowerCase())).join(', ') : '',
    modes.length > 0 ? t`${told(modes.join(', '))} only` : '',
  ];
  return parts.filter(Boolean).join('; ') || t`no limits`;
}

/** Clearances on record, and a new one by a clinician (rules SCR-2, SCR-4). */
export function Clearances({ client, open }: { client: ClientRecord; open: readonly Reason[] }) {
  const [adding, setAdding] = useState(false);
  const { rows: runOut, more } = usePastClearances(client.id);
  const clearances = [...client.facts.clearances, ...runOut];
  const mayRecord = useMay('clear');
  return (
    <section>
      <h3 className="text-xl font-semibold">{t`Clearances`}</h3>
      {clearances.length === 0 && <p className="text-quiet">{t`None on record.`}</p>}
      <ul className="mt-1">
        {clearances.map((clearance) => (
          <li
            key={`${clearance.givenAtMs} ${clearance.givenBy}`}
            className="border-t border-rule py-2 text-[15px]"
          >
            <strong>{clearance.givenBy}</strong>
            {clearance.byPhysician && t`, physician`}: {clearance.subjects.map(subjectWords).join(', ')};{' '}
            {told(limitWords(clearance))}.{' '}
            <span className="text-quiet">
              {t`${day(clearance.givenAtMs)} to ${clearance.untilMs === null ? t`no end` : day(clearance.untilMs)}${!isInForce(clearance, client.judgedAtMs) ? t`, run out` : ''}`}
            </span>{' '}
            {clearance.note}
          </li>
        ))}
      </ul>
      <More more={more}>{t`Show earlier clearances`}</More>
      {!mayRecord && (
        <p className="text-[14px] text-quiet">
          {t`Only a clinician records a clearance.`} <Why rule="SCR-4" />
        </p>
      )}
      {mayRecord && !adding && (
        <Button className="mt-2" onClick={() => setAdding(true)}>
          {t`Record a clearance`}
        </Button>
      )}
      {mayRecord && adding && <ClearanceForm client={client} open={open} done={() => setAdding(false)} />}
    </section>
  );
}

function ClearanceForm({
  client,
  open,
  done,
}: {
  client: ClientRecord;
  open: readonly Reason[];
  done: () => void;
}) {
  const subjects = [...new Set(open.map(({ subject }) => subject))];
  const [form, setForm] = useState({
    subjects: subjects as ClearanceSubject[],
    givenBy: '',
    byPhysician: open.some(({ level }) => level === 'stop'),
    until: '',
    cap: '',
    limbs: [] as NewClearance['limbs'],
    modes: [] as NewClearance['modes'],
    note: '',
  });
  const [tried, setTried] = useState(false);
  const change = (part: Partial<typeof form>) => setForm({ ...form, ...part });
  const write = useRecordWrite((json: NewClearance) =>
    read(api.clients[':id'].clearances.$post({ param: { id: client.id }, json })),
  );
  const parsed = clearanceSchema.safeParse({
    subjects: form.subjects,
    givenBy: form.givenBy,
    byPhysician: form.byPhysician,
    givenAtMs: client.judgedAtMs,
    // A day named is included to its end.
    untilMs: endOfDayMs(form.until),
    maxPercentLop: form.cap.trim() === '' ? null : Number(form.cap),
    limbs: form.limbs,
    modes: form.modes,
    note: form.note,
  });
  const wrong = (path: string) =>
    tried ? parsed.error?.issues.find((issue) => issue.path[0] === path)?.message : undefined;
  const save = async (event: React.FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (!parsed.success) return;
    if (await write.mutateAsync(parsed.data).catch(() => null)) done();
  };
  return (
    <form onSubmit={save} noValidate className="mt-3 space-y-3 border-t border-ink/40 pt-3">
      <Ticks
        label={t`It clears`}
        options={(subjects.length > 0 ? subjects : (Object.keys(SCREEN_ITEMS) as ClearanceSubject[])).map(
          (value) => ({
            value,
            label: told(subjectWords(value)),
          }),
        )}
        chosen={form.subjects}
        onChange={(chosen) => change({ subjects: chosen })}
        error={wrong('subjects')}
      />
      <Field
        label={t`Given by`}
        value={form.givenBy}
        autoComplete="off"
        onChange={(event) => change({ givenBy: event.target.value })}
        error={wrong('givenBy')}
      />
      <Tick checked={form.byPhysician} onChange={(byPhysician) => change({ byPhysician })}>
        {t`A physician`}
      </Tick>
      <div className="grid grid-cols-2 gap-3">
        <DateField
          label={t`Until`}
          value={form.until}
          onChange={(until) => change({ until })}
          hint={t`Empty: no end`}
          error={wrong('untilMs')}
        />
        <Field
          label={t`At most`}
          unit="% LOP"
          number="whole"
          value={form.cap}
          onChange={(event) => change({ cap: event.target.value })}
          hint={t`Empty: no cap`}
          error={wrong('maxPercentLop')}
        />
      </div>
      <Ticks
        label={t`Only these limbs (none ticked: all)`}
        options={LIMBS.map((value) => ({ value, label: told(LIMB_LABELS[value]) }))}
        chosen={form.limbs}
        onChange={(limbs) => change({ limbs })}
      />
      <Ticks
        label={t`Only this work (none ticked: all)`}
        options={workModeSchema.options.map((value) => ({ value, label: told(value) }))}
        chosen={form.modes}
        onChange={(modes) => change({ modes })}
      />
      <Field label={t`Note`} value={form.note} onChange={(event) => change({ note: event.target.value })} />
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      <div className="flex gap-2">
        <Button type="submit" kind="main" disabled={write.isPending}>
          {t`Record the clearance`}
        </Button>
        <Button leaves onClick={done}>
          {t`Leave it`}
        </Button>
      </div>
    </form>
  );
}
