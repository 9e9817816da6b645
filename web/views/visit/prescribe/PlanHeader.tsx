import { t } from '@lingui/core/macro';
import { format } from 'date-fns';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { CoursePlanChange } from '#contract/course-plan';
import { type CoursePlan, type CoursePlanChoice, type Occasion, occasionWords } from '#core/course';
import type { Message } from '#core/message';
import { WEEKDAY_LABELS } from '#core/quantity';
import type { PlanInForce } from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { DateField } from '../../../parts/fields/DateField';
import { Field, FieldError } from '../../../parts/fields/Field';
import { NumberField } from '../../../parts/fields/NumberField';
import { Picker } from '../../../parts/fields/Picker';
import { Ticks } from '../../../parts/fields/Ticks';
import { NEW_PLAN } from '../../../parts/plan/use-plan-in-hand';
import { day, endOfDayMs } from '../../../words/format';
import { CopyToGroup } from './CopyToGroup';
import { CopyToPerson } from './CopyToPerson';
import { copyAddress } from './state/use-start';

const OCCASIONS: Record<Occasion['kind'], { label: string; first: Occasion }> = {
  'any-day': { label: t`any day`, first: { kind: 'any-day' } },
  weekdays: { label: t`weekdays`, first: { kind: 'weekdays', weekdays: [0, 3] } },
  daily: { label: t`every day`, first: { kind: 'daily', times: 1 } },
  'after-heavy': { label: t`after heavy work`, first: { kind: 'after-heavy' } },
};
const WEEKDAYS = WEEKDAY_LABELS.map((label, value) => ({ value: String(value), label: translate(label) }));

/** Which plan is prescribed, when it is for, and the way to change that. */
export function PlanPicker({
  plans,
  inHand,
  choose,
  isChanging,
  setChanging,
}: {
  plans: readonly PlanInForce[];
  inHand: PlanInForce | undefined;
  choose: (coursePlanId: string) => void;
  isChanging: boolean;
  setChanging: (isChanging: boolean) => void;
}) {
  const known = inHand?.coursePlan;
  return (
    <div className="flex flex-wrap items-center gap-x-4">
      <div className="w-52">
        <Picker
          label={t`Plan`}
          hideLabel
          value={known?.id ?? NEW_PLAN}
          onChange={choose}
          options={[
            ...plans.map(({ coursePlan }) => ({ value: coursePlan.id, label: translate(coursePlan.name) })),
            { value: NEW_PLAN, label: t`A new plan` },
          ]}
        />
      </div>
      {known && (
        <>
          <span className="text-quiet">
            {translate(occasionWords(known.occasion))}
            {known.untilMs !== null && t`, until ${day(known.untilMs)}`}
          </span>
          <button
            type="button"
            aria-expanded={isChanging}
            className="min-h-9 underline underline-offset-4"
            onClick={() => setChanging(!isChanging)}
          >
            {t`Name, days, copy, end`}
          </button>
        </>
      )}
    </div>
  );
}

