import type { PracticeView } from '#contract/practice';
import { underSchool } from '#core/plan/compare-schools';
import { GOALS, goalIdSchema, RUNG_LABELS } from '#core/plan/goals';
import { rungSchema } from '#core/protocol/exercise';
import { SCHOOLS, schoolIdSchema } from '#core/protocol/schools';
import { LIMB_LABELS, type Limb } from '#core/quantity/limb';
import { Choice } from '../../parts/Choice';
import { Picker } from '../../parts/Picker';
import { measuredLimbs } from './choices';
import type { ComposerState, Wish } from './use-composer';

const FIRST_MONTH = 'first-month';

/** What the session is for, by which school, on which limbs; drafts it, or takes a template. */
export function WishBar({ composer, practice }: { composer: ComposerState; practice: PracticeView }) {
  const { wish, draftAgain, session, basis, change, takeTemplate } = composer;
  const limbSets = (['leg', 'arm'] as const).flatMap((kind) => {
    const limbs = measuredLimbs(basis, kind);
    return limbs.length > 1 ? [...limbs.map((limb) => [limb]), limbs] : limbs.map((limb) => [limb]);
  });
  const setOf = (limbs: readonly Limb[]) => [...limbs].sort().join(' ');
  const draft = (part: Partial<Wish> = {}) => draftAgain({ ...wish, ...part });
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-3">
      <div className="w-44">
        <Picker
          label="Goal"
          value={wish.goal}
          onChange={(goal) => draft({ goal })}
          options={goalIdSchema.options.map((value) => ({ value, label: GOALS[value].label }))}
        />
      </div>
      <div className="w-44">
        <Picker
          label="School"
          value={session?.schoolId ?? wish.schoolId}
          onChange={(schoolId) => {
            if (session) change(underSchool(session, schoolId, basis));
            else draft({ schoolId });
          }}
          options={schoolIdSchema.options.map((value) => ({ value, label: SCHOOLS[value].label }))}
        />
      </div>
      <div className="w-40">
        <Picker
          label="Limbs"
          value={setOf(wish.limbs)}
          onChange={(key) => draft({ limbs: limbSets.find((limbs) => setOf(limbs) === key) ?? wish.limbs })}
          options={[
            ...(limbSets.some((limbs) => setOf(limbs) === setOf(wish.limbs))
              ? []
              : [{ value: setOf(wish.limbs), label: 'not measured' }]),
            ...limbSets.map((limbs) => ({
              value: setOf(limbs),
              label:
                limbs.length > 1
                  ? `Both ${limbs[0]?.endsWith('arm') ? 'arms' : 'thighs'}`
                  : LIMB_LABELS[limbs[0] ?? 'left-thigh'],
            })),
          ]}
        />
      </div>
      {wish.limbs.length > 1 && (
        <Choice
          label="The two"
          value={wish.together ? 'together' : 'in-turn'}
          onChange={(value) => draft({ together: value === 'together' })}
          options={[
            { value: 'in-turn', label: 'in turn' },
            { value: 'together', label: 'at once' },
          ]}
        />
      )}
      {wish.goal === 'rehab' && (
        <div className="w-40">
          <Picker
            label="Rung"
            value={wish.rung}
            onChange={(rung) => draft({ rung })}
            options={rungSchema.options.map((value) => ({ value, label: RUNG_LABELS[value] }))}
          />
        </div>
      )}
      <div className="w-44">
        <Picker
          label="Template"
          value={wish.isolatedOnly ? FIRST_MONTH : ''}
          onChange={(id) => {
            const template = practice.templates.find((candidate) => candidate.id === id);
            if (template) takeTemplate(template.session);
            else draft({ isolatedOnly: id === FIRST_MONTH });
          }}
          options={[
            { value: '', label: 'none' },
            { value: FIRST_MONTH, label: 'First month (PRO-6)' },
            ...practice.templates.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
      </div>
    </div>
  );
}
