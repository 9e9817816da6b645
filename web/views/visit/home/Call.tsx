import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomeSheet } from '#contract/home';

/** The number to call, which a phone dials. */
export function Call({ phone }: { phone: string }) {
  if (phone === '') return <p>{t`Call your practice.`}</p>;
  return (
    <p>
      <Trans>
        Call your practice: <Dial phone={phone} />
      </Trans>
    </p>
  );
}

/** The emergency number first, large enough for a hand that shakes; then the practice's (rule RUN-6). */
export function EmergencyCall({ practice }: { practice: HomeSheet['practice'] }) {
  return (
    <div role="alert" className="space-y-2 border-l-8 border-vermilion bg-tint p-3">
      <p className="text-2xl font-semibold text-vermilion">{t`This is an emergency`}</p>
      <a
        href={`tel:${practice.emergencyPhone.replaceAll(' ', '')}`}
        className="flex min-h-16 items-center justify-center rounded-sm bg-vermilion px-4 text-2xl font-semibold text-paper"
      >
        {t`Call ${practice.emergencyPhone}`}
      </a>
      <p>{t`Take the cuff off. Sit or lie down. Do not stay alone.`}</p>
      <Call phone={practice.phone} />
    </div>
  );
}

function Dial({ phone }: { phone: string }) {
  return (
    <a
      className="figures font-semibold underline underline-offset-4"
      href={`tel:${phone.replaceAll(' ', '')}`}
    >
      {phone}
    </a>
  );
}
