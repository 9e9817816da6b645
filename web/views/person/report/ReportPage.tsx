import { t } from '@lingui/core/macro';
import { RELEASE } from '#contract/release';
import { type Report, SECTION_TITLES } from '#core/outcomes';
import { translate } from '../../../language/translate';
import { PaperHead } from '../../../parts/paper/PaperHead';
import { day } from '../../../words/format';

/** A report as it is, or is to be, issued: letterhead, what was done, what changed, how sure, what next. */
export function ReportPage({ report, atMs }: { report: Report; atMs: number | null }) {
  const { clientName, practiceName, phone, letterhead, by, fromMs, toMs, letter, sections, weeks } = report;
  return (
    <article className="space-y-5 text-[15px]">
      <PaperHead
        over={
          <>
            <p className="font-semibold">{practiceName}</p>
            {letterhead && <p className="whitespace-pre-line text-quiet">{letterhead}</p>}
            {phone && <p>{phone}</p>}
          </>
        }
        aside={
          <div className="text-right">
            <p>{atMs === null ? t`Not issued yet` : t`Issued ${day(atMs)}`}</p>
            <p>{by}</p>
          </div>
        }
      />
      <div>
        <h1 className="text-3xl font-semibold">{clientName}</h1>
        <p>{t`Training with blood flow restriction, ${day(fromMs)} to ${day(toMs)}`}</p>
      </div>
      {letter && <p className="max-w-prose whitespace-pre-line">{letter}</p>}
      {sections.map(({ id, lines }) => (
        <section key={id} className="break-inside-avoid">
          <h2 className="border-b border-rule text-xl font-semibold">{translate(SECTION_TITLES[id])}</h2>
          {lines.length === 0 && (
            <p className="py-1">{t`Nothing was measured twice yet, so nothing can be said.`}</p>
          )}
          <dl>
            {lines.map(({ about, says, figures }) => (
              <div
                key={`${translate(about)} ${translate(says)}`}
                className="grid grid-cols-[13rem_1fr] gap-x-6 border-b border-rule py-1.5"
              >
                <dt>{translate(about)}</dt>
                <dd>
                  <span className="font-semibold">{translate(says)}</span>
                  {figures && <span className="block text-[14px]">{translate(figures)}</span>}
                </dd>
              </div>
            ))}
          </dl>
          {id === 'done' && weeks.length > 1 && <Weeks weeks={weeks} />}
        </section>
      ))}
      <footer className="border-t border-ink pt-2 text-[13px]">
        {t`Figures come from the sessions as they were run. This report informs; decisions rest with the licensed practitioner and local policy.`}{' '}
        {t`Nervato ${RELEASE}.`}
      </footer>
    </article>
  );
}

const HEIGHT = 60;

/** Minutes occluded, week by week, as bars that print. */
function Weeks({ weeks }: { weeks: Report['weeks'] }) {
  const most = Math.max(...weeks.map(({ minutes }) => minutes));
  // A few weeks are no wider than those of a block.
  const width = 100 / Math.max(12, weeks.length);
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 100 ${HEIGHT / 4}`}
        preserveAspectRatio="none"
        className="h-16 w-full"
        role="img"
        aria-label={t`Minutes under the cuff: ${weeks.map(({ fromMs, minutes }) => t`week of ${day(fromMs)} ${Math.round(minutes)}`).join(', ')}`}
      >
        {weeks.map(({ fromMs, minutes }, place) => {
          const height = most > 0 ? (minutes / most) * (HEIGHT / 4) : 0;
          return (
            <rect
              key={fromMs}
              x={place * width + width * 0.15}
              y={HEIGHT / 4 - height}
              width={width * 0.7}
              height={height}
              fill="var(--color-plum)"
            />
          );
        })}
      </svg>
      <figcaption className="text-[13px]">
        {t`Minutes under the cuff, week by week; the most was ${Math.round(most)}.`}
      </figcaption>
    </figure>
  );
}
