import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from 'react-router';

export function NotFound() {
  return (
    <div className="p-6">
      <h1 className="text-2xl font-semibold">{t`There is nothing at this address`}</h1>
      <p className="mt-2">
        <Trans>
          It may have been typed wrong.{' '}
          <Link to="/" className="underline">
            Back to the people
          </Link>
        </Trans>
      </p>
    </div>
  );
}
