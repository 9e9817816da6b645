import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMutation } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { RELEASE } from '#contract/release';
import { ROLE_NAMES } from '#core/access';
import { failureWords } from '../data/api';
import { lock } from '../data/lock';
import { usePractitioner } from '../data/queries';
import { signOut } from '../data/sign-in';
import { translate } from '../language/translate';
import { Button } from '../parts/base/Button';
import { LanguageMenu } from '../parts/base/LanguageMenu';
import { WordMenu } from '../parts/base/WordMenu';
import { FieldError } from '../parts/fields/Field';
import { cuffsUp } from '../state/cuffs-up';
import { lockMinutes } from './use-idle-lock';
import { WhoButton } from './WhoButton';

const MINUTES = ['2', '5', '10', '20'];

/** Who is in on this device: locking it, handing it on, going, and one's own account. */
export function AccountMenu() {
  const practitioner = usePractitioner();
  const isUp = cuffsUp.use();
  const minutes = lockMinutes.use();
  const go = useMutation({ mutationFn: signOut });
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger asChild>
        <WhoButton practitioner={practitioner} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={12}
          aria-label={t`Your account`}
          className="z-40 w-80 max-w-[94vw] space-y-3 rounded-sm border border-ink/40 bg-paper p-4"
        >
          <p>
            <strong>{practitioner?.name}</strong>,{' '}
            {translate(practitioner?.role && ROLE_NAMES[practitioner?.role])}
            {practitioner?.isOwner && t`, owner of the practice`}
          </p>
          {isUp && (
            <p className="notched py-1 text-[15px] text-ochre">
              {t`A cuff is up here: release it before you go.`}
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <Button kind="main" does="lock" disabled={isUp} onClick={() => void lock()}>
              {t`Lock, or hand on`}
            </Button>
            <Button disabled={isUp || go.isPending} onClick={() => go.mutate(false)}>
              {t`Sign out`}
            </Button>
          </div>
          {go.error && <FieldError>{failureWords(go.error)}</FieldError>}
          <p className="text-[15px]">
            <Trans>
              Locks by itself after{' '}
              <WordMenu
                label={t`Locks by itself after`}
                value={minutes}
                onChange={(value) => lockMinutes.set(value)}
                options={MINUTES.map((value) => ({ value, label: `${value} min` }))}
              />
            </Trans>
          </p>
          <p className="text-[15px]">
            {t`Language`} <LanguageMenu />
          </p>
          <p className="text-[14px] text-quiet">{t`Nervato ${RELEASE}`}</p>
          <Popover.Close asChild>
            <Link to="/account" className="inline-flex min-h-11 items-center underline underline-offset-4">
              {t`Passphrase, PIN and codes`}
            </Link>
          </Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
