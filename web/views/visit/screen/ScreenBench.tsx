import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { NewScreening } from '#contract/measurements';
import { newest } from '#core/quantity';
import { answeredInForce, dayCheckInForce, isAgeItem } from '#core/record';
import {
  bloodPressureWords,
  changesSince,
  ITEM_IDS,
  judgeDayCheck,
  judgeScreening,
  keepsBack,
  meanBloodPressure,
  type Proposal,
  SCREEN_ITEMS,
  type Screening,
  together,
  withoutPlace,
} from '#core/screening';
import { api, failureWords, read } from '../../../data/api';
import { useScreenings } from '../../../data/history';
import { useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FindingLine } from '../../../parts/base/FindingLine';
import { More } from '../../../parts/base/More';
import { Why } from '../../../parts/base/Why';
import { DateField } from '../../../parts/fields/DateField';
import { Field, FieldError } from '../../../parts/fields/Field';
import { useFields } from '../../../parts/forms/use-fields';
import { BenchHeading } from '../../../parts/plan/Bench';
import { Attachments } from '../../../parts/record/Attachments';
import { BloodPressureFields } from '../../../parts/record/BloodPressureFields';
import { ConsentForm } from '../../../parts/record/ConsentForm';
import { DayCheckForm } from '../../../parts/record/DayCheckForm';
import { NO_PRESSURE, readPressure, type TypedPressure } from '../../../parts/record/typed-pressure';
import { dayAndTime } from '../../../words/format';
import { Clearances } from './Clearances';
import { EndCondition } from './EndCondition';
import { FromRecord, noteOf } from './FromRecord';
import { Holds } from './Holds';
import { JudgementLines } from './JudgementLines';
import { PressorForm } from './PressorForm';
import { NEW_OPERATION, Procedures, readProcedures, type TypedProcedure } from './Procedures';
import { type Answers, type Places, Questionnaire } from './Questionnaire';

const NOTE_LETTERS = 400;

/** Whether a person may start: the questionnaire, the blood pressure, clearances, and the check on the day. */
export function ScreenBench({ client }: { client: ClientRecord }) {
  const last = newest(client.facts.screenings);
  const [screening, setScreening] = useState(!last);
  if (screening || !last) return <NewScreeningForm client={client} done={() => setScreening(false)} />;
  return <ScreeningOnRecord client={client} last={last} screenAgain={() => setScreening(true)} />;
}

/** The parts of a list with commas. */
const listed = (words: string): string[] =>
  words
    .split(/[,;\n]/)
    .map((part) => part.trim())
    .filter(Boolean);

/** What is typed beside the questions, which keys answer. */
type Typed = {
  bloodPressures: TypedPressure[];
  medicines: string;
  note: string;
  operations: TypedProcedure[];
  /** Of a person under 18, as an ISO day. */
  adultOn: string;
};

