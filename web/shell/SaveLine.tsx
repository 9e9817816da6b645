import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { lazy, Suspense } from 'react';
import { useOutbox } from '../data/outbox';
import { cuffsUp } from '../state/cuffs-up';
import { newVersion } from '../state/new-version';

const SetAsideLine = lazy(() =>
  import('./SetAsideLine').then((module) => ({ default: module.SetAsideLine })),
);

/** One honest line: whether the server has everything that happened here. */
export function SaveLine() {
  const { unsent, unreached, ofOthers, aside } = useOutbox();
  const events = `${unsent} ${unsent === 1 ? t`event` : t`events`}`;
  return (
    <>
      <NewVersion />
      {ofOthers > 0 && (
        <p className="notched text-[14px] text-ochre">
          {t`${ofOthers} ${ofOthers === 1 ? t`event` : t`events`} of another person: sent when they sign in here.`}
        </p>
      )}
      {aside.length > 0 && (
        <Suspense>
          <SetAsideLine />
        </Suspense>
      )}
      {unsent === 0 ? (
        <p className="text-[14px] text-quiet">
          <span className="max-lg:sr-only">{t`All saved on the server`}</span>
          <span aria-hidden className="lg:hidden">
            {t`Saved`}
          </span>
        </p>
      ) : unreached ? (
        <p role="status" className="notched text-[14px] text-ochre">
          {t`${events} kept on this device, not yet on the server. Trying again.`}
        </p>
      ) : (
        <p className="text-[14px] text-quiet">{t`Saving ${events}…`}</p>
      )}
    </>
  );
}

/** Says that a new version of the app is there; no session is reloaded while in use. */
function NewVersion() {
  const take = newVersion.use();
  const isUp = cuffsUp.use();
  if (!take) return null;
  return (
    <p role="status" className="text-[14px]">
      <Trans>
        A new version is here{isUp ? t`, to be taken once no cuff is up.` : ': '}
        {!isUp && (
          <button type="button" className="font-semibold underline underline-offset-4" onClick={take}>
            {t`take it`}
          </button>
        )}
      </Trans>
    </p>
  );
}
