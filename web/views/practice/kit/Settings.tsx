import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { PracticeSettings } from '#contract/practice';
import { RULES } from '#core/rules';
import { ITEM_IDS, type ItemId, SCREEN_ITEMS } from '#core/screening';
import { EFFORT_IN, EFFORT_SCALES } from '#core/session';
import { DATE_ORDER_IDS, DATE_ORDERS } from '#core/table';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { useMay } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { Choice } from '../../../parts/fields/Choice';
import { Field, FieldError } from '../../../parts/fields/Field';
import { LongField } from '../../../parts/fields/LongField';
import { Ticks } from '../../../parts/fields/Ticks';
import { useFields } from '../../../parts/forms/use-fields';
import { BloodPressureFields } from '../../../parts/record/BloodPressureFields';
import { readPressure } from '../../../parts/record/typed-pressure';
import { KeptFor } from './KeptFor';
import { Places } from './Places';
import { RungSessions } from './RungSessions';
import { WithoutLop } from './WithoutLop';

/** Units, and which screening items are asked more of; only a clinician changes them (rules SCR-1, SCR-4). */
export function Settings({ settings }: { settings: PracticeSettings }) {
  const queries = useQueryClient();
  const mayChange = useMay('keep-practice');
  const write = useMutation({
    mutationFn: (json: PracticeSettings) => read(api.practice.settings.$post({ json })),
    onSuccess: (practice) => {
      queries.setQueryData(KEYS.practice, practice);
      return queries.invalidateQueries({ queryKey: KEYS.roster });
    },
  });
  const change = (part: Partial<PracticeSettings>) => write.mutate({ ...settings, ...part });
  const mayBeStricter = ITEM_IDS.filter((id) => SCREEN_ITEMS[id].level === 'clear');
  const stops = settings.stricter.filter(({ level }) => level === 'stop').map(({ item }) => item);
  if (!mayChange) {
    return (
      <p className="mt-1 text-[15px] text-quiet">
        {t`Units and strictness are changed by a clinician or the owner of the practice.`}{' '}
        <Why rule="SCR-4" />
      </p>
    );
  }
  return (
    <div className="mt-2 max-w-5xl space-y-3">
      <div className="flex flex-wrap gap-8">
        <Choice
          label={t`Weights in`}
          value={settings.massUnit}
          onChange={(massUnit) => change({ massUnit })}
          options={[
            { value: 'kg', label: 'kg' },
            { value: 'lb', label: 'lb' },
          ]}
        />
        <Choice
          label={t`Lengths in`}
          value={settings.lengthUnit}
          onChange={(lengthUnit) => change({ lengthUnit })}
          options={[
            { value: 'cm', label: 'cm' },
            { value: 'in', label: 'in' },
          ]}
        />
        <Choice
          label={t`Dates are typed as`}
          value={settings.dateOrder}
          onChange={(dateOrder) => change({ dateOrder })}
          options={DATE_ORDER_IDS.map((value) => ({ value, label: translate(DATE_ORDERS[value].label) }))}
        />
      </div>
      <div className="flex flex-wrap gap-8">
        <Choice
          label={t`Effort is said as`}
          value={settings.effortIn}
          onChange={(effortIn) => change({ effortIn })}
          options={EFFORT_IN.map((value) => ({ value, label: translate(EFFORT_SCALES[value].label) }))}
        />
        <PressureLimit settings={settings} change={change} />
      </div>
      <WithoutLop settings={settings} change={change} />
      <RungSessions settings={settings} change={change} />
      <KeptFor settings={settings} change={change} />
      <Places
        settings={settings}
        change={(part, done) => write.mutate({ ...settings, ...part }, { onSuccess: done })}
        isSending={write.isPending}
        error={write.error}
      />
      <OnPaper settings={settings} change={change} error={write.error} />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
          {t`Stricter screening: ${stops.length === 0 ? t`none` : t`${stops.length} more items stop`}`}
        </summary>
        <p className="text-[14px] text-quiet">{translate(RULES['SCR-1'].text)}</p>
        <Ticks<ItemId>
          label={t`These stop a start here, though the rule only asks for a clearance`}
          options={mayBeStricter.map((value) => ({ value, label: translate(SCREEN_ITEMS[value].label) }))}
          chosen={stops}
          onChange={(chosen) => change({ stricter: chosen.map((item) => ({ item, level: 'stop' })) })}
        />
      </details>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </div>
  );
}

/** The number people call, and what is at the head of what they are given. */
function OnPaper({
  settings: { phone, emergencyPhone, letterhead, publicAddress },
  change,
  error,
}: {
  settings: PracticeSettings;
  change: (part: Partial<PracticeSettings>) => void;
  error: unknown;
}) {
  const { typed, field, send } = useFields({ phone, emergencyPhone, letterhead, publicAddress }, error);
  return (
    <form className="flex flex-wrap items-end gap-x-8 gap-y-3" {...send(change)}>
      <Field label={t`Telephone on the sheets`} type="tel" {...field('phone')} />
      <Field
        className="w-44"
        label={t`Emergency number`}
        type="tel"
        hint={t`Shown first at home.`}
        {...field('emergencyPhone')}
      />
      <Field
        className="w-80"
        label={t`Address for phones`}
        type="url"
        hint={t`In the codes on paper and at home; empty: as this page was opened.`}
        {...field('publicAddress')}
      />
      <LongField
        className="w-96 max-w-full"
        label={t`Head of a report, under the name`}
        maxLength={400}
        {...field('letterhead')}
      />
      {(typed.phone !== phone ||
        typed.emergencyPhone !== emergencyPhone ||
        typed.letterhead !== letterhead ||
        typed.publicAddress !== publicAddress) && <Button type="submit">{t`Save`}</Button>}
    </form>
  );
}

/** Above which blood pressure work ends at once; the rule's own is the most (rule RUN-8). */
function PressureLimit({
  settings: { stopAboveSystolicMmHg, stopAboveDiastolicMmHg },
  change,
}: {
  settings: PracticeSettings;
  change: (part: Partial<PracticeSettings>) => void;
}) {
  const { typed, set, send } = useFields(
    { limit: { upper: String(stopAboveSystolicMmHg), lower: String(stopAboveDiastolicMmHg) } },
    null,
  );
  const { reading } = readPressure(typed.limit);
  const isChanged =
    reading !== null &&
    (reading.systolicMmHg !== stopAboveSystolicMmHg || reading.diastolicMmHg !== stopAboveDiastolicMmHg);
  return (
    <form
      className="flex items-end gap-3"
      {...send(() => {
        if (!isChanged) return;
        change({
          stopAboveSystolicMmHg: reading.systolicMmHg,
          stopAboveDiastolicMmHg: reading.diastolicMmHg,
        });
      })}
    >
      <BloodPressureFields
        label={t`Work ends above`}
        typed={typed.limit}
        onChange={(limit) => set('limit', limit)}
      />
      {isChanged && (
        <Button type="submit">
          <Trans>
            Save<span className="sr-only"> the blood pressure limit</span>
          </Trans>
        </Button>
      )}
    </form>
  );
}
