import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { NewPracticeAttempt } from '#contract/practice-attempt';
import {
  limbUnderTraps,
  OFF_ZERO_MMHG,
  type PracticeCase,
  type PracticeScore,
  type PracticeWish,
  TRAP,
  type Trap,
  trapsFor,
} from '#core/learning';
import { LIMB_LABELS, POSITION_NAMES, toNumber } from '#core/quantity';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { localSource } from '../../../devices/local-source';
import type { PressureSource } from '../../../devices/pressure-source';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Field, FieldError } from '../../../parts/fields/Field';
import { reads, useFields } from '../../../parts/forms/use-fields';
import { ProbeKnob } from '../../../parts/record/ProbeKnob';
import { useNow } from '../../../parts/time/use-now';
import { clock, plain } from '../../../words/format';
import { useUnits } from '../../../words/units';
import { PulseUnderFingers } from './PulseUnderFingers';
import { PumpKeys } from './PumpKeys';
import { Scored } from './Scored';

const VOLUME = { down: 0.03, up: 0.8 };

/** One case from start to score. */
export function PractiseCase({
  practice,
  wish,
  again,
  back,
}: {
  practice: PracticeCase;
  wish: PracticeWish;
  again: () => void;
  back: () => void;
}) {
  const queries = useQueryClient();
  const [startedMs] = useState(Date.now);
  const finish = useMutation({
    mutationFn: (json: NewPracticeAttempt) => read(api['practice-attempts'].$post({ json })),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.practiceAttempts }),
  });
  if (finish.data) return <Score practice={practice} score={finish.data} again={again} back={back} />;
  return (
    <Attempt
      practice={practice}
      startedMs={startedMs}
      trouble={finish.error ? failureWords(finish.error) : null}
      finish={(answer) =>
        finish.mutate({ ...answer, ...wish, seed: practice.seed, elapsedMs: Date.now() - startedMs })
      }
    />
  );
}

function Attempt({
  practice,
  startedMs,
  trouble,
  finish,
}: {
  practice: PracticeCase;
  startedMs: number;
  trouble: string | null;
  finish: (answer: Pick<NewPracticeAttempt, 'statedMmHg' | 'highestMmHg' | 'noticed'>) => void;
}) {
  const { length } = useUnits();
  const isAutomatic = practice.method === 'automatic-pump';
  const [noticed, setNoticed] = useState<Trap[]>([]);
  const standing = practice.traps.filter((trap) => !noticed.includes(trap));
  const latest = useRef(standing);
  latest.current = standing;
  const [source, setSource] = useState<PressureSource | null>(null);
  useEffect(() => {
    const made = localSource(
      () => limbUnderTraps(practice, latest.current),
      practice.seed,
      isAutomatic ? 'regulated' : 'by-hand',
    );
    setSource(made);
    return () => made.close();
  }, [practice, isAutomatic]);
  const [volume, setVolume] = useState(practice.traps.includes('volume-down') ? VOLUME.down : VOLUME.up);
  const highest = useRef(0);
  useEffect(
    () =>
      source?.subscribe((frame) => {
        highest.current = Math.max(highest.current, frame?.pressureMmHg ?? 0);
      }),
    [source],
  );
  const { typed, field, send } = useFields(
    { stated: '' },
    null,
    reads(({ stated }) => {
      const statedMmHg = toNumber(stated);
      return statedMmHg > 0
        ? { sent: statedMmHg }
        : { wrong: { stated: t`Enter the pressure as a number in mmHg.` } };
    }),
  );
  const notice = (trap: Trap) => {
    setNoticed([...noticed, trap]);
    if (trap === 'volume-down') setVolume(VOLUME.up);
  };
  const talking = standing.includes('talking');
  return (
    <div className="mt-5 grid gap-8 lg:grid-cols-[1fr_20rem]">
      <div className="space-y-4">
        <p className="text-xl">
          <Trans>
            {translate(LIMB_LABELS[practice.limb])}, {translate(POSITION_NAMES[practice.position])}. Girth{' '}
            {length.words(practice.girthCm)}, cuff marked {practice.cuffRangeCm.low}–
            {practice.cuffRangeCm.high} cm.{' '}
            {standing.includes('loose-cuff') ? t`Two fingers slide under it.` : t`One finger goes under it.`}
            {standing.includes('bent-limb') && t`The knee rests bent over a roll. `}
            {talking && <em> {t`“… and the ferry was late again, so I said to her …”`}</em>}
          </Trans>
        </p>
        {source && (
          <>
            <PumpKeys
              source={source}
              offZeroMmHg={standing.includes('gauge-not-at-zero') ? OFF_ZERO_MMHG : 0}
              misreadMmHg={practice.traps.includes('pump-misreads') ? practice.misreadMmHg : 0}
            />
            {practice.method === 'palpation' ? (
              <PulseUnderFingers source={source} />
            ) : (
              <ProbeKnob
                source={source}
                follows={practice.method === 'oximeter' ? 'oximeter' : 'probe'}
                volume={volume}
                roomNoise={talking ? 0.7 : 0.1}
                setVolume={setVolume}
              />
            )}
          </>
        )}
        <Elapsed sinceMs={startedMs} />
      </div>
      <div className="space-y-5">
        <fieldset>
          <legend className="font-semibold">{t`I notice`}</legend>
          <div className="mt-1 space-y-2">
            {trapsFor(practice).map((trap) => (
              <Button
                key={trap}
                className="w-full justify-between"
                disabled={noticed.includes(trap)}
                onClick={() => notice(trap)}
              >
                {noticed.includes(trap)
                  ? t`${translate(TRAP[trap].remedy)}: done`
                  : translate(TRAP[trap].label)}
              </Button>
            ))}
          </div>
        </fieldset>
        <form
          className="space-y-3"
          {...send((statedMmHg) => finish({ statedMmHg, highestMmHg: highest.current, noticed }))}
        >
          <Field
            label={t`I state the occlusion pressure as`}
            unit="mmHg"
            number="decimal"
            {...field('stated')}
          />
          {trouble && <FieldError>{trouble}</FieldError>}
          <Button type="submit" kind="main" does="accept" disabled={typed.stated.trim() === ''}>
            {t`Done: score me`}
          </Button>
        </form>
      </div>
    </div>
  );
}

function Elapsed({ sinceMs }: { sinceMs: number }) {
  const nowMs = useNow(1000);
  return <p className="figures text-quiet">{clock(nowMs - sinceMs)}</p>;
}

function Score({
  practice,
  score,
  again,
  back,
}: {
  practice: PracticeCase;
  score: PracticeScore;
  again: () => void;
  back: () => void;
}) {
  return (
    <Scored {...score} of="measuring" next={t`Another case`} again={again} back={back}>
      <p>
        <Trans>
          True pressure{' '}
          <span className="figures text-2xl">{Math.round(practice.simulated.occlusionMmHg)}</span> mmHg; you
          were {plain(Math.abs(score.errorMmHg))} {score.errorMmHg < 0 ? t`under` : t`over`}.
        </Trans>
      </p>
      <p>
        {practice.traps.length === 0
          ? t`No trap was set.`
          : t`Traps set: ${practice.traps.map((trap) => inSentence(TRAP[trap].label)).join(', ')}.`}
      </p>
    </Scored>
  );
}
