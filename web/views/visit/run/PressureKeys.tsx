import { t } from '@lingui/core/macro';
import { stepName } from '#core/cuff';
import { type InHand, isCuffedInHand } from '#core/session';
import type { Act } from '../../../act/act';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';

/** Looser at any time; up and topped up only before a set; a pinch is put right by re-fitting (rules RUN-4, FIT-4). */
export function PressureKeys({
  hand,
  inSet,
  up,
  act,
}: {
  hand: InHand;
  inSet: boolean;
  up: boolean;
  act: Act;
}) {
  const byFeel = hand.limbs.every(({ kind }) => kind === 'by-feel');
  const step = stepName(hand.limbs.find((target) => target.kind === 'by-feel') ?? {});
  return (
    <div className="grid grid-cols-2 gap-2">
      <Button does="loosen" onClick={() => act({ do: 'loosen' })}>
        {byFeel ? t`One ${translate(step)} looser` : t`Loosen 10`}
      </Button>
      {byFeel ? (
        <Button does="tighten" disabled={inSet} onClick={() => act({ do: 'raise' })}>
          {t`One ${translate(step)} tighter`}
        </Button>
      ) : (
        <Button does="top-up" disabled={inSet || !up} onClick={() => act({ do: 'top-up' })}>
          {t`Top up`}
        </Button>
      )}
      {!byFeel && isLoosened(hand) && (
        <Button does="tighten" disabled={inSet} onClick={() => act({ do: 'raise' })}>
          {t`10 back up`}
        </Button>
      )}
      {up && (
        <Button does="re-fit" onClick={() => act({ do: 're-fit' })}>
          {t`Re-fit`}
        </Button>
      )}
    </div>
  );
}

const isLoosened = ({ limbs }: InHand): boolean =>
  limbs.some((target) => isCuffedInHand(target) && target.targetMmHg < target.signed.pressure.value);
