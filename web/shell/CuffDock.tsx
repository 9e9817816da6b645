import { Link } from 'react-router';
import { LIMB_LABELS } from '#core/quantity/limb';
import { limbClocks } from '#core/session/clocks';
import { inflatedLimbs } from '#core/session/state';
import { type LiveSession, useAppend } from '../data/live-session';
import { Button } from '../parts/Button';
import { clock } from '../parts/format';
import { useNow } from '../parts/use-now';
import { releaseEvents } from '../views/run/release';

/** Every inflated cuff, its clock and what is left, in every view (rule RUN-1). */
export function CuffDock({ sessions }: { sessions: readonly LiveSession[] }) {
  const inflated = sessions.filter(({ state }) => inflatedLimbs(state).length > 0);
  return (
    <section aria-label="Cuff dock" className="border-t border-ink/40 bg-paper px-4 print:hidden">
      {inflated.length === 0 ? (
        <p className="py-1 text-[14px] text-quiet">No cuff is inflated.</p>
      ) : (
        <ul className="divide-y divide-rule">
          {inflated.map((session) => (
            <DockedSession key={session.view.id} session={session} />
          ))}
        </ul>
      )}
    </section>
  );
}

const ALARM_WORDS = { none: '', soon: 'Limit is near', now: 'Deflate now' } as const;

function DockedSession({ session: { view, state } }: { session: LiveSession }) {
  const nowMs = useNow(250);
  const append = useAppend(view.id);
  const clocks = limbClocks(view.plan, state, nowMs).filter(({ inflated }) => inflated);
  return clocks.map(({ limb, pressureMmHg, clockMs, limitMs, leftMs, alarm }) => (
    <li key={limb} className="flex flex-wrap items-center gap-x-6 gap-y-1 py-2">
      <Link
        to={`/sessions/${view.id}`}
        className="min-w-52 font-semibold underline decoration-rule underline-offset-4"
      >
        {view.clientName}, {LIMB_LABELS[limb].toLowerCase()}
      </Link>
      <span className="figures text-xl">{pressureMmHg} mmHg</span>
      <span className="figures text-xl">
        {clock(clockMs)} <span className="text-[14px] text-quiet">occluded</span>
      </span>
      <span className={`figures text-xl ${alarm === 'none' ? '' : 'font-bold text-vermilion'}`}>
        {clock(leftMs)} <span className="text-[14px]">left of {clock(limitMs)}</span>
      </span>
      {alarm !== 'none' && (
        <strong role="alert" className={alarm === 'now' ? 'text-vermilion' : 'notched text-ochre'}>
          {ALARM_WORDS[alarm]}
        </strong>
      )}
      <Button
        className="ml-auto"
        kind={alarm === 'now' ? 'stop' : 'plain'}
        onClick={() => void append(...releaseEvents(view.plan, state, [limb], Date.now()))}
      >
        Release {LIMB_LABELS[limb].toLowerCase()}
      </Button>
    </li>
  ));
}
