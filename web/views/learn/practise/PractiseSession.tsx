import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { NewSessionAttempt } from '#contract/practice-attempt';
import {
  BY_MMHG,
  cuffOn,
  doInSession,
  heldMmHg,
  newSessionRun,
  type SessionAction,
  type SessionCase,
  type SessionRun,
  type SessionScore,
  STEP_MS,
  stepSession,
  whatIsKnown,
} from '#core/learning';
import { LIMB_LABELS } from '#core/quantity';
import { SIGNS } from '#core/session';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { useAction } from '../../../parts/keys/use-action';
import { usePlusMinus } from '../../../parts/keys/use-plus-minus';
import { useSpace } from '../../../parts/keys/use-space';
import { clock } from '../../../words/format';
import { Scored } from './Scored';
import { SessionTrace, type TracePoint, traced } from './SessionTrace';

/** A simulated session goes by so many times faster than the clock. */
const FASTER = 2;

/** One simulated session from the first squeeze to its score. */
export function PractiseSession({
  session,
  again,
  back,
}: {
  session: SessionCase;
  again: () => void;
  back: () => void;
}) {
  const queries = useQueryClient();
  const finish = useMutation({
    mutationFn: (json: NewSessionAttempt) => read<SessionScore>(api['session-attempts'].$post({ json })),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.sessionAttempts }),
  });
  if (finish.data) {
    const ending = session.signs.find(({ id }) => SIGNS[id].level !== 'expected');
    return (
      <Scored {...finish.data} of="a session" next={t`Another session`} again={again} back={back}>
        <p>
          <Trans>
            To hold: <span className="figures">{heldMmHg(session)}</span> mmHg
            {session.capMmHg < session.targetMmHg && t`, since what was cleared lies under the plan`}.{' '}
            {ending
              ? t`A symptom that stops the session comes ${clock(ending.fromMs)} under the cuff: ${inSentence(SIGNS[ending.id].label)}.`
              : t`No symptom stops it.`}
          </Trans>
        </p>
      </Scored>
    );
  }
  return (
    <Running
      session={session}
      trouble={finish.error ? failureWords(finish.error) : null}
      finish={(done) => finish.mutate({ seed: session.seed, ...done })}
    />
  );
}

/** The run as it goes on, and what was done in it. */
function useSessionRun(session: SessionCase) {
  const [{ run, trace }, setShown] = useState<{ run: SessionRun; trace: readonly TracePoint[] }>({
    run: newSessionRun,
    trace: [],
  });
  const latest = useRef<{ run: SessionRun; actions: NewSessionAttempt['actions'] }>({ run, actions: [] });
  const show = useCallback(
    (now: SessionRun) => setShown((shown) => ({ run: now, trace: traced(shown.trace, now) })),
    [],
  );
  useEffect(() => {
    const timer = setInterval(() => {
      latest.current.run = stepSession(session, latest.current.run);
      show(latest.current.run);
    }, STEP_MS / FASTER);
    return () => clearInterval(timer);
  }, [session, show]);
  const act = (action: SessionAction) => {
    const { run: now, actions } = latest.current;
    latest.current = { run: doInSession(now, action), actions: [...actions, { atMs: now.atMs, do: action }] };
    show(latest.current.run);
  };
  return {
    run,
    trace,
    act,
    done: () => ({ endMs: latest.current.run.atMs, actions: latest.current.actions }),
  };
}

function Running({
  session,
  trouble,
  finish,
}: {
  session: SessionCase;
  trouble: string | null;
  finish: (done: Omit<NewSessionAttempt, 'seed'>) => void;
}) {
  const { run, trace, act, done } = useSessionRun(session);
  const setNumber = run.done.length + 1;
  const planned = session.plannedReps[run.done.length];
  const next = () => act(run.set ? 'end-set' : 'begin-set');
  usePlusMinus((direction) => act(direction > 0 ? 'squeeze' : 'bleed'), true);
  useSpace(next);
  useAction('deflate', () => act('release'));
  useAction('ask', () => act('ask'));
  const known = whatIsKnown(session, run);
  return (
    <div className="mt-4 grid gap-8 lg:grid-cols-[1fr_20rem]">
      <div className="space-y-5">
        <p className="text-xl">
          <Trans>
            {translate(LIMB_LABELS[session.limb])}, {session.plannedReps.join('–')} repetitions, rests of{' '}
            {session.restMs / 1000} s. The plan:{' '}
            <strong className="figures">{session.targetMmHg} mmHg</strong>. Cleared by a clinician up to{' '}
            <strong className="figures">{session.capMmHg} mmHg</strong> and {session.longestMs / 60_000}{' '}
            minutes at a stretch.
          </Trans>
        </p>
        <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
          <p className="figures text-8xl leading-none" data-testid="session-pressure">
            {Math.round(run.pump.pressureMmHg)}
            <span className="ml-2 text-xl text-quiet">mmHg</span>
          </p>
          <p>
            <span className="figures block text-6xl leading-none">
              {run.set ? run.set.reps : clock(run.restedMs)}
            </span>
            {run.set
              ? t`of ${planned ?? t`no more`} repetitions, set ${setNumber}`
              : run.done.length > 0
                ? t`of rest`
                : t`not begun`}
          </p>
          <p>
            <Trans>
              <span className="figures block text-4xl leading-none">{clock(run.cuffMs)}</span>
              cuff on
            </Trans>
          </p>
        </div>
        <SessionTrace session={session} run={run} trace={trace} />
        <div className="grid max-w-2xl grid-cols-2 gap-2 sm:grid-cols-5">
          <Button className="min-h-14" does="fewer" onClick={() => act('bleed')}>
            −{BY_MMHG.bleed}
          </Button>
          <Button className="min-h-14" does="more" onClick={() => act('squeeze')}>
            +{BY_MMHG.squeeze}
          </Button>
          <Button className="min-h-14 sm:col-span-2" kind="main" does="next" onClick={next}>
            {run.set ? t`End the set` : t`Begin set ${setNumber}`}
          </Button>
          <Button
            className="min-h-14 max-sm:col-span-2"
            kind="stop"
            does="deflate"
            onClick={() => act('release')}
          >
            {t`Release`}
          </Button>
        </div>
        <p className="text-[14px] text-quiet">
          {t`Time goes by twice as fast here. The gauge, the clock and the person are yours to watch.`}
        </p>
      </div>
      <div className="space-y-5">
        <section aria-live="polite">
          <h2 className="font-semibold">{t`What you see and hear`}</h2>
          <ul className="mt-1 min-h-32 space-y-2">
            {known.length === 0 && <li className="text-quiet">{t`Nothing to remark.`}</li>}
            {known.map((words) => (
              <li key={translate(words)}>{translate(words)}</li>
            ))}
          </ul>
          <Button className="w-full" does="ask" onClick={() => act('ask')}>
            {t`Ask how it feels`}
          </Button>
        </section>
        {trouble && <FieldError>{trouble}</FieldError>}
        <Button className="w-full" disabled={run.atMs === 0} onClick={() => finish(done())}>
          {cuffOn(run) ? t`Finish, with the cuff on` : t`Finish: score me`}
        </Button>
      </div>
    </div>
  );
}
