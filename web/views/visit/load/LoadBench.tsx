import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { type NewStrengthTest, newStrengthTestSchema } from '#contract/measurements';
import { isWeighed, libraryOf } from '#core/protocol';
import { limbKind, limbSide, newest, otherSide, SIDE_NAMES, toNumber } from '#core/quantity';
import { ageWords, limbInHand, proceduresInForce } from '#core/record';
import { checkRepsToFailure, checkTest, oneRepMax, strengthTestSchema } from '#core/strength';
import { api, failureWords, read } from '../../../data/api';
import { useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Figure } from '../../../parts/base/Figure';
import { FindingLine } from '../../../parts/base/FindingLine';
import { Why } from '../../../parts/base/Why';
import { Choice } from '../../../parts/fields/Choice';
import { Field, FieldError } from '../../../parts/fields/Field';
import { schemaResolver } from '../../../parts/forms/schema-resolver';
import { BenchHeading } from '../../../parts/plan/Bench';
import { ExercisePicker } from '../../../parts/plan/ExercisePicker';
import { useGuards } from '../../../parts/plan/use-guards';
import { usePlanInHand } from '../../../parts/plan/use-plan-in-hand';
import { HeavyWorkLine } from '../../../parts/record/HeavyWorkLine';
import { useUnits } from '../../../words/units';
import { FormulaDots } from './FormulaDots';
import { sameTest } from './same-test';
import { TestsOnRecord } from './TestsOnRecord';

const typedWith = (parse: (typed: string) => number) => ({
  setValueAs: (typed: string | number | undefined) =>
    typed === '' || typed === undefined ? undefined : typeof typed === 'number' ? typed : parse(typed),
});

/** A strength test and the one-repetition maximum it gives. */
export function LoadBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const { inHand } = usePlanInHand(client);
  const { mass } = useUnits();
  const limb = limbInHand(client.facts, inHand?.prescription) ?? 'left-thigh';
  const wanted = useSearchParams()[0].get('exercise');
  // A limb that has its cuff or strap may be tested, whichever plan is in hand.
  const kinds = new Set([limb, ...client.facts.fits.map((fit) => fit.limb)].map(limbKind));
  const operated = proceduresInForce(client.facts, client.judgedAtMs).map((procedure) => procedure.limb);
  const library = Object.fromEntries(
    Object.entries(libraryOf(client.facts.ownExercises)).filter(
      ([, exercise]) => kinds.has(exercise.limbKind) && isWeighed(exercise),
    ),
  );
  const write = useRecordWrite((json: NewStrengthTest) =>
    read(api.clients[':id']['strength-tests'].$post({ param: { id: client.id }, json })),
  );
  const { register, handleSubmit, watch, setValue, formState } = useForm<NewStrengthTest>({
    resolver: schemaResolver(newStrengthTestSchema),
    mode: 'onChange',
    // A side that was operated on is not tested: the other one's is used (rule LOAD-2).
    defaultValues: {
      exerciseId:
        (wanted !== null && library[wanted] ? wanted : null) ??
        Object.keys(library).find((id) => library[id]?.limbKind === limbKind(limb)) ??
        'knee-extension',
      side: limbSide(operated.includes(limb) ? otherSide(limb) : limb),
    },
  });
  const values = watch();
  const test = strengthTestSchema.safeParse({ loadKg: values.loadKg, reps: values.reps });
  const ofOtherSide = newest(
    client.facts.strengthTests.filter(
      (fact) => fact.exerciseId === values.exerciseId && fact.side !== values.side && fact.side !== 'both',
    ),
  );
  const ofThisSide = newest(client.facts.strengthTests.filter((fact) => sameTest(fact, values)));
  const result = test.success ? oneRepMax(test.data) : null;
  const exercise = library[values.exerciseId];
  const findings = exercise
    ? checkTest(
        values.exerciseId,
        exercise,
        { side: values.side, reps: test.success ? test.data.reps : null },
        operated,
      )
    : [];
  const { mayPass, reason, asked } = useGuards(findings, write.error);
  const submit = handleSubmit(async (body) => {
    if (!mayPass) return;
    const record = await write.mutateAsync({ ...body, ...reason }).catch(() => null);
    if (record) navigate(`/people/${client.id}/prescribe`);
  });
  return (
    <>
      <form
        onSubmit={submit}
        noValidate
        className="grid grid-cols-[minmax(0,1fr)] gap-8 lg:grid-cols-[24rem_minmax(0,1fr)]"
      >
        <div className="space-y-5">
          <BenchHeading title={t`Load`}>
            {t`One clean set to failure, 3 to 10 repetitions, or a single one.`}
            {/* What is known is next to the form where there is room. */}
            {ofThisSide && (
              <span className="block lg:hidden">
                {t`Known: ${mass.words(ofThisSide.oneRepMax.value)}, ${translate(ageWords(ofThisSide.atMs, client.judgedAtMs))}.`}
              </span>
            )}
          </BenchHeading>
          <ExercisePicker
            library={library}
            value={values.exerciseId}
            onChange={(exerciseId) => setValue('exerciseId', exerciseId)}
          />
          <Choice
            label={t`Side`}
            value={values.side}
            onChange={(side) => setValue('side', side)}
            options={[
              { value: 'left', label: t`Left` },
              { value: 'right', label: t`Right` },
              { value: 'both', label: t`Both` },
            ]}
          />
          <div className="grid grid-cols-2 gap-4">
            <Field
              label={t`Load`}
              unit={mass.unit}
              number="decimal"
              autoFocus
              {...register('loadKg', typedWith(mass.parse))}
              error={formState.errors.loadKg?.message}
            />
            <Field
              label={t`Repetitions`}
              unit="×"
              number="whole"
              {...register('reps', typedWith(toNumber))}
              error={formState.errors.reps?.message}
            />
          </div>
          <p className="text-[14px] text-quiet">
            <Trans>
              An injured or post-operative side is not tested: the other side stands in, marked.{' '}
              <Why rule="LOAD-2" />
              {ofOtherSide &&
                t` On record for the ${translate(SIDE_NAMES[ofOtherSide.side])}: ${mass.words(ofOtherSide.oneRepMax.value)}.`}
            </Trans>
          </p>
          {findings.map((finding) => (
            <FindingLine key={translate(finding.message)} finding={finding} />
          ))}
          {asked}
          {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
          <Button type="submit" kind="main" does="accept" disabled={write.isPending || !mayPass}>
            {t`Record test`}
          </Button>
        </div>
        <div>
          {result ? (
            <>
              <Figure label={t`One-repetition maximum`} derived={result} size="text-6xl" />
              {test.data &&
                checkRepsToFailure(test.data.reps).map((finding) => (
                  <FindingLine key={translate(finding.message)} finding={finding} />
                ))}
              <FormulaDots oneRepMax={result} />
            </>
          ) : (
            <p className="text-quiet">{t`The seven estimates and their median appear here as you type.`}</p>
          )}
          <TestsOnRecord client={client} />
        </div>
      </form>
      <div className="mt-10">
        <HeavyWorkLine client={client} />
      </div>
    </>
  );
}
