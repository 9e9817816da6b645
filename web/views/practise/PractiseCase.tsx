import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { NewPracticeAttempt } from '#contract/practice-attempt';
import { LIMB_LABELS } from '#core/quantity/limb';
import { toNumber } from '#core/quantity/units';
import {
  limbUnderTraps,
  type PracticeCase,
  TRAP_WORDS,
  TRAPS,
  type Trap,
} from '#core/simulation/practice-case';
import type { PracticeScore } from '#core/simulation/practice-score';
import { api, failureWords, read } from '../../data/api';
import { KEYS } from '../../data/keys';
import { localSource } from '../../devices/local-source';
import type { PressureSource } from '../../devices/pressure-source';
import { useFrame } from '../../devices/use-frame';
import { Button } from '../../parts/Button';
import { Field, FieldError } from '../../parts/Field';
import { clock } from '../../parts/format';
import { ProbeKnob } from '../../parts/ProbeKnob';
import { useUnits } from '../../parts/units';
import { useNow } from '../../parts/use-now';
import { usePlusMinus } from '../../parts/use-plus-minus';
import { AttemptCurve } from './AttemptCurve';

const UP_MMHG = 10;
const DOWN_MMHG = 4;
const VOLUME = { down: 0.03, up: 0.8 };

/** One case from start to score. */
export function PractiseCase({ practice, again }: { practice: PracticeCase; again: () => void }) {
  const queries = useQueryClient();
  const [startedMs] = useState(Date.now);
  const finish = useMutation({
    mutationFn: (json: NewPracticeAttempt) => read(api['practice-attempts'].$post({ json })),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.practiceAttempts }),
  });
  if (finish.data) return <Score practice={practice} score={finish.data} again={again} />;
  return (
    <Attempt
      practice={practice}
      startedMs={startedMs}
      trouble={finish.error ? failureWords(finish.error) : null}
      finish={(answer) =>
        finish.mutate({ ...answer, seed: practice.seed, elapsedMs: Date.now() - startedMs })
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
  const [noticed, setNoticed] = useState<Trap[]>([]);
  const standing = practice.traps.filter((trap) => !noticed.includes(trap));
  const latest = useRef(standing);
  latest.current = standing;
  const [source, setSource] = useState<PressureSource | null>(null);
  useEffect(() => {
    const made = localSource(() => limbUnderTraps(practice, latest.current), practice.seed);
    setSource(made);
    return () => made.close();
  }, [practice]);
  const [volume, setVolume] = useState(practice.traps.includes('volume-down') ? VOLUME.down : VOLUME.up);
  const highest = useRef(0);
  useEffect(
    () =>
      source?.subscribe((frame) => {
        highest.current = Math.max(highest.current, frame?.pressureMmHg ?? 0);
      }),
    [source],
  );
  const [stated, setStated] = useState('');
  const statedMmHg = toNumber(stated);
  const notice = (trap: Trap) => {
    setNoticed([...noticed, trap]);
    if (trap === 'volume-down') setVolume(VOLUME.up);
  };
  const talking = standing.includes('talking');
  return (
    <div className="mt-5 grid gap-8 lg:grid-cols-[1fr_20rem]">
      <div className="space-y-4">
        <p className="text-xl">
          {LIMB_LABELS[practice.limb]}, {practice.position}. Girth {length.words(practice.girthCm)}, cuff
          marked {practice.cuffRangeCm.low}–{practice.cuffRangeCm.high} cm.{' '}
          {standing.includes('loose-cuff') ? 'Two fingers slide under it.' : 'One finger goes under it.'}
          {talking && <em> “… and the ferry was late again, so I said to her …”</em>}
        </p>
        {source && (
          <>
            <PumpKeys source={source} />
            <ProbeKnob
              source={source}
              follows="probe"
              volume={volume}
              roomNoise={talking ? 0.7 : 0.1}
              setVolume={setVolume}
            />
          </>
        )}
        <Elapsed sinceMs={startedMs} />
      </div>
      <div className="space-y-5">
        <fieldset>
          <legend className="font-semibold">I notice</legend>
          <div className="mt-1 space-y-2">
            {TRAPS.map((trap) => (
              <Button
                key={trap}
                className="w-full justify-between"
                disabled={noticed.includes(trap)}
                onClick={() => notice(trap)}
              >
                {noticed.includes(trap) ? `${TRAP_WORDS[trap].mend}: done` : TRAP_WORDS[trap].label}
              </Button>
            ))}
          </div>
        </fieldset>
        <form
          noValidate
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (statedMmHg > 0) finish({ statedMmHg, highestMmHg: highest.current, noticed });
          }}
        >
          <Field
            label="I state the occlusion pressure as"
            unit="mmHg"
            inputMode="decimal"
            autoComplete="off"
            value={stated}
            onChange={(event) => setStated(event.target.value)}
          />
          {trouble && <FieldError>{trouble}</FieldError>}
          <Button type="submit" kind="main" keyHint="Enter" disabled={!(statedMmHg > 0)}>
            Done: score me
          </Button>
        </form>
      </div>
    </div>
  );
}

function PumpKeys({ source }: { source: PressureSource }) {
  const frame = useFrame(source);
  const squeeze = () => source.command({ do: 'squeeze', byMmHg: UP_MMHG });
  const bleed = () => source.command({ do: 'bleed', byMmHg: DOWN_MMHG });
  usePlusMinus((direction) => (direction > 0 ? squeeze() : bleed()), {
    enableOnFormTags: ['INPUT'],
    preventDefault: true,
  });
  return (
    <div className="max-w-md space-y-3">
      <p className="figures text-center text-8xl leading-none" data-testid="practise-pressure">
        {Math.round(frame?.pressureMmHg ?? 0)}
        <span className="ml-2 text-xl text-quiet">mmHg</span>
      </p>
      <div className="grid grid-cols-3 gap-2">
        <Button className="min-h-14 text-xl" keyHint="−" onClick={bleed}>
          −{DOWN_MMHG}
        </Button>
        <Button className="min-h-14 text-xl" keyHint="+" onClick={squeeze}>
          +{UP_MMHG}
        </Button>
        <Button className="min-h-14" onClick={() => source.command({ do: 'release' })}>
          Release
        </Button>
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
}: {
  practice: PracticeCase;
  score: PracticeScore;
  again: () => void;
}) {
  return (
    <div className="mt-5 grid gap-8 lg:grid-cols-[22rem_1fr]">
      <div className="space-y-3">
        <p className="figures text-8xl leading-none">{score.points}</p>
        <p>of 100 points</p>
        <p>
          True pressure{' '}
          <span className="figures text-2xl">{Math.round(practice.simulated.occlusionMmHg)}</span> mmHg; you
          were {Math.abs(score.errorMmHg)} {score.errorMmHg < 0 ? 'under' : 'over'}.
        </p>
        <p>
          {practice.traps.length === 0
            ? 'No trap was set.'
            : `Traps set: ${practice.traps.map((trap) => TRAP_WORDS[trap].label.toLowerCase()).join(', ')}.`}
        </p>
        <ul className="border-t border-rule">
          {score.lost.map(({ words, points }) => (
            <li key={words} className="flex justify-between border-b border-rule py-1">
              <span>{words}</span> <span className="figures">−{points}</span>
            </li>
          ))}
        </ul>
        <Button kind="main" onClick={again}>
          Another case
        </Button>
      </div>
      <AttemptCurve />
    </div>
  );
}
