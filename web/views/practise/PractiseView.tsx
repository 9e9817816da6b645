import { useState } from 'react';
import { makePracticeCase, type PracticeCase } from '#core/simulation/practice-case';
import { Button } from '../../parts/Button';
import { AttemptCurve } from './AttemptCurve';
import { PractiseCase } from './PractiseCase';

/** Learn to measure on simulated people: the truth is hidden, traps are set, and each attempt is scored. */
export function PractiseView() {
  const [chosen, setChosen] = useState<PracticeCase | null>(null);
  const start = () => setChosen(makePracticeCase(Math.floor(Math.random() * 4_294_967_296)));
  return (
    <div className="p-6">
      <h1 className="text-3xl font-semibold">Practise measuring</h1>
      <p className="max-w-prose text-quiet">
        A simulated person, an unknown occlusion pressure, a hand pump and a probe. Something may be wrong
        with the set-up: say so when you notice.
      </p>
      {chosen ? (
        <PractiseCase key={chosen.seed} practice={chosen} again={start} />
      ) : (
        <div className="mt-6 grid gap-8 lg:grid-cols-[20rem_1fr]">
          <div>
            <Button kind="main" className="min-h-20 w-full text-2xl" onClick={start}>
              Start a case
            </Button>
            <p className="mt-4 text-[15px] text-quiet">
              Scored: error against the truth, time, pressure above what was needed, traps noticed. Turn the
              sound on, or read the trace.
            </p>
          </div>
          <AttemptCurve />
        </div>
      )}
    </div>
  );
}
