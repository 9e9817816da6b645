import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';

/** The head of what the practice as a whole shows: its week, how safe it was, responders, what is measured. */
export function PracticeHead({ title, children }: { title: string; children: ReactNode }) {
  return (
    <header className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
      <div>
        <h1 className="text-3xl font-semibold">{title}</h1>
        <nav aria-label={t`Of the practice`} className="mt-1 flex flex-wrap gap-x-6">
          {[
            { to: '/week', label: t`This week` },
            { to: '/safety', label: t`How safe it was` },
            { to: '/responders', label: t`Responders` },
            { to: '/measures', label: t`Measures` },
            { to: '/import-export', label: t`Import and export` },
            { to: '/accounts', label: t`Accounts` },
            { to: '/audit', label: t`Audit log` },
          ].map(({ to, label }) => (
            <NavLink
              key={to}
              to={to}
              className="inline-flex min-h-9 items-center border-b-4 border-transparent underline-offset-4 hover:underline aria-[current=page]:border-plum"
            >
              {label}
            </NavLink>
          ))}
        </nav>
      </div>
      <div className="flex flex-wrap items-end gap-4">{children}</div>
    </header>
  );
}
