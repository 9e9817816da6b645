import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { CLINICIANS_KIT, type KitItem, type PracticeSettings, type Template } from '#contract/practice';
import { GOALS } from '#core/plan/goals';
import { type Library, libraryOf } from '#core/protocol/exercises';
import { RULES } from '#core/rules/catalogue';
import { type ItemId, SCREEN_ITEMS } from '#core/screening/items';
import { ITEM_IDS } from '#core/screening/screening';
import { EFFORT_IN, EFFORT_SCALES } from '#core/session/effort';
import { DATE_ORDER_IDS, DATE_ORDERS } from '#core/table/day';
import { api, failureWords, read } from '../../data/api';
import { KEYS } from '../../data/keys';
import { useMay, usePractice } from '../../data/queries';
import { told } from '../../language/told';
import { BloodPressureFields } from '../../parts/BloodPressureFields';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field, FieldError } from '../../parts/Field';
import { Ticks } from '../../parts/Ticks';
import { readPressure } from '../../parts/typed-pressure';
import { useUnits } from '../../parts/units';
import { useFields } from '../../parts/use-fields';
import { useRetire } from '../../parts/use-retire';
import { Why } from '../../parts/Why';
import { KitForm } from './KitForm';
import { cellOf, headOf, isOfKind, KINDS, KIT_KINDS, type KitField, type KitKind } from './kit-fields';
import { WithoutLop } from './WithoutLop';

/** What the practice owns, and the units and strictness it works with. */
export function KitView() {
  const { data: practice } = usePractice();
  if (!practice) return <p className="p-6 text-quiet">{t`Reading the practice…`}</p>;
  return (
    <div className="p-6">
      <h1 className="text-3xl font-semibold">{t`Kit and practice`}</h1>
      <p className="text-quiet">{t`Every pressure and load is rounded to what stands here.`}</p>
      <Settings settings={practice.settings} />
      {KIT_KINDS.map((kind) => (
        <KitSection key={kind} kind={kind} items={practice[KINDS[kind].list]} />
      ))}
      <Templates templates={practice.templates} library={libraryOf(practice.ownExercises)} />
    </div>
  );
}

