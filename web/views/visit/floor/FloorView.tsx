import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { attentionOf, compareAttention, type Intent, nextStep, STOPPED_BY_KEY } from '#core/session';
import { actAndNotify } from '../../../act/act';
import { type LiveSession, useOpenSessions } from '../../../data/live-session';
import { Button, ItsKey } from '../../../parts/base/Button';
import { useAction } from '../../../parts/keys/use-action';
import { useEscapeTwice } from '../../../parts/keys/use-escape-twice';
import { useSpace } from '../../../parts/keys/use-space';
import { useNow } from '../../../parts/time/use-now';
import { notify } from '../../../state/notices';
import { FloorLane } from './FloorLane';

const TICK_MS = 1_000;
/** Lanes change places only when another needs attention more, not with every second that passes. */
const STEADY_MS = 15_000;

/** Does something in a session of the floor, and says with a refusal who it is about. */
const doIn = (queries: QueryClient, { view }: LiveSession, intent: Intent) =>
  actAndNotify(queries, view, intent, `${view.clientName}: `);

/** A figure is one key. */
const LANES_WITH_A_KEY = 9;

/**
 * All running sessions, one lane each, those that need attention first. A figure takes a lane in hand, and the keys of a live session
 * then work for it; none past the eighth is out of sight.
 */
export function FloorView() {
  const sessions = useOpenSessions();
  const nowMs = useNow(TICK_MS);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [takenId, take] = useState<string | null>(null);
  const lanes = sessions
    .map((session) => {
      const attention = attentionOf(session.view.plan, session.state, nowMs);
      return { session, attention: { ...attention, inMs: Math.floor(attention.inMs / STEADY_MS) } };
    })
    .sort(
      (a, b) =>
        compareAttention(a.attention, b.attention) || a.session.view.openedAtMs - b.session.view.openedAtMs,
    );
  const inHand = lanes.find(({ session }) => session.view.id === takenId)?.session;
  const inHandDo = (intent: Intent) => {
    if (inHand) doIn(queries, inHand, intent);
    else notify(t`Take a lane in hand first: press its figure.`);
  };
  const ready = lanes.filter(
    ({ session, attention }) =>
      attention.need === 'act' && nextStep(session.view.plan, session.state, nowMs).do === 'start-set',
  );
  const startTogether = () => {
    for (const { session } of ready) doIn(queries, session, { do: 'next' });
  };
  useAction('lane', (figure) => {
    const id = lanes[figure - 1]?.session.view.id;
    if (!id) return;
    take(id);
    // What was pressed last keeps neither Enter nor the ring.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  });
  useSpace(() => inHandDo({ do: 'next' }));
  useAction('open-lane', (_, { target }) => {
    // A button or a link that has the focus keeps its key.
    if (inHand && !(target instanceof Element && target.closest('a, button')))
      navigate(`/sessions/${inHand.view.id}`);
  });
  useAction('loosen', () => inHandDo({ do: 'loosen' }));
  useAction('release', () => inHandDo({ do: 'release' }));
  useAction('together', startTogether);
  useEscapeTwice(() => inHandDo({ do: 'stop', why: STOPPED_BY_KEY }));
  return (
    <div className="p-4">
      <header className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-3xl font-semibold">{t`Floor`}</h1>
        {lanes.length > 0 && (
          <p className="flex flex-wrap items-center gap-x-4 text-[14px] text-quiet max-sm:hidden">
            <span>
              <ItsKey of="lane" /> {t`takes a lane in hand`}
            </span>
            <span>
              <ItsKey of="loosen" /> {t`looser`} <ItsKey of="release" /> {t`release`} <ItsKey of="stop" />{' '}
              {t`stop`} <ItsKey of="open-lane" /> {t`open`}
            </span>
          </p>
        )}
        {ready.length > 1 && (
          <Button does="together" onClick={startTogether}>
            {t`Start ${ready.length} together`}
          </Button>
        )}
      </header>
      {lanes.length === 0 ? (
        <p className="mt-2 text-quiet">
          <Trans>
            No session is running. Open a session from a person’s sheet, and it has a lane here.{' '}
            <Link to="/" className="underline underline-offset-4">
              Who can train now
            </Link>
          </Trans>
        </p>
      ) : (
        <ol className="mt-2 border-t border-ink/40" aria-label={t`Lanes`}>
          {lanes.map(({ session, attention }, place) => (
            <FloorLane
              key={session.view.id}
              number={place < LANES_WITH_A_KEY ? place + 1 : null}
              session={session}
              need={attention.need}
              nowMs={nowMs}
              isInHand={session === inHand}
              act={(intent) => doIn(queries, session, intent)}
            />
          ))}
        </ol>
      )}
    </div>
  );
}
