import { hc } from 'hono/client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { HOME_HEADER, type HomeSheet, type ReportFromHome } from '#contract/home';
import type { Message } from '#core/message';
import type { AppType } from '#server/app';
import { ApiProblem, read } from '../../../data/api';
import { learnFrom } from '../../../data/clock';
import { writeAs } from '../../../language/translate';
import { homeRuntime } from './home-runtime';
import { type KeptHome, keepHome, readKept } from './kept-home';

const AGAIN_MS = 30_000;
/** While something waits to be sent: not every browser says that its network is back. */
const UNSENT_AGAIN_MS = 5_000;
/** A server that is busy, or not there, may take it later. */
const isForLater = (error: unknown): boolean =>
  !(error instanceof ApiProblem) || error.body.status === 429 || error.body.status >= 500;

/** A link is unknown, or over. */
const isGone = (error: unknown): error is ApiProblem =>
  error instanceof ApiProblem && (error.body.status === 404 || error.body.status === 410);

/** The link of a secret as this phone knows it: its sheet, what runs, and what is still to be sent. It is kept at once. */
export function useHome(secret: string) {
  const [kept, setKept] = useState(() => {
    const before = readKept(secret);
    // A sheet that was kept by an earlier release does not say how its practice writes.
    if (before.sheet?.practice.writing) writeAs(before.sheet.practice.writing);
    return before;
  });
  const [gone, setGone] = useState<Message | null>(null);
  const latest = useRef(kept);
  const sending = useRef(false);

  const change = useCallback(
    (part: Partial<KeptHome>) => {
      latest.current = { ...latest.current, ...part };
      keepHome(secret, latest.current);
      setKept(latest.current);
    },
    [secret],
  );

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    const { home } = hc<AppType>('/api', { headers: { [HOME_HEADER]: secret } });
    try {
      for (let next = latest.current.unsent[0]; next; next = latest.current.unsent[0]) {
        try {
          await read(home.$post({ json: next }));
        } catch (error) {
          if (isForLater(error)) return;
          const says = error instanceof ApiProblem ? error.body.says : '';
          change({ refused: [...latest.current.refused, says] });
        }
        change({ unsent: latest.current.unsent.slice(1) });
      }
      const sentMs = Date.now();
      const sheet = await read<HomeSheet>(home.$get());
      learnFrom([{ sentMs, receivedMs: Date.now(), serverMs: sheet.nowMs }]);
      setGone(null);
      writeAs(sheet.practice.writing);
      change({ sheet });
    } catch (error) {
      if (isGone(error)) setGone(error.body.says);
    } finally {
      sending.current = false;
    }
  }, [secret, change]);

  useEffect(() => {
    void send();
    const again = setInterval(() => void send(), AGAIN_MS);
    const unsentAgain = setInterval(() => {
      if (latest.current.unsent.length > 0) void send();
    }, UNSENT_AGAIN_MS);
    const back = () => void send();
    window.addEventListener('online', back);
    return () => {
      clearInterval(again);
      clearInterval(unsentAgain);
      window.removeEventListener('online', back);
    };
  }, [send]);

  const tell = useCallback(
    (report: ReportFromHome, part: Partial<KeptHome> = {}) => {
      change({ ...part, unsent: [...latest.current.unsent, report] });
      void send();
    },
    [change, send],
  );

  /** What is kept at this moment: what is drawn may be a moment behind. */
  const newest = useCallback(() => latest.current, []);

  const runtime = useMemo(() => homeRuntime({ newest, change, tell }), [newest, change, tell]);

  return { kept, gone, change, tell, runtime };
}

export type Home = ReturnType<typeof useHome>;