function NewScreeningForm({ client, done }: { client: ClientRecord; done: () => void }) {
  const last = newest(client.facts.screenings);
  const [answers, setAnswers] = useState<Answers>({});
  const [limbsOf, setLimbsOf] = useState<Places>({});
  const write = useRecordWrite((json: NewScreening) =>
    read(api.clients[':id'].screenings.$post({ param: { id: client.id }, json })),
  );
  const { typed, set, field, send } = useFields<Typed>(
    {
      bloodPressures: [NO_PRESSURE, NO_PRESSURE],
      medicines: (last?.medicines ?? []).join(', '),
      note: '',
      operations: [NEW_OPERATION],
      adultOn: '',
    },
    write.error,
  );
  const { operations, adultOn } = typed;
  const yes = ITEM_IDS.filter((id) => answers[id]);
  // A birth date answers two of them.
  const asked = client.facts.bornOn ? ITEM_IDS.filter((id) => !isAgeItem(id)) : ITEM_IDS;
  const unanswered = asked.filter((id) => answers[id] === undefined).length;
  const bloodPressures = typed.bloodPressures.flatMap((one) => readPressure(one).reading ?? []);
  const places = yes.flatMap((item) => {
    const limbs = SCREEN_ITEMS[item].inLimb ? (limbsOf[item] ?? []) : [];
    return limbs.length > 0 ? [{ item, limbs }] : [];
  });
  const unplaced = withoutPlace(yes, places).length;
  const onRecord = answeredInForce(client.facts, client.judgedAtMs);
  const judgement = judgeScreening(
    together(onRecord, { yes, bloodPressures, places }),
    client.facts.clearances,
    client.facts.stricter,
    client.judgedAtMs,
  );
  const operated = yes.includes('recent-surgery');
  const procedures = operated ? readProcedures(operations) : [];
  const complete =
    unanswered === 0 &&
    unplaced === 0 &&
    bloodPressures.length >= 2 &&
    (!operated || (procedures.length > 0 && procedures.length === operations.length));
  /** Puts what another record says where it would be typed; recording it stays a step of its own. */
  const takeOver = (proposal: Proposal) => {
    if (proposal.kind === 'item') setAnswers((now) => ({ ...now, [proposal.itemId]: true }));
    if (proposal.kind === 'procedure') {
      const { limb, words: what, atMs } = proposal;
      setAnswers((now) => ({ ...now, 'recent-surgery': true }));
      const on = new Date(atMs).toISOString().slice(0, 10);
      const operation = { limb: limb ?? NEW_OPERATION.limb, what: what.slice(0, 120), on };
      set('operations', [...operations.filter((one) => one !== NEW_OPERATION), operation]);
    }
    const said = noteOf(proposal);
    if (said) set('note', [typed.note, said].filter(Boolean).join('; ').slice(0, NOTE_LETTERS));
  };
  return (
    <section className="grid gap-8 lg:grid-cols-[1fr_22rem]">
      <div>
        <BenchHeading title={t`Screen`}>
          <Trans>
            Ask each of these. A screening holds 12 weeks. <Why rule="SCR-1" />{' '}
            <Link to={`/papers/screening/${client.id}`} className="underline underline-offset-4">
              On paper
            </Link>
          </Trans>
        </BenchHeading>
        <Questionnaire
          asked={asked}
          answers={answers}
          onRecord={onRecord.yes}
          stricter={client.facts.stricter}
          places={limbsOf}
          onChange={setAnswers}
          onPlaces={setLimbsOf}
        />
      </div>
      <form
        className="space-y-4 lg:sticky lg:top-4 lg:self-start"
        {...send(({ note, medicines }) => {
          if (!complete || write.isPending) return;
          const adultFromMs = Number.isNaN(Date.parse(adultOn)) ? null : Date.parse(adultOn);
          write.mutate(
            { yes, bloodPressures, note, procedures, places, adultFromMs, medicines: listed(medicines) },
            { onSuccess: done },
          );
        })}
      >
        <FromRecord name={client.name} nowMs={client.judgedAtMs} takeOver={takeOver} />
        {operated && <Procedures typed={operations} onChange={(next) => set('operations', next)} />}
        {yes.includes('under-18') && (
          <DateField
            label={t`18th birthday`}
            value={adultOn}
            onChange={(next) => set('adultOn', next)}
            hint={t`Empty: a clinician ends it.`}
          />
        )}
        <h3 className="text-xl font-semibold">{t`Resting blood pressure`}</h3>
        {typed.bloodPressures.map((one, place) => (
          <BloodPressureFields
            // biome-ignore lint/suspicious/noArrayIndexKey: a reading is its place
            key={place}
            label={place === 0 ? t`First` : t`Second`}
            typed={one}
            onChange={(next) =>
              set(
                'bloodPressures',
                typed.bloodPressures.map((old, i) => (i === place ? next : old)),
              )
            }
          />
        ))}
        {bloodPressures.length >= 2 && (
          <p>
            <Trans>
              Mean{' '}
              <span className="figures text-2xl">
                {bloodPressureWords(meanBloodPressure(bloodPressures))}
              </span>{' '}
              mmHg
            </Trans>
          </p>
        )}
        <Field
          label={t`Medicines`}
          hint={t`With commas between them.`}
          autoComplete="off"
          {...field('medicines')}
        />
        <Field label={t`Note`} maxLength={NOTE_LETTERS} {...field('note')} />
        {complete ? (
          <JudgementLines judgement={judgement} />
        ) : (
          <p className="text-quiet">
            {unanswered > 0 ? t`${unanswered} still to answer` : t`All answered`}
            {unplaced > 0 && t`, ${unplaced} without a limb`}
            {bloodPressures.length < 2 && t`, two readings a minute apart`}.
          </p>
        )}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        <div className="flex gap-2">
          <Button type="submit" kind="main" disabled={!complete || write.isPending}>
            {t`Record the screening`}
          </Button>
          {last && <Button onClick={done}>{t`Cancel`}</Button>}
        </div>
      </form>
    </section>
  );
}

