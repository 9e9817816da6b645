import { t } from '@lingui/core/macro';
import { type SessionState, sessionLoad } from '#core/session';
import type { Act } from '../../act/act';
import { Figure } from '../base/Figure';
import { Scale } from '../fields/Scale';

/** How hard the whole session was, if the practice asks; once it is over, with its load. */
export function SessionEffort({ state, act }: { state: SessionState; act: Act }) {
  const load = sessionLoad(state);
  return (
    <details open={state.effort !== null}>
      <summary className="min-h-9 cursor-pointer py-1 text-[15px]">
        {t`Effort of the whole session, optional`}
      </summary>
      <div className="flex flex-wrap items-end gap-6 py-1">
        <Scale
          label={t`0 nothing, 10 the most`}
          value={state.effort}
          onChange={(effort) => act({ do: 'rate-session', effort })}
        />
        {load && <Figure label={t`Session load`} derived={load} />}
      </div>
    </details>
  );
}
