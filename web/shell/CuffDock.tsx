import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { CUFF_DOWN_MMHG } from '#core/kit';
import { initialsOf, LIMB_NAMES } from '#core/quantity';
import { inflatedLimbs, limbClocks } from '#core/session';
import { useAct } from '../act/act';
import { thisDevice } from '../data/device';
import type { LiveSession } from '../data/live-session';
import { lockState } from '../data/practitioner';
import { type Connected, connect, useConnected } from '../devices/connected';
import { translate } from '../language/translate';
import { Button } from '../parts/base/Button';
import { useNow } from '../parts/time/use-now';
import { cuffsUp } from '../state/cuffs-up';
import { keepDockRoom } from '../state/dock-room';
import { clock, pressureWords } from '../words/format';
import { NoCuff } from './NoCuff';

/**
 * Every inflated cuff, its clock and what is left, in every view (rule RUN-1), in a sixth of the height: whose session is looked
 * at, or a few where none is, have their lines; the others are one line, and only an alarm brings one of them out.
 */
export function CuffDock({ sessions }: { sessions: readonly LiveSession[] }) {
  const inflated = sessions.filter(({ state }) => inflatedLimbs(state).length > 0);
  const measuring = useMeasuringCuff();
  const isUpHere = measuring !== null || inflated.some(({ state }) => state.runner === thisDevice);
  useEffect(() => {
    cuffsUp.set(isUpHere);
    return () => cuffsUp.set(false);
  }, [isUpHere]);
  const isDown = inflated.length === 0 && !measuring;
  const box = useRef<HTMLElement>(null);
  useEffect(() => {
    if (isDown || !box.current) return keepDockRoom(0);
    const observer = new ResizeObserver(([entry]) => keepDockRoom(entry?.borderBoxSize[0]?.blockSize ?? 0));
    observer.observe(box.current);
    return () => observer.disconnect();
  }, [isDown]);
  const { pathname } = useLocation();
  const inLines = ownLines(inflated, pathname);
  const folded = inflated.filter((session) => !inLines.includes(session));
  const cuffs = inLines.reduce((sum, { state }) => sum + inflatedLimbs(state).length, 0);
  const compact = cuffs > ROOMY_CUFFS || folded.length > 0;
  if (isDown) return <NoCuff />;
  return (
    <section
      ref={box}
      aria-label={t`Cuff dock`}
      className="border-t border-ink/40 bg-paper px-4 max-sm:px-2 print:hidden"
    >
      <FoldedDock sessions={folded} isAll={inLines.length === 0} />
      <ul
        className={`relative max-h-[13dvh] overflow-y-auto ${compact ? 'grid gap-x-8 xl:grid-cols-2' : 'divide-y divide-rule'}`}
      >
        {[...inLines, ...folded].map((session) => (
          <DockedSession
            key={session.view.id}
            session={session}
            compact={compact}
            alarmsOnly={folded.includes(session)}
          />
        ))}
        {measuring && <DockedDevice {...measuring} />}
      </ul>
    </section>
  );
}

type MeasuringCuff = { connected: Connected; pressureMmHg: number; sinceMs: number; lost: boolean };

/** The cuff of a connected device while it is up, with when that began. */
function useMeasuringCuff(): MeasuringCuff | null {
  const connected = useConnected();
  const [cuff, setCuff] = useState<MeasuringCuff | null>(null);
  useEffect(() => {
    setCuff(null);
    return connected?.source.subscribe((frame) => {
      const pressureMmHg = Math.round(frame?.pressureMmHg ?? 0);
      setCuff((old) => {
        // A lost stream does not let a cuff down: the last that was known stays on screen.
        if (!frame) return old && { ...old, lost: true };
        if (pressureMmHg < CUFF_DOWN_MMHG) return null;
        if (old?.pressureMmHg === pressureMmHg && !old.lost) return old;
        return { connected, pressureMmHg, sinceMs: old?.sinceMs ?? frame.atMs, lost: false };
      });
    });
  }, [connected]);
  return cuff;
}

function DockedDevice({ connected, pressureMmHg, sinceMs, lost }: MeasuringCuff) {
  const nowMs = useNow(1_000);
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-1 py-2">
      <Link
        to={connected.address}
        className="min-w-52 font-semibold underline decoration-rule underline-offset-4"
      >
        {connected.label}
      </Link>
      <span className="figures text-xl">{pressureMmHg} mmHg</span>
      <span className="figures text-xl">
        {clock(nowMs - sinceMs)} <span className="text-[14px] text-quiet">{t`up`}</span>
      </span>
      {lost ? (
        <>
          <strong role="alert" className="notched text-ochre">
            {t`Stream lost: let it down by hand`}
          </strong>
          <Button className="ml-auto" onClick={() => connect(null)}>
            {t`It is down`}
          </Button>
        </>
      ) : (
        <Button className="ml-auto" onClick={() => connected.source.command({ do: 'release' })}>
          {t`Release the measuring cuff`}
        </Button>
      )}
    </li>
  );
}

/** Where no session is looked at, as many have lines of their own. */
const MOST_LINES = 2;

