import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { LimbKind } from '#core/quantity';
import { handHints } from '../../state/hand-hints';
import { HAND_HINTS, type HandStep } from '../../words/hand-hints';
import { Tick } from './Tick';

/** What is done by hand at a step, in one line to tick; off for who does it without thinking. It stops nothing. */
export function HandHints({ step, kind }: { step: HandStep; kind: LimbKind }) {
  const isOff = handHints.use() === 'off';
  const [isDone, setDone] = useState(false);
  const turn = (to: 'shown' | 'off', words: string) => (
    <button
      type="button"
      className="min-h-9 shrink-0 text-[14px] text-quiet underline underline-offset-4"
      onClick={() => handHints.set(to)}
    >
      {words}
    </button>
  );
  if (isOff) return turn('shown', t`Hints`);
  return (
    <div className="-my-2 flex items-center gap-x-3 text-[14px] leading-tight">
      <Tick checked={isDone} onChange={setDone}>
        {HAND_HINTS[step][kind]}
      </Tick>
      {turn('off', t`I know`)}
    </div>
  );
}
