import { RULES } from '#core/rules/catalogue';
import { DECISION_WORDS, type Judgement } from '#core/screening/decide';

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
            <abbr className="text-[13px] no-underline" title={RULES[rule].text}>
              {rule}
            </abbr>
          </li>
        ))}
      </ul>
    </div>
  );
}