/** Sessions with lines of their own: the one that is looked at; on the floor none, since every lane has its cuffs. */
function ownLines(inflated: readonly LiveSession[], pathname: string): readonly LiveSession[] {
  if (pathname === '/floor') return [];
  const looked = inflated.filter(({ view }) => pathname === `/sessions/${view.id}`);
  if (looked.length > 0) return looked;
  return inflated.length <= MOST_LINES ? inflated : [];
}

/** More cuffs than this are set in two columns, so that the sheet keeps its room. */
const ROOMY_CUFFS = 1;

const ALARM_WORDS = { none: '', soon: t`Limit is near`, now: t`Deflate now` } as const;

/** What is counted: all cuffs, or those beside the ones that have a line. */
const nameOf = (isAll: boolean, count: number): string => {
  if (isAll) return count === 1 ? t`cuff` : t`cuffs`;
  return count === 1 ? t`other` : t`others`;
};

/** How many cuffs are up that have no line of their own, and which has been longest; it leads to the floor. */
function FoldedDock({
  sessions,
  isAll,
}: {
  sessions: readonly LiveSession[];
  /** No other cuff is up. */
  isAll: boolean;
}) {
  const nowMs = useNow(1_000);
  const clocks = sessions.flatMap(({ view, state }) =>
    limbClocks(view.plan, state, nowMs)
      .filter(({ inflated }) => inflated)
      .map((limb) => ({ ...limb, clientName: view.clientName })),
  );
  const [longest] = clocks.toSorted((a, b) => b.clockMs - a.clockMs);
  if (!longest) return null;
  return (
    <p className="py-1.5 text-[15px]">
      <Trans>
        <Link to="/floor" className="font-semibold underline underline-offset-4">
          {clocks.length} {nameOf(isAll, clocks.length)} up
        </Link>
        , the longest <span className="figures">{clock(longest.clockMs)}</span>
        {/* On a phone it has one line. */}
        <span className="max-sm:sr-only">
          : {longest.clientName}, {translate(LIMB_NAMES[longest.limb])},{' '}
          <span className="figures">{clock(longest.leftMs)}</span> left
        </span>
      </Trans>
    </p>
  );
}

function DockedSession({
  session: { view, state },
  compact,
  alarmsOnly = false,
}: {
  session: LiveSession;
  compact: boolean;
  /** Where its cuffs are elsewhere on the page, only what alarms is said here. */
  alarmsOnly?: boolean;
}) {
  const nowMs = useNow(1_000);
  const act = useAct(view);
  const isLocked = lockState.use() === 'locked';
  const clocks = limbClocks(view.plan, state, nowMs).filter(
    ({ inflated, alarm }) => inflated && !(alarmsOnly && alarm === 'none'),
  );
  return clocks.map(({ limb, pressureMmHg, clockMs, limitMs, leftMs, alarm }) => (
    <li
      key={limb}
      className={`flex flex-wrap items-center gap-y-1 max-sm:flex-nowrap max-sm:gap-x-1.5 max-sm:py-1 ${compact ? 'gap-x-2.5 border-b border-rule py-0.5 sm:flex-nowrap' : 'gap-x-6 py-2'}`}
    >
      <Link
        to={`/sessions/${view.id}`}
        className={`font-semibold underline decoration-rule underline-offset-4 max-sm:text-[15px] ${compact ? 'min-w-0' : 'min-w-52 max-sm:min-w-0'}`}
      >
        {/* On a phone a cuff has one line. */}
        <span className="max-sm:hidden">
          {isLocked ? initialsOf(view.clientName) : view.clientName}, {translate(LIMB_NAMES[limb])}
        </span>
        <span className="sm:hidden">
          {initialsOf(view.clientName)}, {translate(LIMB_NAMES[limb])}
        </span>
      </Link>
      <span className={`figures whitespace-nowrap max-sm:text-[15px] ${compact ? 'text-lg' : 'text-xl'}`}>
        {pressureWords(pressureMmHg)}
      </span>
      <span className={`figures max-sm:hidden ${compact ? 'text-lg' : 'text-xl'}`}>
        {clock(clockMs)} <span className={compact ? 'sr-only' : 'text-[14px] text-quiet'}>{t`occluded`}</span>
      </span>
      <span
        className={`figures whitespace-nowrap max-sm:text-[15px] ${compact ? 'text-lg' : 'text-xl'} ${alarm === 'none' ? '' : 'font-bold text-vermilion'}`}
      >
        {clock(leftMs)}{' '}
        <span className="text-[14px]">
          <Trans>left{!compact && <span className="max-sm:hidden"> {t`of ${clock(limitMs)}`}</span>}</Trans>
        </span>
      </span>
      {alarm !== 'none' && (
        <strong role="alert" className={alarm === 'now' ? 'text-vermilion' : 'notched text-ochre'}>
          {ALARM_WORDS[alarm]}
        </strong>
      )}
      <Button
        className="ml-auto max-sm:px-2 max-xl:px-3"
        kind={alarm === 'now' ? 'stop' : 'plain'}
        onClick={() => act({ do: 'release', limbs: [limb] })}
      >
        <Trans>
          Release
          <span className={compact ? 'sr-only' : 'max-lg:sr-only'}> {translate(LIMB_NAMES[limb])}</span>
        </Trans>
      </Button>
    </li>
  ));
}
