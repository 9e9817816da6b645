import { useState } from 'react';
import { highestRung, type LadderAnswers, missingFor } from '#core/course/ladder';
import { RUNG_LABELS } from '#core/plan/goals';
import type { Rung } from '#core/protocol/exercise';
import { Button } from '../../parts/Button';
import { NumberField } from '../../parts/NumberField';
import { Scale } from '../../parts/Scale';
import { Ticks } from '../../parts/Ticks';

type Yes = 'swellingDown' | 'rangeGood' | 'clinicianAgrees';
const YES: { value: Yes; label: string }[] = [
  { value: 'swellingDown', label: 'Swelling is going down' },
  { value: 'rangeGood', label: 'Full range of the exercise, without a lag' },
  { value: 'clinicianAgrees', label: 'The clinician agrees' },
];

/** Which rung of the ladder may be entered today, and what is missing for the one that was chosen (rule PRO-5). */
export function RungCheck({
  rung,
  postOperative,
  take,
}: {
  rung: Rung;
  postOperative: boolean;
  take: (rung: Rung) => void;
}) {
  const [answers, setAnswers] = useState<LadderAnswers>({
    pain: 0,
    swellingDown: false,
    rangeGood: false,
    daysSinceSurgery: postOperative ? 0 : null,
    clinicianAgrees: false,
  });
  const highest = highestRung(answers);
  const missing = missingFor(rung, answers);
  const chosen = YES.map(({ value }) => value).filter((key) => answers[key]);
  return (
    <section aria-label="Entry to the rung" className="max-w-3xl space-y-2 border-l-4 border-rule pl-4">
      <Scale
        label="Pain at rest or in daily life"
        keys=""
        value={answers.pain}
        onChange={(pain) => setAnswers({ ...answers, pain })}
      />
      <Ticks
        label="Today"
        options={YES}
        chosen={chosen}
        onChange={(yes) =>
          setAnswers({
            ...answers,
            swellingDown: yes.includes('swellingDown'),
            rangeGood: yes.includes('rangeGood'),
            clinicianAgrees: yes.includes('clinicianAgrees'),
          })
        }
      />
      {answers.daysSinceSurgery !== null && (
        <NumberField
          label="Days since surgery"
          className="w-48"
          value={answers.daysSinceSurgery}
          onValue={(daysSinceSurgery) => setAnswers({ ...answers, daysSinceSurgery })}
        />
      )}
      <p aria-live="polite">
        {highest === null
          ? 'No rung may be entered yet.'
          : `May enter up to: ${RUNG_LABELS[highest].toLowerCase()}.`}{' '}
        {missing.length > 0 && (
          <span className="text-ochre">
            For {RUNG_LABELS[rung].toLowerCase()}, missing: {missing.join(', ')} (PRO-5).
          </span>
        )}
      </p>
      {highest !== null && highest !== rung && (
        <Button onClick={() => take(highest)}>Take {RUNG_LABELS[highest].toLowerCase()}</Button>
      )}
    </section>
  );
}
