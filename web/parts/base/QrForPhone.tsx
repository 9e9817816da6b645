import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { whyNotReachable } from '#contract/reachable';
import { usePractice } from '../../data/queries';
import { translate } from '../../language/translate';
import { QrCode } from './QrCode';

/** The address of this server as a phone reaches it: the one the practice has set, else that of this page. */
export function useAddressForPhones(): { address: string; why: string | null } {
  const { data: practice } = usePractice();
  const address = practice?.settings.publicAddress || window.location.origin;
  const why = whyNotReachable(address);
  return {
    address,
    why: why && t`${translate(why)} It is set in Kit and practice, “Address for phones”.`,
  };
}

/** A code that a phone opens a page of this server by; where no phone could, what to do about it. */
export function QrForPhone({
  path,
  label,
  sizePx,
  children,
}: {
  path: string;
  /** What it opens, in words. */
  label: string;
  sizePx?: number;
  /** What stands beside it. @param address what it opens, as far as this machine */
  children?: (address: string) => ReactNode;
}) {
  const { address, why } = useAddressForPhones();
  const whole = new URL(path, address).href;
  return (
    <>
      {why === null ? (
        <QrCode text={whole} label={label} {...(sizePx === undefined ? {} : { sizePx })} />
      ) : (
        <p className="max-w-80 text-[13px] print:hidden">{t`No code. ${why}`}</p>
      )}
      {children?.(whole)}
    </>
  );
}
