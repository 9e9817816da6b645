import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { limbKindSchema } from '#core/quantity';
import { measuredStamp, type PlanInForce, whatReviewAsks, whyNotInForce } from '#core/record';
import { usePractice } from '../data/queries';
import { useLastReview } from '../data/use-last-review';
import { Reading } from '../parts/base/Reading';
import { Choice } from '../parts/fields/Choice';
import { FirstDo } from '../parts/plan/Bench';
import { usePlanInHand } from '../parts/plan/use-plan-in-hand';
import { LastReview } from '../parts/review/LastReview';
import { BlockBench } from '../views/person/block/BlockBench';
import { Composer } from '../views/visit/prescribe/Composer';
import { PlanPicker, PlansAside } from '../views/visit/prescribe/PlanHeader';
import { trainableLimbs } from '../views/visit/prescribe/state/choices';
import { type Start, useCopied, useGoal } from '../views/visit/prescribe/state/use-start';

type Part = 'session' | 'block';

/** The next session, or the weeks it belongs to. */
export function PrescribeBench({ client }: { client: ClientRecord }) {
  const { data: practice } = usePractice();
  const [search, setSearch] = useSearchParams();
  const { inHand, plans, choose } = usePlanInHand(client);
  const [isChanging, setChanging] = useState(false);
  const part: Part = search.get('part') === 'block' ? 'block' : 'session';
  if (!practice) return <Reading>{t`Reading the practice…`}</Reading>;
  const aside = client.facts.coursePlans.flatMap((coursePlan) => {
    const why = whyNotInForce(coursePlan, client.judgedAtMs);
    return why === null ? [] : [{ ...coursePlan, why }];
  });
  return (
    <section>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-x-8">
        <div className="flex flex-wrap items-center gap-x-6">
          <h2 className="text-2xl font-semibold max-sm:sr-only">{t`Prescribe`}</h2>
          {part === 'session' && plans.length > 0 && (
            <PlanPicker
              plans={plans}
              inHand={inHand}
              choose={choose}
              isChanging={isChanging}
              setChanging={setChanging}
            />
          )}
        </div>
        <Choice
          label={t`What to plan`}
          hideLabel
          value={part}
          onChange={(next) => setSearch(next === 'block' ? { part: next } : {}, { replace: true })}
          options={[
            { value: 'session', label: t`The next session` },
            { value: 'block', label: t`A block of weeks` },
          ]}
        />
      </div>
      {limbKindSchema.options.every((kind) => trainableLimbs(client.facts, kind).length === 0) ? (
        <FirstDo clientId={client.id} link={client.facts.fits.length > 0 ? 'measure' : 'fit'}>
          {t`No occlusion pressure is on record yet.`}
        </FirstDo>
      ) : part === 'block' ? (
        <BlockBench client={client} practice={practice} />
      ) : (
        <ComposeInHand
          client={client}
          practice={practice}
          inHand={inHand}
          changing={{ isChanging, setChanging }}
        />
      )}
      <PlansAside client={client} aside={aside} />
    </section>
  );
}

/** The composer of the plan in hand, mounted again for another plan, another version, and what was measured since. */
function ComposeInHand({
  client,
  practice,
  inHand,
  changing,
}: {
  client: ClientRecord;
  practice: PracticeView;
  inHand: PlanInForce | undefined;
  changing: Pick<Start, 'isChanging' | 'setChanging'>;
}) {
  const review = useLastReview(client.id, inHand?.coursePlan.id);
  const copied = useCopied(client);
  const goal = useGoal();
  if (!review || copied === undefined) return <Reading>{t`Reading the last sessions…`}</Reading>;
  const asks =
    inHand &&
    whatReviewAsks(inHand.prescription, client.facts, practice, inHand.prescription.role, client.judgedAtMs);
  return (
    <>
      {asks?.kind === 'answer' && (
        <div className="mb-6">
          <LastReview sessionId={asks.session.id} />
        </div>
      )}
      <Composer
        key={`${inHand?.prescription.id ?? 'new'} ${inHand?.prescription.plan.rungs?.rung ?? ''} ${measuredStamp(client.facts)} ${copied ? JSON.stringify(copied) : ''} ${goal ?? ''}`}
        client={client}
        practice={practice}
        review={review}
        start={{ inHand, ...changing, copied: inHand ? null : copied, goal: inHand ? null : goal }}
      />
    </>
  );
}
