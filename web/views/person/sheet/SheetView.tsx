import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { plansInForce } from '#core/record';
import { failureWords } from '../../../data/api';
import { useClient, usePractice } from '../../../data/queries';
import { Reading } from '../../../parts/base/Reading';
import { FieldError } from '../../../parts/fields/Field';
import { OnePage } from '../../../parts/paper/OnePage';
import { PaperBar } from '../../../parts/paper/PaperBar';
import type { Paper } from '../../../parts/paper/papers';
import { planToday } from '../../../parts/plan/plan-today';
import { usePlanSearch } from '../../../parts/plan/use-plan-in-hand';
import { OperatorSheet } from './OperatorSheet';
import { PersonalSheet } from './PersonalSheet';

/** The signed prescription on one page, for the person or for who runs the session; printed from here. */
export function SheetView() {
  const { clientId = '', reader } = useParams();
  const [search] = useSearchParams();
  const kept = usePlanSearch();
  const { data: client, error } = useClient(clientId);
  const { data: practice } = usePractice();
  const [paper, setPaper] = useState<Paper>('A4');
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!client || !practice) return <Reading inFrame>{t`Reading the record…`}</Reading>;
  const asked = search.get('plan');
  const plans = plansInForce(client.facts, client.judgedAtMs);
  const { prescription } = plans.find(({ coursePlan }) => coursePlan.id === asked) ?? plans[0] ?? {};
  if (!prescription) {
    return (
      <p className="p-6">
        <Trans>
          Nothing is prescribed yet.{' '}
          <Link className="underline underline-offset-4" to={`/people/${clientId}/prescribe`}>
            Prescribe first
          </Link>
        </Trans>
      </p>
    );
  }
  const Sheet = reader === 'operator' ? OperatorSheet : PersonalSheet;
  return (
    <div className="h-full overflow-auto print:h-auto print:overflow-visible">
      <nav className="flex flex-wrap items-end gap-6 border-b border-rule p-4 print:hidden">
        <Link to={`/people/${clientId}/run${kept}`} className="min-h-11 py-2 underline underline-offset-4">
          {t`Back to ${client.name}`}
        </Link>
        <div className="flex min-h-11 items-center gap-4">
          {(['person', 'operator'] as const).map((value) => (
            <Link
              key={value}
              to={`/people/${clientId}/sheet/${value}${kept}`}
              aria-current={(reader === 'operator') === (value === 'operator') ? 'page' : undefined}
              className="py-2 aria-[current]:border-b-4 aria-[current]:border-plum aria-[current]:font-semibold"
            >
              {value === 'person' ? t`For the person` : t`For the operator`}
            </Link>
          ))}
        </div>
        <PaperBar paper={paper} onPaper={setPaper} />
      </nav>
      <div className="py-6 print:p-0">
        <OnePage key={`${reader} ${paper}`} paper={paper}>
          <Sheet
            client={client}
            prescription={{ ...prescription, plan: planToday(prescription, client, practice) }}
            practice={practice}
          />
        </OnePage>
      </div>
    </div>
  );
}
