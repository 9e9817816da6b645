import { t } from '@lingui/core/macro';
import type { ReportFromHome } from '#contract/home';
import { isEmergencyAfter } from '#core/record';
import { DAY_CHECK_HOLDS_MS } from '#core/screening';
import { isEmergency } from '#core/session';
import { translate } from '../../../language/translate';
import { useNow } from '../../../parts/time/use-now';
import { day } from '../../../words/format';
import { BeforeHome } from './BeforeHome';
import { Call, EmergencyCall } from './Call';
import { HomePlan } from './HomePlan';
import { HomeRun } from './HomeRun';
import { type Home, useHome } from './use-home';

const MINUTE_MS = 60_000;

/** What a person who trains at home sees: the plan, the questions before it, the session, and what to do when it is wrong. */
export function HomeView({ secret }: { secret: string }) {
  const home = useHome(secret);
  const { sheet, running } = home.kept;
  if (running && sheet) {
    return (
      <Page home={home}>
        <HomeRun home={home} running={running} sheet={sheet} />
      </Page>
    );
  }
  if (home.gone) {
    return (
      <Page home={home}>
        <p className="notched py-2 text-xl">{translate(home.gone)}</p>
      </Page>
    );
  }
  if (!sheet) {
    return (
      <Page home={home}>
        <p className="text-xl">{t`Reading your plan. The first time needs a network.`}</p>
      </Page>
    );
  }
  return (
    <Page home={home}>
      <BeforeStart home={home} />
      <HomePlan sheet={sheet} />
    </Page>
  );
}

/** Whether it may begin now, and what is asked first. */
function BeforeStart({ home }: { home: Home }) {
  const nowMs = useNow(MINUTE_MS);
  const { sheet, checkedAtMs, unsent } = home.kept;
  if (!sheet) return null;
  if (nowMs > sheet.untilMs)
    return <p className="notched py-2">{t`This link is over. Ask your practice for a new one.`}</p>;
  if (sheet.isEmergency || unsent.some(isEmergencyReport)) return <EmergencyCall practice={sheet.practice} />;
  // A session that waits to be sent is one the practice has not looked at.
  if (unsent.some(({ kind }) => kind === 'session'))
    return (
      <p className="notched py-2">{t`Your last session is kept here and will be sent when there is a network.`}</p>
    );
  if (sheet.held !== null)
    return (
      <div className="notched space-y-1 py-2">
        <p className="text-xl font-semibold">{t`Not now`}</p>
        <p>{translate(sheet.held)}</p>
        <Call phone={sheet.practice.phone} />
      </div>
    );
  const isChecked = checkedAtMs !== null && nowMs - checkedAtMs < DAY_CHECK_HOLDS_MS;
  return <BeforeHome home={home} sheet={sheet} isChecked={isChecked} />;
}

/** Whether what waits to be sent says what the emergency number is for: the phone may have no network. */
const isEmergencyReport = (report: ReportFromHome): boolean => {
  switch (report.kind) {
    case 'sign':
      return isEmergency(report.sign);
    case 'session':
      return report.events.some((event) => event.type === 'sign-noted' && isEmergency(event.sign));
    case 'after':
      return isEmergencyAfter(report.answers);
    case 'check':
      return false;
  }
};

function Page({ home: { kept }, children }: { home: Home; children: React.ReactNode }) {
  const { sheet, unsent, refused } = kept;
  return (
    <main className="mx-auto min-h-dvh max-w-2xl space-y-6 p-4">
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-ink/40 pb-2">
        <h1 className="text-2xl font-semibold">{sheet ? translate(sheet.planName) : t`Your training`}</h1>
        {sheet && (
          <p className="text-[14px] text-quiet">{t`${sheet.practice.name}, until ${day(sheet.untilMs)}`}</p>
        )}
      </header>
      {children}
      <footer className="space-y-1 border-t border-rule pt-2 text-[14px] text-quiet">
        <p role="status">
          {unsent.length === 0
            ? t`All sent.`
            : t`${unsent.length} kept on this phone, sent when there is a network.`}
        </p>
        {refused.map((words, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: they are only ever added at the end
          <p key={place} className="notched py-1 text-ochre">
            {t`Not taken by your practice: ${translate(words)}`}
          </p>
        ))}
        <p>
          {t`Do as your practice has shown you. Numb, pale, dizzy, sharp pain: let it down at once, and call.`}
        </p>
      </footer>
    </main>
  );
}
