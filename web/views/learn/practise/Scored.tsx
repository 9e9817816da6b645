import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import type { Lost } from '#core/learning';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { AttemptCurve } from './AttemptCurve';

/** How an attempt went: the points, what was true, where the rest was lost, and the way on. */
export function Scored({
  points,
  lost,
  of,
  next,
  again,
  back,
  children,
}: {
  points: number;
  lost: readonly Lost[];
  of: 'measuring' | 'a session';
  next: string;
  again: () => void;
  back: () => void;
  children: ReactNode;
}) {
  return (
    <div className="mt-5 grid gap-8 lg:grid-cols-[24rem_1fr]">
      <div className="space-y-3">
        <p className="figures text-8xl leading-none">{points}</p>
        <p>{t`of 100 points`}</p>
        {children}
        <ul className="border-t border-rule">
          {lost.map((part) => (
            <li key={translate(part.words)} className="flex justify-between gap-4 border-b border-rule py-1">
              <span>{translate(part.words)}</span> <span className="figures">−{part.points}</span>
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap gap-3">
          <Button kind="main" onClick={again}>
            {next}
          </Button>
          <Button onClick={back}>{t`Something else`}</Button>
        </div>
      </div>
      <AttemptCurve of={of} />
    </div>
  );
}
