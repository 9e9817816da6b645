import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { AlertDialog } from 'radix-ui';
import { markWords } from '#core/cuff';
import { LIMB_LABELS } from '#core/quantity';
import type { LimbInHand } from '#core/session';
import type { Act } from '../../../act/act';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { BEHIND } from '../../../parts/base/Panel';
import { Why } from '../../../parts/base/Why';

/** Colour or feeling was not good: it needs a decision, and nothing else goes on before (rule RUN-3). It cannot be dismissed. */
export function ColourDecision({
  open,
  limbs,
  act,
  noteSign,
}: {
  open: boolean;
  limbs: readonly LimbInHand[];
  act: Act;
  noteSign: () => void;
}) {
  return (
    <AlertDialog.Root open={open}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className={BEHIND} />
        <AlertDialog.Content
          onEscapeKeyDown={(event) => event.preventDefault()}
          className="fixed top-24 left-1/2 z-50 w-[560px] max-w-[94vw] -translate-x-1/2 rounded-sm border-2 border-vermilion bg-paper p-5"
        >
          <AlertDialog.Title className="text-2xl font-semibold">
            {t`Colour or feeling is not good`}
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-[15px] text-quiet">
            <Trans>
              Numb, pale, blue, purple, cold or sharp pain: note the symptom, and the session stops.{' '}
              <Why rule="RUN-3" /> Too tight: loosen or release, and look again.
            </Trans>
          </AlertDialog.Description>
          <p className="mt-3 font-semibold tabular-nums" aria-live="polite">
            {limbs.map(heldWords).join(' ')}
          </p>
          <div className="mt-3 grid gap-2 sm:grid-cols-2">
            <Button kind="stop" onClick={noteSign}>
              {t`Note the symptom`}
            </Button>
            <Button kind="stop" onClick={() => act({ do: 'release' })}>
              {t`Release`}
            </Button>
            <Button onClick={() => act({ do: 'loosen' })}>{t`Loosen`}</Button>
            <Button onClick={() => act({ do: 'check-colour', good: true })}>{t`Looked again: good`}</Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}

/** Where the limb is held now, so that loosening is seen to have been noted. */
function heldWords(limb: LimbInHand): string {
  const name = translate(LIMB_LABELS[limb.limb]);
  if (limb.kind === 'by-feel')
    return limb.up ? t`${name} at ${translate(markWords(limb))}.` : t`${name} is released.`;
  return limb.readMmHg === null ? t`${name} is released.` : t`${name} at ${limb.readMmHg} mmHg.`;
}
