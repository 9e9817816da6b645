import { DECISION_WORDS, type Judgement } from '#core/screening/decide';
import { Why } from '../../parts/Why';

/** A decision with each reason and what answers it. */
export function JudgementLines({ judgement: { decision, reasons } }: { judgement: Judgement }) {
  const starts = decision === 'clear-to-start' || decision === 'start-with-limits';
  return (
    <div>
      <p className={`text-2xl font-semibold ${starts ? '' : 'notched text-ochre'}`}>
        {DECISION_WORDS[decision]}
      </p>
      <ul className="mt-2">
        {reasons.map(({ subject, words, level, clearedBy, rule }) => (
          <li key={subject} className="border-t border-rule py-1 text-[15px]">
            {words}:{' '}
            <strong>{clearedBy ?? (level === 'stop' ? 'stop, physician first' : 'needs a clearance')}</strong>{' '}
            <Why rule={rule} />
          </li>
        ))}
      </ul>
    </div>
  );
}
