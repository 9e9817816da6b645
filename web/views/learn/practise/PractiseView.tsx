import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { SharedCase } from '#contract/practice-attempt';
import {
  makePracticeCase,
  makeSessionCase,
  type PracticeCase,
  type PracticeWish,
  type SessionCase,
} from '#core/learning';
import type { PulseMethod } from '#core/occlusion-pressure';
import { useMe } from '../../../data/sign-in';
import { inSentence } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Choice } from '../../../parts/fields/Choice';
import { CertificateWords } from '../../../parts/record/CertificateWords';
import { AgreementWords } from './AgreementWords';
import { AttemptCurve } from './AttemptCurve';
import { METHOD_LABELS } from './labels';
import { PractiseCase } from './PractiseCase';
import { PractiseSession } from './PractiseSession';
import { usePracticeBench } from './use-bench';

type Chosen =
  | { what: 'measuring'; practice: PracticeCase; wish: PracticeWish }
  | { what: 'a session'; session: SessionCase };

const aSeed = (): number => Math.floor(Math.random() * 4_294_967_296);
const measuring = (seed: number, { method, limbs }: PracticeWish): Chosen => {
  const wish = { method, limbs };
  return { what: 'measuring', practice: makePracticeCase(seed, wish), wish };
};
const aSession = (): Chosen => ({ what: 'a session', session: makeSessionCase(aSeed()) });

/** Learn on simulated people: the truth is hidden, something may be wrong, and each attempt is scored. */
export function PractiseView() {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [wish, setWish] = useState<PracticeWish>({ method: 'doppler', limbs: 'any' });
  const { data: me } = useMe();
  const back = () => setChosen(null);
  return (
    <div className="p-6">
      <header className="flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-3xl font-semibold">
          {chosen?.what === 'a session' ? t`Practise a session` : t`Practise measuring`}
        </h1>
        <CertificateWords untilDay={me?.certifiedUntilDay ?? null} />
      </header>
      {chosen?.what === 'measuring' && (
        <PractiseCase
          key={chosen.practice.seed}
          practice={chosen.practice}
          wish={chosen.wish}
          again={() => setChosen(measuring(aSeed(), chosen.wish))}
          back={back}
        />
      )}
      {chosen?.what === 'a session' && (
        <PractiseSession
          key={chosen.session.seed}
          session={chosen.session}
          again={() => setChosen(aSession())}
          back={back}
        />
      )}
      {!chosen && (
        <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-8 lg:grid-cols-[26rem_minmax(0,1fr)]">
          <div className="space-y-6">
            <section className="space-y-3">
              <p className="text-quiet">
                {t`A simulated person and an unknown occlusion pressure. Something may be wrong with the set-up: say so when you notice.`}
              </p>
              <Choice<PulseMethod>
                label={t`How the pulse is followed`}
                value={wish.method}
                onChange={(method) => setWish({ ...wish, method })}
                options={Object.entries(METHOD_LABELS).map(([value, label]) => ({
                  value: value as PulseMethod,
                  label,
                }))}
              />
              {wish.method === 'oximeter' ? (
                <p className="text-[15px] text-quiet">
                  {t`On arms only: on a toe the trace is too weak and too late.`}
                </p>
              ) : (
                <Choice
                  label={t`Limbs`}
                  value={wish.limbs}
                  onChange={(limbs) => setWish({ ...wish, limbs })}
                  options={[
                    { value: 'any', label: t`Any` },
                    { value: 'arm', label: t`Arms` },
                    { value: 'leg', label: t`Legs` },
                  ]}
                />
              )}
              <Button
                kind="main"
                className="min-h-16 w-full text-xl"
                onClick={() => setChosen(measuring(aSeed(), wish))}
              >
                {t`Start a case`}
              </Button>
              <Shared choose={(shared) => setChosen(measuring(shared.seed, shared))} />
            </section>
            <section className="space-y-3 border-t border-rule pt-4">
              <h2 className="text-xl font-semibold">{t`Run a session`}</h2>
              <p className="text-quiet">
                {t`A simulated person tires, may show a symptom, and a clinician may have set a limit. You hold the pressure, begin and end the sets, and look out.`}
              </p>
              <Button className="min-h-14 w-full text-lg" onClick={() => setChosen(aSession())}>
                {t`Start a session`}
              </Button>
            </section>
          </div>
          <div className="space-y-8">
            <AttemptCurve of="measuring" />
            <AgreementWords />
            <AttemptCurve of="a session" />
          </div>
        </div>
      )}
    </div>
  );
}

function Shared({ choose }: { choose: (shared: SharedCase) => void }) {
  const { data } = usePracticeBench();
  const shared = data?.toShare.at(-1);
  if (!shared) return null;
  return (
    <Button className="w-full" onClick={() => choose(shared)}>
      {t`Measure a limb that a colleague has measured (${inSentence(METHOD_LABELS[shared.method])})`}
    </Button>
  );
}
