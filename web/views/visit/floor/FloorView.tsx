import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { attentionOf, type Intent, nextStep, STOPPED_BY_KEY } from '#core/session';
import { actAndNotify } from '../../../act/act';
import { type LiveSession, useOpenSessions } from '../../../data/live-session';
import { Button, ItsKey } from '../../../parts/base/Button';
import { useAction } from '../../../parts/keys/use-action';
import { useEscapeTwice } from '../../../parts/keys/use-escape-twice';
import { useSpace } from '../../../parts/keys/use-space';
import { SignList } from '../../../parts/record/SignList';
import { useNow } from '../../../parts/time/use-now';
import { notify } from '../../../state/notices';
import { BelowLine } from './BelowLine';
import { EmptyLane, FloorLane } from './FloorLane';
import { lanesOf } from './lanes';
import { OpenGroup } from './OpenGroup';
import { useBelow } from './use-out-of-sight';

const TICK_MS = 1_000;

/** Does something in a session of the floor, and says with a refusal who it is about. */
const doIn = (queries: QueryClient, { view }: LiveSession, intent: Intent) =>
  actAndNotify(queries, view, intent, `${view.clientName}: `);

/**
 * All running sessions, one lane each, which keeps its place and number for as long as the session runs. A figure takes a lane in hand, and the
 * keys of a live session then work for it.
 */
export function FloorView() {
  const sessions = useOpenSessions();
  const nowMs = useNow(TICK_MS);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [takenId, take] = useState<string | null>(null);
  const [signingId, noteSymptomOf] = useState<string | null>(null);
  const [isGrouping, openGroup] = useState(false);
  const [openedId, openMoreOf] = useState<string | null>(null);
  const list = useRef<HTMLOListElement>(null);
  const lanes = lanesOf(sessions).map(({ number, session }) => ({
    number,
    running: session && { number, session, attention: attentionOf(session.plan, session.state, nowMs) },
  }));
  const running = lanes.flatMap((lane) => lane.running ?? []);
  const below = useBelow(list, lanes.length);
  const byId = (id: string | null) => sessions.find((session) => session.id === id);
  const inHand = byId(takenId);
  const signing = byId(signingId);
  const inHandDo = (intent: Intent) => {
    if (inHand) doIn(queries, inHand, intent);
    else notify(t`Take a lane in hand first: press its figure.`);
  };
  const ready = running.filter(
    ({ session: { plan, state }, attention }) =>
      attention.need === 'act' && nextStep(plan, state, nowMs).do === 'start-set',
  );
  const startTogether = () => {
    for (const { session } of ready) doIn(queries, session, { do: 'next' });
  };
  const show = (number: number) =>
    list.current?.querySelector(`[data-number="${number}"]`)?.scrollIntoView({ block: 'center' });
  // While the notes of a lane are open, figures are efforts.
  const isFree = openedId === null;
  useAction(
    'lane',
    (figure) => {
      const id = lanes[figure - 1]?.running?.session.id;
      if (!id) return;
      take(id);
      show(figure);
      // What was pressed last keeps neither Enter nor the ring.
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    },
    { enabled: isFree },
  );
  useSpace(() => inHandDo({ do: 'next' }));
  useAction('open-lane', (_, { target }) => {
    // A button or a link that has the focus keeps its key.
    if (inHand && !(target instanceof Element && target.closest('a, button')))
      navigate(`/sessions/${inHand.id}`);
  });
  useAction('loosen', () => inHandDo({ do: 'loosen' }));
  useAction('release', () => inHandDo({ do: 'release' }));
  useAction('sign', () =>
    inHand ? noteSymptomOf(inHand.id) : notify(t`Take a lane in hand first: press its figure.`),
  );
  useAction('open-several', () => openGroup(true), { enabled: isFree });
  useAction('together', startTogether, { enabled: isFree });
  useEscapeTwice(() => inHandDo({ do: 'stop', why: STOPPED_BY_KEY }));
  return (
    <div className="flex min-h-full flex-col px-4 pt-1">
      <header className="flex min-h-12 items-center justify-between gap-x-6 max-lg:flex-wrap">
        <h1 className="text-2xl font-semibold">{t`Floor`}</h1>
        {running.length > 0 && (
          <p className="flex min-w-0 flex-wrap items-center gap-x-4 text-[13px] leading-tight text-quiet max-lg:hidden">
            <span>
              <ItsKey of="lane" /> {t`takes a lane in hand`} <ItsKey of="next" /> {t`next`}
            </span>
            <span>
              <ItsKey of="loosen" /> {t`looser`} <ItsKey of="release" /> {t`release`} <ItsKey of="sign" />{' '}
              {t`symptom`} <ItsKey of="stop" /> {t`stop`} <ItsKey of="open-lane" /> {t`open`}
            </span>
          </p>
        )}
        <span className="flex shrink-0 gap-2">
          <Button does="open-several" onClick={() => openGroup(true)}>
            {t`Open several`}
          </Button>
          {ready.length > 1 && (
            <Button does="together" onClick={startTogether}>
              {t`Start ${ready.length} together`}
            </Button>
          )}
        </span>
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
        <ol ref={list} className="border-t border-ink/40" aria-label={t`Lanes`}>
          {lanes.map(({ number, running: lane }) => {
            if (!lane) return <EmptyLane key={number} number={number} />;
            const { session, attention } = lane;
            return (
              <FloorLane
                key={number}
                number={number}
                session={session}
                need={attention.need}
                nowMs={nowMs}
                isInHand={session === inHand}
                act={(intent) => doIn(queries, session, intent)}
                noteSymptom={() => noteSymptomOf(session.id)}
                more={{
                  isOpen: openedId === session.id,
                  open: (isOpen) => openMoreOf(isOpen ? session.id : null),
                }}
              />
            );
          })}
        </ol>
      )}
      <BelowLine below={running.filter(({ number }) => below.has(number))} nowMs={nowMs} show={show} />
      <OpenGroup open={isGrouping} onOpenChange={openGroup} />
      <SignList
        open={signing !== undefined}
        onOpenChange={(open) => !open && noteSymptomOf(null)}
        about={signing?.view.clientName}
        note={(sign) => signing && doIn(queries, signing, { do: 'note-sign', sign })}
      />
    </div>
  );
}
