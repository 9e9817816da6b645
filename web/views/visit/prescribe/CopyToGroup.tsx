import { t } from '@lingui/core/macro';
import { useQueries, useQueryClient } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { CoursePlan } from '#core/course';
import { guardFindings, hardFindings } from '#core/findings';
import { choicesOf, composeCourse, deriveFor, type Plan, targetWords } from '#core/plan';
import { basisOf, versionInForce } from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { clientQuery, usePractice, usePractitioner } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { type ChosenPerson, PeopleTicks } from '../../../parts/record/PeopleTicks';
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
  const [chosen, setChosen] = useState<ChosenPerson[]>([]);
  return (
    <Popover.Root>
      <Popover.Trigger className={className}>{t`Copy to a group`}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={t`Copy to a group`}
          align="start"
          sideOffset={4}
          collisionPadding={12}
          className="z-40 max-h-[70vh] w-[34rem] max-w-[92vw] space-y-3 overflow-y-auto rounded-sm border border-ink bg-paper p-3"
        >
          <PeopleTicks chosen={chosen} setChosen={setChosen} notId={client.id} />
          <Group chosen={chosen} client={client} coursePlan={coursePlan} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** What each of the group gets, and one signature for those who can be signed for. */
function Group({
  chosen,
  client,
  coursePlan,
}: {
  chosen: ChosenPerson[];
  client: ClientRecord;
  coursePlan: CoursePlan;
}) {
  const queries = useQueryClient();
  const { data: practice } = usePractice();
  const role = usePractitioner()?.role ?? 'coach';
  const [said, setSaid] = useState<ReadonlyMap<string, string>>(new Map());
  const [isSigning, setSigning] = useState(false);
  const records = useQueries({ queries: chosen.map(({ id }) => clientQuery(id)) });
  const source = versionInForce(client.facts, coursePlan.id)?.plan;
  if (chosen.length === 0 || !practice || !source) return null;
  const made = records.flatMap(({ data }) => (data ? [derivedFor(data, source, practice, role)] : []));
  const ready = made.filter(({ isReady, id }) => isReady && !said.has(id));
  const sign = async () => {
    setSigning(true);
    const { name, occasion } = coursePlan;
    for (const { id, session } of ready) {
      if (!session) continue;
      const json = { ...session, signedFor: { kind: 'new-plan' as const, name, occasion, untilMs: null } };
      const words = await read(api.clients[':id'].prescriptions.$post({ param: { id }, json }))
        .then(() => t`Signed.`)
        .catch(failureWords);
      setSaid((before) => new Map([...before, [id, words]]));
      void queries.invalidateQueries({ queryKey: KEYS.client(id) });
    }
    setSigning(false);
  };
  return (
    <>
      <ul className="border-t border-rule">
        {made.map(({ id, name, plan, notes }) => (
          <li key={id} className="border-b border-rule py-1 text-[15px]">
            <p>
              <span className="font-semibold">{name}</span>{' '}
              {plan ? <FiguresOf plan={plan} /> : t`nothing can be derived`}{' '}
              <span className="text-quiet">{said.get(id)}</span>
            </p>
            {notes.map((words) => (
              <p key={words} className="notched text-[14px] text-ochre">
                {words}
              </p>
            ))}
          </li>
        ))}
      </ul>
      <Only permission="sign">
        <Button kind="main" disabled={ready.length === 0 || isSigning} onClick={() => void sign()}>
          {t`Sign for ${ready.length}`}
        </Button>
      </Only>
    </>
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

/** What one person gets; ready where nothing is found that is more than a note. */
function derivedFor(
  { id, name, facts, judgedAtMs }: ClientRecord,
  source: Plan,
  practice: PracticeView,
  role: Parameters<typeof basisOf>[2],
) {
  const basis = basisOf(facts, practice, role, judgedAtMs);
  const { session, notes } = deriveFor(choicesOf(source), basis);
  const composed = session && composeCourse(session, basis);
  const against = composed ? [...hardFindings(composed.findings), ...guardFindings(composed.findings)] : [];
  return {
    id,
    name,
    session,
    plan: composed?.plan ?? null,
    isReady: composed !== null && against.length === 0,
    notes: [...notes, ...against.map(({ message }) => message)].map((message) => translate(message)),
  };
}
