import { t } from '@lingui/core/macro';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { type Act, takeOver } from '../../../act/act';
import { thisDevice } from '../../../data/device';
import type { LiveSession } from '../../../data/live-session';
import { workingPractitioner } from '../../../data/practitioner';
import { usePractice } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { Picker } from '../../../parts/fields/Picker';
import { Corrections } from '../../../parts/live/Corrections';
import { SetNotes } from '../../../parts/live/SetNotes';
import { HandoverNotes, LeaveNote } from '../../../parts/record/HandoverNotes';

/** What is noted late or corrected of one lane, and who runs it, without leaving the floor. */
export function LaneMore({
  session,
  act,
  open,
  onOpenChange,
  children,
}: {
  session: LiveSession;
  act: Act;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** The button it opens from. */
  children: ReactNode;
}) {
  const { view, plan, state, log } = session;
  return (
    <Popover.Root open={open} onOpenChange={onOpenChange}>
      <Popover.Trigger asChild>{children}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          collisionPadding={12}
          aria-label={t`${view.clientName}: notes and corrections`}
          className="z-50 max-h-[var(--radix-popover-content-available-height)] w-96 max-w-[94vw] space-y-3 overflow-y-auto rounded-sm border border-ink bg-paper p-4"
        >
          <h2 className="text-xl font-semibold">{view.clientName}</h2>
          {state.sets.length === 0 ? (
            <p className="text-quiet">{t`No set has begun yet.`}</p>
          ) : (
            <>
              <SetNotes plan={plan} state={state} act={act} />
              <Corrections plan={plan} state={state} log={log} act={act} />
            </>
          )}
          <HandoverNotes clientId={view.clientId} />
          <LeaveNote clientId={view.clientId} label={t`For the next shift`} />
          <Runner session={session} act={act} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The name of a practitioner; null where it is not known here. */
const useNameOf = () => {
  const practitioners = usePractice().data?.practitioners ?? [];
  return (id: string | null) => practitioners.find((one) => one.id === id)?.name ?? null;
};

/** Who runs a session, and on which device, in words (rule RUN-9). */
export function useRunnerWords({ state }: Pick<LiveSession, 'state'>): string {
  const nameOf = useNameOf();
  const name = nameOf(state.runBy);
  if (state.runner === null || state.runner === thisDevice) return name ? t`${name}, here` : t`Here`;
  return name ? t`${name}, on another device` : t`On another device`;
}

/** Who runs it; handed over by name, or taken over. */
function Runner({ session, act }: { session: LiveSession; act: Act }) {
  const nameOf = useNameOf();
  const words = useRunnerWords(session);
  const { runner, handedTo } = session.state;
  const practitioners = usePractice().data?.practitioners ?? [];
  const others = practitioners.filter(({ id }) => id !== workingPractitioner.get());
  return (
    <section className="space-y-2 border-t border-rule pt-3">
      <p>{t`Run by: ${words}`}</p>
      {handedTo !== null && (
        <p className="notched py-1">{t`Handed to ${nameOf(handedTo) ?? t`another`}, who has not taken it yet.`}</p>
      )}
      {runner !== null && runner !== thisDevice ? (
        <Button onClick={() => act(takeOver())}>{t`Take over`}</Button>
      ) : (
        others.length > 0 && (
          <Picker
            label={t`Hand over to`}
            value={handedTo ?? ''}
            onChange={(to) => to !== '' && act({ do: 'hand-over', to })}
            options={[
              { value: '', label: t`no one` },
              ...others.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        )
      )}
    </section>
  );
}
