import { t } from '@lingui/core/macro';
import { UserRound } from 'lucide-react';
import type { ButtonHTMLAttributes, Ref } from 'react';
import type { Practitioner } from '#contract/practice';
import { ROLE_NAMES } from '#core/access';
import { translate } from '../language/translate';

/** Who is in; pressed, it says what one can do about that. */
export const WhoButton = ({
  practitioner,
  ref,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & {
  practitioner: Practitioner | undefined;
  ref?: Ref<HTMLButtonElement>;
}) => (
  <button
    type="button"
    ref={ref}
    {...rest}
    className="flex min-h-9 min-w-0 items-center gap-2 rounded-sm px-2 text-[14px] hover:bg-tint"
  >
    <UserRound size={18} aria-hidden />
    <span className="sr-only">{t`Account of`} </span>
    <span className="truncate max-sm:sr-only">
      {practitioner?.name ?? '…'}
      {/* On a tablet the people beside the page leave no room for it. */}
      {practitioner && <span className="max-lg:sr-only">, {translate(ROLE_NAMES[practitioner.role])}</span>}
    </span>
  </button>
);