/** Words of a note, with the stop that a sentence after them needs. */
const sentence = (note: string): string => note.replace(/[^.!?]$/, '$&.');

function ScreeningOnRecord({
  client,
  last,
  screenAgain,
}: {
  client: ClientRecord;
  last: Screening;
  screenAgain: () => void;
}) {
  const judgement = judgeScreening(
    answeredInForce(client.facts, client.judgedAtMs),
    client.facts.clearances,
    client.facts.stricter,
    client.judgedAtMs,
  );
  const open = judgement.reasons.filter(keepsBack);
  const today = dayCheckInForce(client.facts, client.judgedAtMs);
  const [checkingAgain, setCheckingAgain] = useState(false);
  return (
    <section className="grid gap-8 lg:grid-cols-2 lg:grid-rows-[auto_auto_1fr]">
      <div className="space-y-5 lg:col-start-1">
        <BenchHeading title={t`Screen`}>
          {t`Screened ${dayAndTime(last.atMs)}, resting ${bloodPressureWords(meanBloodPressure(last.bloodPressures))} mmHg. ${sentence(last.note)}${last.medicines && last.medicines.length > 0 ? t` Takes ${last.medicines.join(', ')}.` : ''}`}
        </BenchHeading>
        <Holds client={client} />
        <JudgementLines
          judgement={judgement}
          after={(subject) => <EndCondition client={client} subject={subject} />}
        />
      </div>
      {/* What is to be done today is first in a hand, and beside the judgement where there is room. */}
      <div
        className={`space-y-6 lg:col-start-2 lg:row-span-2 lg:row-start-1 ${today ? '' : 'max-sm:order-first'}`}
      >
        {today && (
          <section>
            <h3 className="text-xl font-semibold">{t`On the day`}</h3>
            <p>
              {t`Checked today, ${dayAndTime(today.atMs)}: pain ${today.painNow} of 10${today.bloodPressure ? `, ${bloodPressureWords(today.bloodPressure)} mmHg` : ''}.`}
            </p>
            {judgeDayCheck(today).map((finding) => (
              <FindingLine key={translate(finding.message)} finding={finding} />
            ))}
            {!checkingAgain && (
              <Button className="mt-2" onClick={() => setCheckingAgain(true)}>
                {t`Check again`}
              </Button>
            )}
          </section>
        )}
        {(!today || checkingAgain) && <DayCheckForm client={client} done={() => setCheckingAgain(false)} />}
      </div>
      <div className="space-y-6 lg:col-start-2 lg:row-start-3">
        <div>
          <ConsentForm client={client} />
          {client.facts.consents.length > 0 && (
            <Attachments clientId={client.id} about="consent" attach={t`Attach the signed consent`} />
          )}
        </div>
        <Clearances client={client} open={open} />
        <PressorForm client={client} />
      </div>
      <div className="space-y-5 lg:col-start-1 lg:row-span-2 lg:row-start-2">
        <Button onClick={screenAgain}>{t`Health has changed: screen again`}</Button>
        <History clientId={client.id} />
      </div>
    </section>
  );
}

/** Every screening kept, newest first, with what changed from the one before. */
function History({ clientId }: { clientId: string }) {
  const { rows: newestFirst, more } = useScreenings(clientId);
  return (
    <section>
      <h3 className="font-semibold">{t`Screenings on record`}</h3>
      <ul className="mt-1">
        {newestFirst.map((screening, place) => {
          const before = newestFirst[place + 1];
          const changes = before ? changesSince(before, screening) : [];
          return (
            <li key={screening.atMs} className="border-t border-rule py-1.5 text-[15px]">
              {t`${dayAndTime(screening.atMs)}, ${bloodPressureWords(meanBloodPressure(screening.bloodPressures))} mmHg, questions version ${screening.version}.`}{' '}
              {before
                ? changes.map((change) => translate(change)).join('. ') || t`Nothing changed.`
                : !more && t`The first.`}
            </li>
          );
        })}
      </ul>
      <More more={more}>{t`Show earlier screenings`}</More>
    </section>
  );
}
