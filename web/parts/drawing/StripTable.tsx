import { t } from '@lingui/core/macro';
import type { Timeline } from '#core/plan';
import { LIMB_LABELS } from '#core/quantity';
import { translate } from '../../language/translate';
import { clock, pressureWords } from '../../words/format';

const TENSES = { planned: t`planned`, done: t`done` } as const;

/** The strip's content as a table, for screen readers. */
export function StripTable({ planned, done }: { planned?: Timeline; done?: Timeline }) {
  return (
    // A table is never smaller than its content, so what hides it is around it.
    <div className="sr-only">
      <table>
        <caption>{t`Occlusion strip: inflations and sets, times from the start`}</caption>
        <thead>
          <tr>
            <th>{t`What`}</th>
            <th>{t`From`}</th>
            <th>{t`To`}</th>
            <th>{t`How much`}</th>
          </tr>
        </thead>
        <tbody>
          {[['planned', planned] as const, ['done', done] as const].flatMap(([tense, timeline]) => [
            ...(timeline?.lanes ?? []).flatMap((lane) =>
              lane.inflations.map((inflation) => (
                <tr key={`${tense} ${lane.limb} ${inflation.fromMs}`}>
                  <td>{t`${translate(LIMB_LABELS[lane.limb])} inflated, ${TENSES[tense]}`}</td>
                  <td>{clock(inflation.fromMs)}</td>
                  <td>{clock(inflation.toMs)}</td>
                  <td>
                    {inflation.steps
                      .map(({ pressureMmHg }) =>
                        pressureMmHg === null && inflation.occlusionMmHg !== null
                          ? t`not read`
                          : pressureWords(pressureMmHg),
                      )
                      .join(', ')}
                  </td>
                </tr>
              )),
            ),
            ...(timeline?.sets ?? []).map((set) => (
              <tr key={`${tense} ${set.exerciseIndex} ${set.setIndex}`}>
                <td>{t`Set ${set.setIndex + 1}, ${TENSES[tense]}`}</td>
                <td>{clock(set.fromMs)}</td>
                <td>{clock(set.toMs)}</td>
                <td>
                  {set.plannedReps === null
                    ? t`work by the clock`
                    : t`${set.reps} of ${set.plannedReps} repetitions`}
                </td>
              </tr>
            )),
          ])}
        </tbody>
      </table>
    </div>
  );
}
