import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { cuffUpMinutes, WEEKS, whatToExpect } from '#core/plan';
import { plansInForce } from '#core/record';
import { ANSWERS, CONSENT_VERSION } from '#core/screening';
import { failureWords } from '../../../data/api';
import { useClient, usePractice } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Reading } from '../../../parts/base/Reading';
import { FieldError } from '../../../parts/fields/Field';
import { ForPaper } from '../../../parts/paper/ForPaper';
import { PaperBar } from '../../../parts/paper/PaperBar';
import type { Paper } from '../../../parts/paper/papers';
import { usePlanSearch } from '../../../parts/plan/use-plan-in-hand';
import { ConsentForm } from '../../../parts/record/ConsentForm';
import { ConsentWords } from '../../../parts/record/ConsentWords';

/** The training explained to one person in plain words and their own figures, to read together or to hand over (rule SCR-6). */
export function ExplainView() {
  const { clientId = '' } = useParams();
  const kept = usePlanSearch();
  const { data: client, error } = useClient(clientId);
  const { data: practice } = usePractice();
  const [paper, setPaper] = useState<Paper>('A4');
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!client || !practice) return <Reading inFrame>{t`Reading the record…`}</Reading>;
  return (
    <div className="h-full overflow-auto print:h-auto print:overflow-visible">
      <nav className="flex flex-wrap items-end gap-6 border-b border-rule p-4 print:hidden">
        <Link to={`/people/${clientId}/screen${kept}`} className="min-h-11 py-2 underline underline-offset-4">
          {t`Back to ${client.name}`}
        </Link>
        <PaperBar paper={paper} onPaper={setPaper} />
      </nav>
      <ForPaper paper={paper}>
        <Explained client={client} practice={practice} />
        <div className="mt-8 border-t-2 border-ink pt-4 print:hidden">
          <ConsentForm client={client} isRead />
        </div>
      </ForPaper>
    </div>
  );
}

function Explained({ client, practice }: { client: ClientRecord; practice: PracticeView }) {
  const { name, phone } = practice.settings;
  const plans = plansInForce(client.facts, client.judgedAtMs);
  return (
    <article className="space-y-4">
      <header className="border-b-2 border-ink pb-2">
        <h1 className="text-3xl font-semibold">{t`Training with a cuff`}</h1>
        <p>{t`For ${client.name}, from ${name}. Version ${CONSENT_VERSION}.`}</p>
      </header>
      <ConsentWords version={CONSENT_VERSION} />
      {plans.map(({ coursePlan, prescription: { plan } }) => (
        <section key={coursePlan.id} className="space-y-2 border-t border-rule pt-3">
          <h2 className="text-xl font-semibold">{t`Yours: ${translate(coursePlan.name)}`}</h2>
          {whatToExpect(plan).map(({ heading, lines }) => (
            <div key={translate(heading)} className="break-inside-avoid">
              <h3 className="font-semibold">{translate(heading)}</h3>
              <ul>
                {lines.map((line) => (
                  <li key={translate(line)}>{translate(line)}</li>
                ))}
              </ul>
            </div>
          ))}
          <p>{t`The cuff is up for about ${cuffUpMinutes(plan)} minutes in all.`}</p>
        </section>
      ))}
      <section className="break-inside-avoid border-t border-rule pt-3">
        <h2 className="text-xl font-semibold">{t`Week by week`}</h2>
        <dl className="grid grid-cols-[8rem_1fr] gap-x-4">
          {WEEKS.map(({ when, words }) => (
            <div key={translate(when)} className="contents">
              <dt className="font-semibold">{translate(when)}</dt>
              <dd>{translate(words)}</dd>
            </div>
          ))}
        </dl>
      </section>
      <section className="break-inside-avoid border-t border-rule pt-3">
        <h2 className="text-xl font-semibold">{t`Afterwards`}</h2>
        <p>
          {t`Walk a minute, drink, and go easy on that limb for the day. Call ${phone ? `${name}, ${phone},` : name} if numbness stays, bruising spreads, or you are worried. Dark urine, a swollen and painful calf or arm, marked weakness, breathlessness or chest pain: get medical help at once.`}
        </p>
      </section>
      <section className="border-t border-rule pt-3">
        <h2 className="text-xl font-semibold">{t`What people ask`}</h2>
        <dl className="space-y-1.5">
          {ANSWERS.map(({ question, answer }) => (
            <div key={translate(question)} className="break-inside-avoid">
              <dt className="font-semibold">{translate(question)}</dt>
              <dd>{translate(answer)}</dd>
            </div>
          ))}
        </dl>
      </section>
      <p className="border-t border-rule pt-2 text-[13px] text-quiet">
        {t`General information, and no replacement for advice from the person who treats you. Local policy and licensed practice decide.`}
      </p>
    </article>
  );
}
