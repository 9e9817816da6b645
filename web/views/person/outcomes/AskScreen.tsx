import { t } from '@lingui/core/macro';
import { Dialog } from 'radix-ui';
import type { Measure } from '#core/outcomes';
import { figure, translate } from '../../../language/translate';
import { useAction } from '../../../parts/keys/use-action';

/** A question to the person themselves, on a screen that is handed over: large, and nothing else can be reached. */
export function AskScreen({
  measure: { label, cue, lowest, highest, decimals },
  setting,
  answer,
  close,
}: {
  measure: Measure;
  setting: string;
  answer: (value: number) => void;
  close: () => void;
}) {
  const values = Array.from({ length: highest - lowest + 1 }, (_, place) => lowest + place);
  useAction('answer-figure', answer, { enabled: lowest >= 0 });
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          onInteractOutside={(event) => event.preventDefault()}
          className="fixed inset-0 z-50 flex flex-col justify-center gap-8 overflow-auto bg-paper p-8"
        >
          <Dialog.Title className="text-4xl font-semibold">{setting || translate(label)}</Dialog.Title>
          <p className="max-w-prose text-3xl">{translate(cue)}</p>
          <div className="flex flex-wrap gap-3">
            {values.map((value) => (
              <button
                key={value}
                type="button"
                onClick={() => answer(value)}
                className="figures min-h-16 min-w-16 rounded-sm border border-ink/40 text-3xl hover:bg-tint"
              >
                {value > 0 && lowest < 0 ? '+' : ''}
                {figure(value, decimals)}
              </button>
            ))}
          </div>
          <Dialog.Close className="self-start underline underline-offset-4">{t`Not now`}</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
