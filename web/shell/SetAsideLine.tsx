import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Popover } from 'radix-ui';
import { EVENTS } from '#core/session';
import { letGo, useOutbox } from '../data/outbox';
import { saveFile } from '../data/save-file';
import { translate } from '../language/translate';
import { Button } from '../parts/base/Button';
import { dayAndTime } from '../words/format';

/** What the server refused: it is kept, shown with its words, and let go by hand (rule RUN-9). */
export function SetAsideLine() {
  const { aside } = useOutbox();
  return (
    <Popover.Root>
      <Popover.Trigger className="notched text-[14px] font-semibold text-ochre underline underline-offset-4">
        {t`${aside.length} refused by the server: look`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={t`What was set aside`}
          align="end"
          className="z-40 max-h-[60vh] w-[28rem] max-w-[94vw] space-y-3 overflow-y-auto rounded-sm border border-ink bg-paper p-4"
        >
          <Button
            onClick={() =>
              saveFile(
                new Blob([aside.map((one) => `${JSON.stringify(one)}\n`).join('')], {
                  type: 'application/x-ndjson',
                }),
                'not-taken.ndjson',
              )
            }
          >
            {t`Save all of it as a file`}
          </Button>
          {aside.map(({ id, event, words }) => (
            <div key={id} className="border-b border-rule pb-2">
              <p className="font-semibold first-letter:uppercase">
                {translate(EVENTS[event.type].words)}, {dayAndTime(event.atMs)}
              </p>
              <p className="text-[14px]">{words}</p>
              <Button className="mt-1" onClick={() => void letGo(id)}>
                <Trans>
                  Let it go<span className="sr-only">: {translate(EVENTS[event.type].words)}</span>
                </Trans>
              </Button>
            </div>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
