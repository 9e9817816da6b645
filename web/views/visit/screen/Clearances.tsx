import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewClearance } from '#contract/measurements';
import { RUNG_LABELS } from '#core/plan';
import { type Rung, rungSchema, WORK_MODE_NAMES, workModeSchema } from '#core/protocol';
import { LIMB_LABELS, LIMBS, toNumberOrNull } from '#core/quantity';
import { limitWords } from '#core/record';
import {
  type ClearanceSubject,
  clearanceSchema,
  isInForce,
  type Reason,
  SCREEN_ITEMS,
} from '#core/screening';
import { api, read } from '../../../data/api';
import { usePastClearances } from '../../../data/history';
import { useMay, useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { More } from '../../../parts/base/More';
import { Why } from '../../../parts/base/Why';
import { Choice } from '../../../parts/fields/Choice';
import { DateField } from '../../../parts/fields/DateField';
import { Field } from '../../../parts/fields/Field';
import { Tick } from '../../../parts/fields/Tick';
import { Ticks } from '../../../parts/fields/Ticks';
import { bySchema } from '../../../parts/forms/by-schema';
import { FormFooter } from '../../../parts/forms/FormFooter';
import { reads, useFields } from '../../../parts/forms/use-fields';
import { Attachments } from '../../../parts/record/Attachments';
import { clearanceSubject } from '../../../words/clearance-subject';
import { day, endOfDayMs } from '../../../words/format';
import { RangesField, type TypedRange } from './RangesField';

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
            {clearance.byPhysician && t`, physician`}: {clearance.subjects.map(clearanceSubject).join(', ')};{' '}
            {translate(limitWords(clearance))}.{' '}
            <span className="text-quiet">
              {t`${day(clearance.givenAtMs)} to ${clearance.untilMs === null ? t`no end` : day(clearance.untilMs)}${!isInForce(clearance, client.judgedAtMs) ? t`, run out` : ''}`}
            </span>{' '}
            {clearance.note}
          </li>
        ))}
      </ul>
      <More more={more}>{t`Show earlier clearances`}</More>
      {clearances.length > 0 && (
        <Attachments clientId={client.id} about="clearance" attach={t`Attach the letter of the last one`} />
      )}
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

type Typed = Omit<NewClearance, 'givenAtMs' | 'untilMs' | 'maxPercentLop' | 'highestRung' | 'ranges'> & {
  until: string;
  cap: string;
  highestRung: Rung | 'any';
  ranges: TypedRange[];
};

/** Where a path of what is sent is typed. */
const TYPED_AT: Record<string, keyof Typed> = { untilMs: 'until', maxPercentLop: 'cap' };

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
  const write = useRecordWrite((json: NewClearance) =>
    read(api.clients[':id'].clearances.$post({ param: { id: client.id }, json })),
  );
  const { typed, set, field, problem, send } = useFields<Typed, NewClearance>(
    {
      subjects,
      givenBy: '',
      byPhysician: open.some(({ level }) => level === 'stop'),
      until: '',
      cap: '',
      limbs: [],
      modes: [],
      highestRung: 'any',
      ranges: [],
      note: '',
    },
    write.error,
    reads(({ until, cap, highestRung, ranges, ...rest }) =>
      bySchema(
        clearanceSchema,
        {
          ...rest,
          givenAtMs: client.judgedAtMs,
          // A day named is included to its end.
          untilMs: endOfDayMs(until),
          maxPercentLop: toNumberOrNull(cap),
          highestRung: highestRung === 'any' ? null : highestRung,
          ranges: ranges.map(({ fromDegrees, toDegrees, ...range }) => ({
            ...range,
            fromDegrees: toNumberOrNull(fromDegrees),
            toDegrees: toNumberOrNull(toDegrees),
          })),
        },
        (path) => TYPED_AT[path] ?? (path as keyof Typed),
      ),
    ),
  );
  return (
    <form
      className="mt-3 space-y-3 border-t border-ink/40 pt-3"
      {...send((clearance) => write.mutate(clearance, { onSuccess: done }))}
    >
      <Ticks
        label={t`It clears`}
        options={(subjects.length > 0 ? subjects : (Object.keys(SCREEN_ITEMS) as ClearanceSubject[])).map(
          (value) => ({
            value,
            label: clearanceSubject(value),
          }),
        )}
        chosen={typed.subjects}
        onChange={(chosen) => set('subjects', chosen)}
        error={problem('subjects')}
      />
      <Field label={t`Given by`} autoComplete="off" {...field('givenBy')} />
      <Tick checked={typed.byPhysician} onChange={(isPhysician) => set('byPhysician', isPhysician)}>
        {t`A physician`}
      </Tick>
      <div className="grid grid-cols-2 gap-3">
        <DateField
          label={t`Until`}
          value={typed.until}
          onChange={(until) => set('until', until)}
          hint={t`Empty: no end`}
          error={problem('until', 'untilMs')}
        />
        <Field
          label={t`At most`}
          unit="% LOP"
          number="whole"
          hint={t`Empty: no cap`}
          {...field('cap', 'maxPercentLop')}
        />
      </div>
      <Ticks
        label={t`It speaks of (none ticked: the whole person)`}
        options={LIMBS.map((value) => ({ value, label: translate(LIMB_LABELS[value]) }))}
        chosen={typed.limbs}
        onChange={(limbs) => set('limbs', limbs)}
      />
      <Ticks
        label={t`Work it allows there (none ticked: all)`}
        options={workModeSchema.options.map((value) => ({ value, label: translate(WORK_MODE_NAMES[value]) }))}
        chosen={typed.modes}
        onChange={(modes) => set('modes', modes)}
      />
      <Choice
        label={t`Up to which work`}
        value={typed.highestRung}
        options={[
          { value: 'any', label: t`Any` },
          ...rungSchema.options.map((value) => ({ value, label: translate(RUNG_LABELS[value]) })),
        ]}
        onChange={(rung) => set('highestRung', rung)}
      />
      <RangesField
        ranges={typed.ranges}
        onChange={(ranges) => set('ranges', ranges)}
        problem={(place, figure) => problem(`ranges.${place}.${figure}`)}
      />
      <Field label={t`Note`} {...field('note')} />
      <FormFooter
        send={t`Record the clearance`}
        isSending={write.isPending}
        error={write.error}
        leave={done}
      />
    </form>
  );
}
