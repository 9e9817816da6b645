import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewRungCheck } from '#contract/course-plan';
import { RUNG_LABELS, RUNG_NAMES } from '#core/plan';
import { type LadderRung, ladderRungSchema, type Rung, rungHeight } from '#core/protocol';
import { LIMB_LABELS, type Limb } from '#core/quantity';
import {
  adviseRung,
  type CriteriaOnRecord,
  checkRungEntry,
  criteriaOnRecord,
  daysSinceProcedure,
  type RungAdvice,
  rungInForce,
} from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { useMay, usePractice, useRecordWrite } from '../../../data/queries';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { Scale } from '../../../parts/fields/Scale';
import { Ticks } from '../../../parts/fields/Ticks';
import { useGuards } from '../../../parts/plan/use-guards';
import { day } from '../../../words/format';

type Yes = 'swellingDown' | 'rangeGood' | 'clinicianAgrees';
const YES: { value: Yes; label: string }[] = [
  { value: 'swellingDown', label: t`Swelling is going down` },
  { value: 'rangeGood', label: t`Full range of the exercise, without a lag` },
  { value: 'clinicianAgrees', label: t`The clinician agrees` },
];
const MOVES: Record<RungAdvice['move'], string> = {
  begin: t`Begin`,
  up: t`Up`,
  stay: t`Stay`,
  down: t`Down`,
  done: t`Done`,
};

/** Until it is answered pain counts as the worst. */
const WORST_PAIN = 10;

/** The ladder of one limb: where it stands, where it is to go and why, and the check that enters a rung (rule PRO-5). */
export function RungCheck({
  client,
  limb,
  take,
}: {
  client: ClientRecord;
  limb: Limb;
  /** Drafts work of a rung; the last has none. */
  take: (rung: Rung) => void;
}) {
  const { facts, judgedAtMs } = client;
  const isClinician = useMay('give-word');
  const { data: practice } = usePractice();
  const check = rungInForce(facts, limb);
  const advice = adviseRung(facts, limb, judgedAtMs);
  const days = daysSinceProcedure(facts, limb, judgedAtMs);
  // What was said on the day is not asked again; nothing is answered for them.
  const onRecord = criteriaOnRecord(facts, limb, judgedAtMs);
  const [pain, setPain] = useState(onRecord.pain);
  const [yes, setYes] = useState<Yes[]>(onRecord.swellingDown ? ['swellingDown'] : []);
  const [chosen, setChosen] = useState<LadderRung | null>(null);
  const rung = chosen ?? advice.to;
  const answers = {
    pain: pain ?? WORST_PAIN,
    swellingDown: yes.includes('swellingDown'),
    rangeGood: yes.includes('rangeGood'),
    clinicianAgrees: yes.includes('clinicianAgrees'),
  };
  const findings = checkRungEntry(facts, { limb, rung, answers }, judgedAtMs);
  const write = useRecordWrite((json: NewRungCheck) =>
    read(api.clients[':id']['rung-checks'].$post({ param: { id: client.id }, json })),
  );
  const { mayPass, reason, asked } = useGuards(findings, write.error);
  const enter = async () => {
    const record = await write.mutateAsync({ limb, answers, rung, ...reason }).catch(() => null);
    if (record && rung !== 'done') take(rung);
  };
  const name = translate(LIMB_LABELS[limb]);
  const by = practice?.practitioners.find(({ id }) => id === check?.by)?.name;
  return (
    <details
      open={advice.move !== 'stay' && advice.move !== 'done'}
      aria-label={t`Ladder, ${inSentence(name)}`}
      className="max-w-3xl border-l-4 border-rule pl-4"
    >
      <summary className="cursor-pointer py-1">
        <span className="font-semibold">
          {name}: {check ? translate(RUNG_NAMES[check.rung]) : t`not on the ladder yet`}
        </span>
        {check &&
          t`, since ${day(check.atMs)}${by ? `, ${by}` : ''}${check.reason ? `: ${check.reason}` : ''}`}
        {days !== null && <span className="figures">{t`, day ${days}`}</span>}. {MOVES[advice.move]}:{' '}
        {translate(RUNG_NAMES[advice.to])}. {translate(advice.why)}
      </summary>
      <div className="space-y-2 pb-2">
        <OnRecord {...onRecord} />
        <Scale label={t`Pain at rest or in daily life`} value={pain} onChange={setPain} />
        <Ticks
          label={t`Today`}
          options={YES.filter(({ value }) => isClinician || value !== 'clinicianAgrees')}
          chosen={yes}
          onChange={setYes}
        />
        <div className="flex flex-wrap items-end gap-4">
          <div className="w-52">
            <Picker
              label={t`Rung to enter`}
              value={rung}
              onChange={setChosen}
              options={ladderRungSchema.options.map((value) => ({
                value,
                label: `${rungHeight(value) + 1}. ${translate(RUNG_LABELS[value])}`,
              }))}
            />
          </div>
          <Only permission="sign">
            <Button disabled={pain === null || !mayPass || write.isPending} onClick={() => void enter()}>
              {check?.rung === rung ? t`Check again` : t`Enter ${translate(RUNG_NAMES[rung])}`}
            </Button>
          </Only>
        </div>
        {findings.map(({ message }) => (
          <p key={translate(message)} className="notched text-ochre" aria-live="polite">
            {t`${translate(message)} PRO-5`}
          </p>
        ))}
        {asked}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      </div>
    </details>
  );
}

/** What is on record of the criteria already. */
function OnRecord({ pain, swellingDown, painInLast }: CriteriaOnRecord) {
  const said = [
    painInLast && t`pain ${painInLast.pain} in the last session, ${day(painInLast.atMs)}`,
    pain !== null && t`pain ${pain} today`,
    swellingDown !== null && (swellingDown ? t`swelling going down today` : t`swelling not going down today`),
  ].filter(Boolean);
  return said.length > 0 && <p className="text-[15px] text-quiet">{t`On record: ${said.join(', ')}.`}</p>;
}
