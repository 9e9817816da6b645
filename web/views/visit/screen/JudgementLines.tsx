import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { LIMBS, limbsWords } from '#core/quantity';
import { DECISION_WORDS, type FoundSubject, type Judgement } from '#core/screening';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';

/** A decision with each reason and what answers it. */
export function JudgementLines({
  judgement: { decision, reasons },
  after,
}: {
  judgement: Judgement;
  /** What is after a reason. */
  after?: (subject: FoundSubject) => ReactNode;
}) {
  const starts = decision === 'clear-to-start' || decision === 'start-with-limits';
  return (
    <div>
      <p className={`text-2xl font-semibold ${starts ? '' : 'notched text-ochre'}`}>
        {translate(DECISION_WORDS[decision])}
      </p>
      <ul className="mt-2">
        {reasons.map(({ subject, words, level, clearedBy, clearedFor, rule }) => {
          const barred = LIMBS.filter((limb) => !clearedFor.includes(limb));
          return (
            <li key={subject} className="border-t border-rule py-1 text-[15px]">
              {translate(words)}:{' '}
              <strong>
                {translate(clearedBy) ?? (level === 'stop' ? t`stop, physician first` : t`needs a clearance`)}
              </strong>
              {barred.length > 0 &&
                barred.length < LIMBS.length &&
                t`, not for the ${translate(limbsWords(barred))}`}{' '}
              <Why rule={rule} /> {after?.(subject)}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
