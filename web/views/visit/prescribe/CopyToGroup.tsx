import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { CoursePlan } from '#core/course';
import { guardFindings, hardFindings } from '#core/findings';
import { choicesOf, composeCourse, deriveFor, type Plan, targetWords } from '#core/plan';
import { basisOf, versionInForce } from '#core/record';
import { api, read } from '../../../data/api';
import { usePractice, usePractitioner } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { ForGroup, type ForOne } from '../../../parts/record/ForGroup';
import { useUnits } from '../../../words/units';

/** A course copied to several people at once: what each of them gets, from their own figures, and what could not be derived. */
export function CopyToGroup({
  className,
  client,
  coursePlan,
}: {
  className: string;
  client: ClientRecord;
  coursePlan: CoursePlan;
}) {
  const { data: practice } = usePractice();
  const role = usePractitioner()?.role ?? 'coach';
  const source = versionInForce(client.facts, coursePlan.id)?.plan;
  if (!practice || !source) return null;
  return (
    <ForGroup
      className={className}
      label={t`Copy to a group`}
      notId={client.id}
      forOne={(record) => derivedFor(record, source, coursePlan, practice, role)}
      keepWords={(count) => t`Sign for ${count}`}
      keptWords={t`Signed.`}
    />
  );
}

function FiguresOf({ plan }: { plan: Plan }) {
  const { mass } = useUnits();
  return plan.exercises
    .map(({ label, limbs, load }) =>
      [
        translate(label),
        limbs.map((target) => translate(targetWords(target))).join('/'),
        load.kind === 'weighed' ? mass.words(load.load.value) : translate(load.recipe),
      ].join(' '),
    )
    .join(' · ');
}

/** What one person gets; signed where nothing is found that is more than a note. */
function derivedFor(
  { id, facts, judgedAtMs }: ClientRecord,
  source: Plan,
  { ownName, occasion }: CoursePlan,
  practice: PracticeView,
  role: Parameters<typeof basisOf>[2],
): ForOne {
  const basis = basisOf(facts, practice, role, judgedAtMs);
  const { session, notes } = deriveFor(choicesOf(source), basis);
  const composed = session && composeCourse(session, basis);
  const against = composed ? [...hardFindings(composed.findings), ...guardFindings(composed.findings)] : [];
  const signedFor = { kind: 'new-plan' as const, name: ownName, occasion, untilMs: null };
  return {
    gets: <p>{composed ? <FiguresOf plan={composed.plan} /> : t`nothing can be derived`}</p>,
    notes: [...notes, ...against.map(({ message }) => message)].map((message) => translate(message)),
    keep:
      session && composed && against.length === 0
        ? () =>
            read(api.clients[':id'].prescriptions.$post({ param: { id }, json: { ...session, signedFor } }))
        : null,
  };
}
