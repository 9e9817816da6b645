import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { plansInForce } from '#core/record';
import { useClient, usePractice } from '../../../data/queries';
import { inSentence } from '../../../language/translate';
import { QrForPhone } from '../../../parts/base/QrForPhone';
import { Reading } from '../../../parts/base/Reading';
import { OnePage } from '../../../parts/paper/OnePage';
import { PaperBar } from '../../../parts/paper/PaperBar';
import { PaperHead } from '../../../parts/paper/PaperHead';
import type { Paper } from '../../../parts/paper/papers';
import { planToday } from '../../../parts/plan/plan-today';
import { isPaperForm, PAPER_FORM_IDS, PAPER_FORMS, type PaperForm } from '../../../words/paper-forms';
import { Line } from './parts';
import { type OfPaper, SHEETS } from './sheets';

/** Sheets to fill in by hand: blank, or with what is known of a person; the code on them opens the screen they are typed into. */
export function PapersView() {
  const { form, clientId } = useParams();
  return clientId ? <OfPerson form={form} clientId={clientId} /> : <Papers form={form} person={null} />;
}

function OfPerson({ form, clientId }: { form: string | undefined; clientId: string }) {
  const { data: client } = useClient(clientId);
  const { data: practice } = usePractice();
  const [search] = useSearchParams();
  if (!client) return <Reading inFrame>{t`Reading the record…`}</Reading>;
  const plans = plansInForce(client.facts, client.judgedAtMs);
  const { prescription } =
    plans.find(({ coursePlan }) => coursePlan.id === search.get('plan')) ?? plans[0] ?? {};
  const plan = prescription && practice ? planToday(prescription, client, practice) : null;
  return <Papers form={form} person={{ client, plan }} />;
}

function Papers({
  form: asked,
  person,
}: {
  form: string | undefined;
  person: (Omit<OfPaper, 'practice' | 'client'> & { client: NonNullable<OfPaper['client']> }) | null;
}) {
  const { data: practice } = usePractice();
  const [paper, setPaper] = useState<Paper>('A4');
  if (!practice) return <Reading inFrame>{t`Reading the practice…`}</Reading>;
  const form: PaperForm = isPaperForm(asked) ? asked : 'screening';
  const of: OfPaper = { practice, ...(person ?? { client: null, plan: null }) };
  const whose = person ? `/${person.client.id}` : '';
  return (
    <div className="h-full overflow-auto print:h-auto print:overflow-visible">
      <nav
        aria-label={t`Sheets`}
        className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b border-rule p-4 print:hidden"
      >
        <Link
          to={person ? `/people/${person.client.id}/${PAPER_FORMS[form].screen}` : '/import-export'}
          className="min-h-11 py-2 underline underline-offset-4"
        >
          {t`Back to ${person ? person.client.name : t`import and export`}`}
        </Link>
        <div className="flex min-h-11 flex-wrap items-center gap-x-4">
          {PAPER_FORM_IDS.map((id) => (
            <Link
              key={id}
              to={`/papers/${id}${whose}`}
              aria-current={id === form ? 'page' : undefined}
              className="py-2 aria-[current]:border-b-4 aria-[current]:border-plum aria-[current]:font-semibold"
            >
              {PAPER_FORMS[id].label}
            </Link>
          ))}
        </div>
        <PaperBar paper={paper} onPaper={setPaper} />
      </nav>
      <div className="py-6 print:p-0">
        <OnePage key={`${form} ${paper}`} paper={paper}>
          <article className="space-y-2.5 text-[15px]">
            <PaperHead
              over={<p className="text-[14px]">{practice.settings.name}</p>}
              title={PAPER_FORMS[form].label}
              aside={
                <QrForPhone
                  path={pathOf(form, of)}
                  label={t`the screen that ${inSentence(PAPER_FORMS[form].label)} is typed into`}
                />
              }
            >
              <div className="flex flex-wrap gap-x-4">
                <Line label={t`Name`} value={person?.client.name} />
                <Line label={t`Day`} />
                <Line label={t`By`} />
              </div>
            </PaperHead>
            {SHEETS[form](of)}
            <p className="text-[13px] text-quiet">
              {t`Decision support; follow local policy and licensed practice. Stop symptoms: deflate at once (RUN-3).`}
            </p>
          </article>
        </OnePage>
      </div>
    </div>
  );
}

/** The screen a sheet is typed into, of the person; the list of people, where it has no person. */
function pathOf(form: PaperForm, { client }: OfPaper): string {
  if (!client) return '/';
  const entry = form === 'session' ? '?enter=paper' : '';
  return `/people/${client.id}/${PAPER_FORMS[form].screen}${entry}`;
}