function KitSection({ kind, items }: { kind: KitKind; items: readonly KitItem['item'][] }) {
  const [open, setOpen] = useState<string | null>(null);
  const units = useUnits();
  const { title, add, list, fields } = KINDS[kind];
  const mayChange = useMay(CLINICIANS_KIT.includes(list) ? 'keep-limits' : 'keep-weights');
  const mine = items.filter((item) => isOfKind(kind, item));
  const { retire, error } = useRetire((id: string, isRetired) =>
    read(api.practice.kit.retire.$post({ json: { list, id, isRetired } })),
  );
  return (
    <section className="mt-7" aria-label={title}>
      <h2 className="text-xl font-semibold">{told(title)}</h2>
      {mine.length > 0 && (
        <div className="mt-1 overflow-x-auto">
          <table className="w-full max-w-6xl border-t border-ink/40 text-[15px]">
            <thead>
              <tr className="text-left text-[13px] text-quiet">
                {fields.map((field: KitField) => (
                  <th key={field.key} className="py-1 pr-4 align-bottom font-normal">
                    {told(headOf(field, units))}
                  </th>
                ))}
                <th className="max-lg:hidden">
                  <span className="sr-only">{t`What can be done`}</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {mine.map((item) => (
                <Piece
                  key={item.id}
                  kind={kind}
                  item={item}
                  isOpen={open === item.id}
                  toggle={mayChange ? () => setOpen(open === item.id ? null : item.id) : null}
                  retire={() => retire(item.id, t`${told(item.label)} is no longer in use.`)}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {error && <FieldError>{failureWords(error)}</FieldError>}
      {!mayChange && (
        <p className="mt-1 text-[15px] text-quiet">
          {t`A clinician changes these.`} <Why rule="SCR-4" />
        </p>
      )}
      {mayChange && open === 'new' && <KitForm kind={kind} done={() => setOpen(null)} />}
      {mayChange && open !== 'new' && (
        <Button className="mt-2" onClick={() => setOpen('new')}>
          {add}
        </Button>
      )}
    </section>
  );
}

/** Sessions kept under a name; applied from Prescribe, taken away here. */
function Templates({ templates, library }: { templates: readonly Template[]; library: Library }) {
  const mayKeep = useMay('keep-templates');
  const { retire, error } = useRetire((id: string, isRetired) =>
    read(api.practice.templates.retire.$post({ json: { id, isRetired } })),
  );
  return (
    <section className="mt-7" aria-label={t`Templates`}>
      <h2 className="text-xl font-semibold">{t`Templates`}</h2>
      {templates.length === 0 && (
        <p className="text-quiet">{t`None yet: keep one from a session in Prescribe.`}</p>
      )}
      <ul className="mt-1 max-w-5xl border-t border-ink/40">
        {templates.map(({ id, name, session }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1">
            <strong className="min-w-52">{name}</strong>
            <span className="flex-1 text-[15px]">
              {told(GOALS[session.goal].label)}:{' '}
              {session.exercises.map(({ exerciseId }) => library[exerciseId]?.label ?? exerciseId).join(', ')}
            </span>
            {mayKeep && (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => retire(id, t`${name} is no longer in use.`)}
              >
                <Trans>
                  Retire<span className="sr-only"> {name}</span>
                </Trans>
              </button>
            )}
          </li>
        ))}
      </ul>
      {error && <FieldError>{failureWords(error)}</FieldError>}
    </section>
  );
}

/** A piece of kit on its line, and the form that changes it beneath. */
function Piece({
  kind,
  item,
  isOpen,
  toggle,
  retire,
}: {
  kind: KitKind;
  item: KitItem['item'];
  isOpen: boolean;
  /** `null` where somebody else changes it. */
  toggle: (() => void) | null;
  retire: () => void;
}) {
  const units = useUnits();
  const { fields } = KINDS[kind];
  const deeds = toggle && (
    <>
      <button type="button" className="min-h-11 pr-3 underline underline-offset-4" onClick={toggle}>
        <Trans>
          Change<span className="sr-only"> {told(item.label)}</span>
        </Trans>
      </button>
      <button type="button" className="min-h-11 pr-3 underline underline-offset-4" onClick={retire}>
        <Trans>
          Retire<span className="sr-only"> {told(item.label)}</span>
        </Trans>
      </button>
    </>
  );
  return (
    <>
      <tr className="border-t border-rule">
        {fields.map((field: KitField) => (
          <td
            key={field.key}
            className={`py-1 pr-4 ${field.key === 'label' ? 'min-w-40 font-semibold' : 'max-w-80'}`}
          >
            <span>{told(cellOf(field, (item as Record<string, unknown>)[field.key], units))}</span>
            {/* Where the table is wider than the screen, they would be out of sight. */}
            {field.key === 'label' && <span className="block lg:hidden">{deeds}</span>}
          </td>
        ))}
        <td className="text-right whitespace-nowrap max-lg:hidden">{deeds}</td>
      </tr>
      {isOpen && toggle && (
        <tr>
          <td colSpan={fields.length + 1}>
            <KitForm kind={kind} item={item} done={toggle} />
          </td>
        </tr>
      )}
    </>
  );
}

/** Whom people call, and what stands at the head of what they are given. */
function OnPaper({
  settings: { phone, letterhead },
  change,
  error,
}: {
  settings: PracticeSettings;
  change: (part: Partial<PracticeSettings>) => void;
  error: unknown;
}) {
  const { typed, field, send } = useFields({ phone, letterhead }, error);
  const { error: wrongHead, ...head } = field('letterhead');
  return (
    <form className="flex flex-wrap items-end gap-x-8 gap-y-3" {...send(change)}>
      <Field label={t`Telephone on the sheets`} type="tel" {...field('phone')} />
      <label className="w-96 max-w-full text-[15px] font-semibold">
        {t`Head of a report, under the name`}
        <textarea
          rows={3}
          maxLength={400}
          {...head}
          className="mt-1 block w-full rounded-sm border border-ink/40 bg-paper px-3 py-2 font-normal"
        />
      </label>
      {(typed.phone !== phone || typed.letterhead !== letterhead) && <Button type="submit">{t`Save`}</Button>}
      {wrongHead && <FieldError>{wrongHead}</FieldError>}
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

/** Units, and which screening items are asked more of; only a clinician changes them (rules SCR-1, SCR-4). */
function Settings({ settings }: { settings: PracticeSettings }) {
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
      <p className="mt-4 text-[15px] text-quiet">
        {t`Units and strictness are changed by a clinician or the owner of the practice.`}{' '}
        <Why rule="SCR-4" />
      </p>
    );
  }
  return (
    <section className="mt-5 max-w-5xl space-y-3" aria-label={t`Settings`}>
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
          options={DATE_ORDER_IDS.map((value) => ({ value, label: told(DATE_ORDERS[value].label) }))}
        />
      </div>
      <div className="flex flex-wrap gap-8">
        <Choice
          label={t`Effort is said as`}
          value={settings.effortIn}
          onChange={(effortIn) => change({ effortIn })}
          options={EFFORT_IN.map((value) => ({ value, label: told(EFFORT_SCALES[value].label) }))}
        />
        <PressureLimit settings={settings} change={change} />
      </div>
      <WithoutLop settings={settings} change={change} />
      <OnPaper settings={settings} change={change} error={write.error} />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
          {t`Stricter screening: ${stops.length === 0 ? t`none` : t`${stops.length} more items stop`}`}
        </summary>
        <p className="text-[14px] text-quiet">{told(RULES['SCR-1'].text)}</p>
        <Ticks<ItemId>
          label={t`These stop a start here, though the rule only asks for a clearance`}
          options={mayBeStricter.map((value) => ({ value, label: told(SCREEN_ITEMS[value].label) }))}
          chosen={stops}
          onChange={(chosen) => change({ stricter: chosen.map((item) => ({ item, level: 'stop' })) })}
        />
      </details>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}
