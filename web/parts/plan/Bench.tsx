import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { LINK_LABELS, type LinkId } from '#core/record';
import { translate } from '../../language/translate';
import { usePlanSearch } from './use-plan-in-hand';

/** Heading of a bench: what is done here, in one line. */
export function BenchHeading({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <header className="mb-5">
      <h2 className="text-2xl font-semibold">{title}</h2>
      {children && <p className="text-quiet">{children}</p>}
    </header>
  );
}

/** Said in place of a bench whose earlier link is missing, with the way there. */
export function FirstDo({
  clientId,
  link,
  children,
}: {
  clientId: string;
  link: LinkId;
  children: ReactNode;
}) {
  const search = usePlanSearch();
  return (
    <p className="notched max-w-prose py-2">
      {children}{' '}
      <Link
        className="font-semibold underline underline-offset-4"
        to={`/people/${clientId}/${link}${search}`}
      >
        {t`Go to ${translate(LINK_LABELS[link])}`}
      </Link>
    </p>
  );
}