/** What a plan is called, when it is for, and what is done with it as a whole. */
export function PlanHeader({
  client,
  known,
  choice,
  calledNow,
  onChoice,
}: {
  client: ClientRecord;
  known: CoursePlan | undefined;
  choice: CoursePlanChoice;
  /** What it is called where it has no name of its own. */
  calledNow: string;
  onChoice: (part: Partial<CoursePlanChoice>) => void;
}) {
  const write = useCoursePlanWrite(client.id);
  const isChanged =
    known !== undefined &&
    (choice.name !== known.ownName ||
      choice.untilMs !== known.untilMs ||
      JSON.stringify(choice.occasion) !== JSON.stringify(known.occasion));
  const { occasion } = choice;
  return (
    <section aria-label={t`The plan`} className="space-y-2">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-3">
        <Field
          className="w-48"
          label={t`Called`}
          value={choice.name ?? ''}
          placeholder={calledNow}
          onChange={({ target: { value } }) => onChoice({ name: value === '' ? null : value })}
        />
        <div className="w-44">
          <Picker
            label={t`For`}
            value={occasion.kind}
            onChange={(kind) => onChoice({ occasion: OCCASIONS[kind].first })}
            options={(Object.keys(OCCASIONS) as Occasion['kind'][]).map((value) => ({
              value,
              label: OCCASIONS[value].label,
            }))}
          />
        </div>
        {occasion.kind === 'daily' && (
          <NumberField
            className="w-28"
            label={t`Times a day`}
            value={occasion.times}
            onValue={(times) => onChoice({ occasion: { kind: 'daily', times } })}
          />
        )}
        <DateField
          className="w-60"
          label={t`Until`}
          value={choice.untilMs === null ? '' : format(choice.untilMs, 'yyyy-MM-dd')}
          onChange={(iso) => onChoice({ untilMs: endOfDayMs(iso) })}
        />
        {isChanged && (
          <Only permission="sign">
            <Button disabled={write.isPending} onClick={() => write.mutate({ id: known.id, ...choice })}>
              {t`Keep these`}
            </Button>
          </Only>
        )}
      </div>
      {occasion.kind === 'weekdays' && (
        <Ticks
          label={t`On`}
          options={WEEKDAYS}
          chosen={occasion.weekdays.map(String)}
          onChange={(days) =>
            days.length > 0 && onChoice({ occasion: { kind: 'weekdays', weekdays: days.map(Number).sort() } })
          }
        />
      )}
      {known && <PlanActions client={client} coursePlan={known} />}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}

/** What is done with a plan as a whole. */
function PlanActions({ client, coursePlan }: { client: ClientRecord; coursePlan: CoursePlan }) {
  const { id } = coursePlan;
  const navigate = useNavigate();
  const write = useCoursePlanWrite(client.id);
  const look = 'min-h-9 underline underline-offset-4';
  return (
    <div className="flex flex-wrap items-center gap-x-5 text-[15px]">
      <button
        type="button"
        className={look}
        onClick={() =>
          navigate(copyAddress(client.id, { ofId: client.id, coursePlanId: id, isMirrored: true }))
        }
      >
        {t`Copy to the other side`}
      </button>
      <CopyToPerson
        className={look}
        take={(toId) => navigate(copyAddress(toId, { ofId: client.id, coursePlanId: id, isMirrored: false }))}
      />
      <CopyToGroup className={look} client={client} coursePlan={coursePlan} />
      <button type="button" className={look} onClick={() => write.mutate({ id, state: 'paused' })}>
        {t`Pause`}
      </button>
      <button type="button" className={look} onClick={() => write.mutate({ id, state: 'ended' })}>
        {t`End it`}
      </button>
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </div>
  );
}

/** Plans that do not count now, and the way back. */
export function PlansAside({
  client,
  aside,
}: {
  client: ClientRecord;
  aside: readonly (CoursePlan & { why: Message })[];
}) {
  const write = useCoursePlanWrite(client.id);
  if (aside.length === 0) return null;
  return (
    <ul aria-label={t`Plans aside`} className="text-[15px]">
      {aside.map(({ id, why, state }) => (
        <li key={id} className="flex flex-wrap items-center gap-x-5">
          <span>{translate(why)}</span>
          <button
            type="button"
            className="min-h-9 underline underline-offset-4"
            onClick={() =>
              write.mutate(state === 'paused' ? { id, state: 'in-force' } : { id, untilMs: null })
            }
          >
            {t`Take it up again`}
          </button>
          <button
            type="button"
            className="min-h-9 underline underline-offset-4"
            onClick={() => write.mutate({ id, state: 'ended' })}
          >
            {t`End it`}
          </button>
        </li>
      ))}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </ul>
  );
}

const useCoursePlanWrite = (clientId: string) =>
  useRecordWrite(({ id, ...json }: CoursePlanChange & { id: string }) =>
    read(
      api.clients[':id']['course-plans'][':coursePlanId'].$post({
        param: { id: clientId, coursePlanId: id },
        json,
      }),
    ),
  );
