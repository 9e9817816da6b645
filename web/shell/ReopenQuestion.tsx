import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { use, useState } from 'react';
import { LIMB_NAMES } from '#core/quantity';
import { inflatedLimbs, limbClocks } from '#core/session';
import { useAct } from '../act/act';
import { thisDevice } from '../data/device';
import { keptTakenUp } from '../data/follow';
import { type LiveSession, useOpenSessions } from '../data/live-session';
import { wasFoundOpen } from '../data/open-sessions';
import { translate } from '../language/translate';
import { Button } from '../parts/base/Button';
import { useNow } from '../parts/time/use-now';
import { clock } from '../words/format';

/**
 * Asked of the device that ran the session, and of no bystander: the person who answers must see the cuff. One that was kept before
 * sessions named their device is for any device (rules RUN-1, RUN-9).
 */
const isAskedHere = ({ state }: LiveSession): boolean => state.runner === null || state.runner === thisDevice;

const isUp = ({ state }: LiveSession): boolean => inflatedLimbs(state).length > 0;

/**
 * After the page was closed with a cuff up, the first thing asked is whether it still is: one bar, a line a person. What counts is
 * what this page found when it was loaded, by no clock: a clock that is behind would ask nothing.
 */
export function ReopenQuestion() {
  use(keptTakenUp());
  const sessions = useOpenSessions();
  const [unanswered, setUnanswered] = useState(() =>
    sessions
      .filter((session) => wasFoundOpen(session.view.id) && isAskedHere(session) && isUp(session))
      .map(({ view }) => view.id),
  );
  const asked = sessions.filter((session) => unanswered.includes(session.view.id) && isUp(session));
  if (asked.length === 0) return null;
  return (
    <section
      role="alertdialog"
      aria-label={t`This page was closed with a cuff up`}
      className="max-h-[33dvh] shrink-0 divide-y divide-rule overflow-y-auto border-b-4 border-vermilion bg-tint px-6 max-sm:max-h-[25dvh] max-sm:px-3"
    >
      {asked.map((session) => (
        <Question
          key={session.view.id}
          session={session}
          answered={() => setUnanswered((ids) => ids.filter((id) => id !== session.view.id))}
        />
      ))}
    </section>
  );
}

function Question({ session: { view, state }, answered }: { session: LiveSession; answered: () => void }) {
  const nowMs = useNow(1_000);
  const act = useAct(view);
  const up = limbClocks(view.plan, state, nowMs).filter(({ inflated }) => inflated);
  const words = up.map(({ limb, clockMs }) => t`${translate(LIMB_NAMES[limb])}, ${clock(clockMs)} occluded`);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset is for the fields of a form
    <div
      role="group"
      aria-label={t`Is the cuff of ${view.clientName} still up?`}
      className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2 max-sm:gap-y-1 max-sm:py-1.5"
    >
      <p className="min-w-0 flex-1 basis-72 text-lg leading-snug max-sm:text-[15px]">
        <Trans>
          <strong>Is the cuff of {view.clientName} still up?</strong>{' '}
          <span className="max-sm:sr-only">This page was closed:</span> {words.join('; ')}.
        </Trans>
      </p>
      <div className="flex shrink-0 gap-4 max-sm:gap-2">
        <Button
          kind="stop"
          onClick={() => {
            act({ do: 'release' });
            answered();
          }}
        >
          {t`It is down now`}
        </Button>
        <Button onClick={answered}>{t`Still up, go on`}</Button>
      </div>
    </div>
  );
}
