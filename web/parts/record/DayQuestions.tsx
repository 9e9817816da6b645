import { DAY_SIGNS, type DaySign } from '#core/screening';
import { translate } from '../../language/translate';
import { YesNo } from '../fields/YesNo';

/** What was answered of the questions of the day: whether each is well. */
export type DayAnswers = Partial<Record<DaySign, boolean>>;

/** The questions of the day, each with yes and no; yes means well (rule SCR-3). */
export function DayQuestions({
  signs,
  well,
  setWell,
}: {
  signs: readonly DaySign[];
  well: DayAnswers;
  setWell: (well: DayAnswers) => void;
}) {
  return (
    <ul className="grid gap-x-6 sm:grid-cols-2">
      {signs.map((sign) => (
        <li key={sign} className="grid grid-cols-[1fr_auto] items-center gap-2 border-b border-rule py-1">
          <span>{translate(DAY_SIGNS[sign].ask)}</span>
          <YesNo
            question={translate(DAY_SIGNS[sign].ask)}
            answer={well[sign]}
            counts="no"
            onAnswer={(yes) => setWell({ ...well, [sign]: yes })}
          />
        </li>
      ))}
    </ul>
  );
}
