import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { failureWords } from '../../../data/api';
import { clockMoves, moveClockOn, serverNow } from '../../../data/clock';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { dayAndTime } from '../../../words/format';

const STEPS = [
  { days: 1, label: t`One day on` },
  { days: 7, label: t`One week on` },
] as const;

/** The clock of a demonstration, to live through the weeks of a block; an ordinary practice has none. */
export function DemoClock() {
  const canMove = clockMoves.use();
  const queries = useQueryClient();
  const move = useMutation({
    mutationFn: moveClockOn,
    onSuccess: () => queries.invalidateQueries(),
  });
  if (!canMove) return null;
  return (
    <section aria-label={t`Clock of the demonstration`} className="mt-10 space-y-2 text-[15px]">
      <p>
        <Trans>
          This is a demonstration. Its clock says <span className="figures">{dayAndTime(serverNow())}</span>.
        </Trans>
      </p>
      <p className="flex gap-2">
        {STEPS.map(({ days, label }) => (
          <Button key={days} disabled={move.isPending} onClick={() => move.mutate(days)}>
            {label}
          </Button>
        ))}
      </p>
      {move.error && <FieldError>{failureWords(move.error)}</FieldError>}
    </section>
  );
}
