import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';

/** Whom to call, as a number that a phone dials. */
export function Call({ phone }: { phone: string }) {
  if (phone === '') return <p>{t`Call your practice.`}</p>;
  return (
    <p>
      <Trans>
        Call your practice:{' '}
        <a
          className="figures font-semibold underline underline-offset-4"
          href={`tel:${phone.replaceAll(' ', '')}`}
        >
          {phone}
        </a>
      </Trans>
    </p>
  );
}
