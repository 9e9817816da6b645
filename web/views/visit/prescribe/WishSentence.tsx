import { t } from '@lingui/core/macro';
import type { PracticeView } from '#contract/practice';
import { GOALS, goalIdSchema, liftsBefore, RUNG_NAMES, underSchool } from '#core/plan';
import { rungSchema, SCHOOLS, schoolIdSchema } from '#core/protocol';
import { LIMB_NAMES, type Limb, limbKind } from '#core/quantity';
import { inSentence, translate } from '../../../language/translate';
import { WordMenu } from '../../../parts/base/WordMenu';
import { trainableLimbs } from './state/choices';
import type { ComposerState } from './state/use-composer';
import { limbsFor, type Wish } from './state/wish';

const FIRST_MONTH = 'first-month';
const NO_TEMPLATE = 'none';
/** Nothing in particular is asked for. */
const ANY = 'any';

const setOf = (limbs: readonly Limb[]): string => [...limbs].sort().join(' ');

const limbWords = (limbs: readonly Limb[]): string => {
  const kinds = (['leg', 'arm'] as const).map((kind) => limbs.filter((limb) => limbKind(limb) === kind));
  if (kinds.every(({ length }) => length > 0)) return kinds.map(limbWords).join(t`, then `);
  const [first = 'left-thigh', second] = limbs;
  if (second) return t`both ${first.endsWith('arm') ? t`arms` : t`thighs`}`;
  return translate(LIMB_NAMES[first]);
};

/** What the session is for, by which school, on which limbs, from which template: a sentence whose words are the controls. */
export function WishSentence({ composer, practice }: { composer: ComposerState; practice: PracticeView }) {
  const { wish, draftAgain, session, basis, change, takeTemplate } = composer;
  const limbSets = (['leg', 'arm'] as const).flatMap((kind) => {
    const limbs = trainableLimbs(basis, kind);
    return limbs.length > 1 ? [...limbs.map((limb) => [limb]), limbs] : limbs.map((limb) => [limb]);
  });
  const [legs, arms] = (['leg', 'arm'] as const).map((kind) => trainableLimbs(basis, kind));
  if (legs?.length && arms?.length) limbSets.push([...legs, ...arms]);
  const isMeasured = limbSets.some((limbs) => setOf(limbs) === setOf(wish.limbs));
  const draft = (part: Partial<Wish>) => draftAgain({ ...wish, ...part });
  return (
    <p className="text-xl leading-loose">
      <WordMenu
        label={t`Goal`}
        value={wish.goal}
        onChange={(goal) => draft({ goal, ...limbsFor(goal, wish.limbs, basis) })}
        options={goalIdSchema.options.map((value) => ({ value, label: translate(GOALS[value].label) }))}
      />
      {wish.goal === 'rehab' && (
        <>
          {', '}
          <WordMenu
            label={t`Rung`}
            value={wish.rung}
            onChange={(rung) => draft({ rung })}
            options={rungSchema.options.map((value) => ({
              value,
              label: translate(RUNG_NAMES[value]),
            }))}
          />
        </>
      )}
      {wish.goal === 'warm-up' && (
        <>
          {t` before `}
          <WordMenu
            label={t`Lift`}
            value={wish.beforeLift ?? ANY}
            onChange={(id) => draft({ beforeLift: id === ANY ? undefined : id })}
            options={[
              { value: ANY, label: t`any lift` },
              ...liftsBefore(basis.library, limbKind(wish.limbs[0] ?? 'left-thigh')).map((value) => ({
                value,
                label: inSentence(basis.library[value]?.label ?? value),
              })),
            ]}
          />
        </>
      )}
      {t`, by the `}
      <WordMenu
        label={t`School`}
        value={session?.schoolId ?? wish.schoolId}
        onChange={(schoolId) => {
          if (session) change(underSchool(session, schoolId, basis));
          else draft({ schoolId });
        }}
        options={schoolIdSchema.options.map((value) => ({
          value,
          label: inSentence(SCHOOLS[value].label),
        }))}
      />
      {t` school, on the `}
      <WordMenu
        label={t`Limbs`}
        value={setOf(wish.limbs)}
        onChange={(key) => draft({ limbs: limbSets.find((limbs) => setOf(limbs) === key) ?? wish.limbs })}
        options={[
          ...(isMeasured ? [] : [{ value: setOf(wish.limbs), label: t`limb that is not measured` }]),
          ...limbSets.map((limbs) => ({ value: setOf(limbs), label: limbWords(limbs) })),
        ]}
      />
      {wish.limbs.length > 1 && (
        <>
          {', '}
          <WordMenu
            label={t`The two`}
            value={wish.together ? 'together' : 'in-turn'}
            onChange={(value) => draft({ together: value === 'together' })}
            options={[
              { value: 'in-turn', label: t`in turn` },
              { value: 'together', label: t`at once` },
            ]}
          />
        </>
      )}
      {', '}
      <WordMenu
        label={t`Where`}
        value={wish.place ?? ANY}
        onChange={(place) => draft({ place: place === ANY ? undefined : place })}
        options={[
          { value: ANY, label: t`anywhere` },
          ...basis.places.map(({ id, label }) => ({ value: id, label: translate(label) })),
        ]}
      />
      {t`, from `}
      <WordMenu
        label={t`Template`}
        value={wish.isolatedOnly ? FIRST_MONTH : NO_TEMPLATE}
        onChange={(id) => {
          const template = practice.templates.find((candidate) => candidate.id === id);
          if (template) takeTemplate(template.session);
          else draft({ isolatedOnly: id === FIRST_MONTH });
        }}
        options={[
          { value: NO_TEMPLATE, label: t`no template` },
          { value: FIRST_MONTH, label: t`the first month` },
          ...practice.templates.map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
      .
    </p>
  );
}
