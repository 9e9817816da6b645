import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from 'react-router';
import type { PracticeView } from '#contract/practice';
import {
  LIMB_WEIGHT,
  type LoadStep,
  makeableLoads,
  resistanceText,
  type TargetLoad,
  unweighedSteps,
} from '#core/load';
import { mass, msg } from '#core/message';
import { bestKit, type ExerciseChoice, measuredLimbs as measuredTargets } from '#core/plan';
import { proposedPercent } from '#core/pressure';
import { INTENSITIES, isWeighed, PROTOCOLS, protocolIdSchema, SCHOOLS, tempoIdSchema } from '#core/protocol';
import { LIMB_NAMES, limbKind, POSITION_NAMES, POSITIONS, SIDE_NAMES } from '#core/quantity';
import { capOn } from '#core/screening';
import { testInForce } from '#core/strength';
import { translate } from '../../../../language/translate';
import { FindingsFor } from '../../../../parts/base/FindingLine';
import { WordMenu } from '../../../../parts/base/WordMenu';
import { Choice } from '../../../../parts/fields/Choice';
import { NumberField } from '../../../../parts/fields/NumberField';
import { Picker } from '../../../../parts/fields/Picker';
import { tempoWords } from '../../../../words/format';
import { trainableLimbs, withLimbs, withProtocol } from '../state/choices';
import type { ComposerState } from '../state/use-composer';
import { ArbitraryField } from './ArbitraryField';
import { CyclesComposer } from './CyclesComposer';
import { IntensityEstimate } from './IntensityEstimate';
import { IntensityField } from './IntensityField';
import { PressureField } from './PressureField';
import { PrimingEditor } from './PrimingEditor';
import { RangeIfs } from './RangeIfs';
import { SetsTable } from './SetsTable';

/** Which findings are next to which field, by their subjects; any other is at the top, so that none is counted unread. */
const FIELD = {
  limb: ['limb', 'limbs', 'exerciseId', 'order'],
  position: ['position'],
  figures: ['percentLop', 'pressureMmHg', 'percentOneRepMax'],
  intensity: ['intensity'],
  load: ['strengthTestId', 'weightKitId'],
  protocol: ['protocolId'],
  tempo: ['tempoId'],
  sets: ['restMs', 'sets', 'release'],
  priming: ['priming'],
} as const;
const BESIDE_A_FIELD: readonly string[] = Object.values(FIELD).flat();

/** Everything about one exercise: figures with their working above, choices beneath, findings at their cause. */
export function ExerciseEditor({
  composer,
  choice,
  place,
  clientId,
  practice,
}: {
  composer: ComposerState;
  choice: ExerciseChoice;
  place: number;
  clientId: string;
  practice: PracticeView;
}) {
  const { basis, changeExercise, composed, fixOf, session } = composer;
  const findings = composer.findings.filter(({ exerciseIndex }) => exerciseIndex === place);
  const set = (part: Partial<ExerciseChoice>) => changeExercise(place, { ...choice, ...part });
  const exercise = basis.library[choice.exerciseId];
  const planned = composed?.plan.exercises[place];
  const load = composed?.loads[place];
  const [first] = choice.limbs;
  if (!exercise || !first || !session) return null;
  const protocol = PROTOCOLS[choice.protocolId];
  const kind = limbKind(first.limb);
  const limbs = trainableLimbs(basis, kind);
  const proposed = proposedPercent(
    first.limb,
    session.schoolId,
    basis.done,
    basis.today,
    capOn(
      basis.limits,
      choice.limbs.map(({ limb }) => limb),
    ),
  );
  const show = (...subjects: string[]) => (
    <FindingsFor subjects={subjects} findings={findings} fixOf={fixOf} />
  );
  return (
    <section aria-label={translate(exercise.label)} className="min-w-0 space-y-3">
      <div>
        <h3 className="text-xl font-semibold">{translate(exercise.label)}</h3>
        <p className="text-[15px] text-quiet">{translate(exercise.cue)}</p>
      </div>
      {show(...findings.map(({ subject }) => subject).filter((subject) => !BESIDE_A_FIELD.includes(subject)))}
      <div className="grid gap-x-8 gap-y-4 md:max-xl:grid-cols-2">
        <div className="space-y-3">
          <p className="text-[17px]">
            {t`On the `}
            <WordMenu
              label={t`Limb under the cuff`}
              value={choice.limbs.map(({ limb }) => limb).join(' ')}
              onChange={(key) =>
                changeExercise(
                  place,
                  withLimbs(
                    choice,
                    limbs.filter((limb) => key.split(' ').includes(limb)),
                    basis,
                  ),
                )
              }
              options={[
                ...limbs.map((limb) => ({
                  value: limb as string,
                  label: translate(LIMB_NAMES[limb]),
                })),
                ...(limbs.length > 1
                  ? [
                      {
                        value: limbs.join(' '),
                        label: t`two ${kind === 'arm' ? t`arms` : t`thighs`} at once`,
                      },
                    ]
                  : []),
              ]}
            />
            {t`, exercised `}
            <WordMenu
              label={t`Exercised`}
              value={choice.position}
              onChange={(position) =>
                changeExercise(
                  place,
                  withLimbs(
                    { ...choice, position },
                    choice.limbs.map(({ limb }) => limb),
                    basis,
                  ),
                )
              }
              options={POSITIONS.map((value) => ({ value, label: translate(POSITION_NAMES[value]) }))}
            />
            .
          </p>
          {show(...FIELD.limb)}
          {show(...FIELD.position)}
          <div className="grid grid-cols-2 gap-4">
            {first.kind === 'measured' && (
              <PressureField
                choice={choice}
                percentLop={first.percentLop}
                targetMmHg={planned && measuredTargets(planned)[0]?.pressure.value}
                basis={basis}
                set={set}
                hint={
                  protocol.percentLop
                    ? t`${translate(protocol.label)} takes ${protocol.percentLop.usual} %`
                    : t`${translate(SCHOOLS[session.schoolId].label)} proposes ${proposed.value} %`
                }
              />
            )}
            {first.kind === 'arbitrary' && <ArbitraryField choice={choice} basis={basis} set={set} />}
            {choice.load.kind === 'weighed' && (
              <NumberField
                label={t`Load`}
                unit="% 1RM"
                value={choice.load.percentOneRepMax}
                onValue={(percentOneRepMax) =>
                  choice.load.kind === 'weighed' && set({ load: { ...choice.load, percentOneRepMax } })
                }
                hint={(load && neighbours(load)) || t`Start 20–30 %, usual up to 40 %`}
              />
            )}
          </div>
          {show(...FIELD.figures)}
          {exercise.kind === 'aerobic' ? (
            <>
              <IntensityField intensity={choice.intensity ?? INTENSITIES.talking.first} set={set} />
              <IntensityEstimate
                clientId={clientId}
                exercise={exercise}
                intensity={choice.intensity ?? INTENSITIES.talking.first}
                estimate={planned?.estimate}
                basis={basis}
              />
            </>
          ) : (
            exercise.kind !== 'passive' && (
              <LoadPickers composer={composer} choice={choice} set={set} clientId={clientId} />
            )
          )}
          {show(...FIELD.intensity)}
          {show(...FIELD.load)}
        </div>
        <div className="space-y-3">
          <Picker
            label={t`Protocol`}
            value={choice.protocolId}
            onChange={(protocolId) => changeExercise(place, withProtocol(choice, protocolId, session, basis))}
            options={protocolIdSchema.options.map((value) => ({
              value,
              label: `${translate(PROTOCOLS[value].label)}, ${PROTOCOLS[value].inflation === 'continuous' ? t`stays inflated` : t`released each rest`}`,
            }))}
          />
          {show(...FIELD.protocol)}
          {protocol.tempos.length > 0 && (
            <Choice
              label={t`Tempo, seconds up–hold–down`}
              value={choice.tempoId}
              onChange={(tempoId) => set({ tempoId })}
              options={tempoIdSchema.options.map((value) => ({ value, label: tempoWords(value) }))}
            />
          )}
          {show(...FIELD.tempo)}
          {protocol.mode === 'preparation' ? (
            <CyclesComposer choice={choice} planned={planned} change={(to) => changeExercise(place, to)} />
          ) : (
            <SetsTable choice={choice} change={(to) => changeExercise(place, to)} />
          )}
          {show(...FIELD.sets)}
          {protocol.mode !== 'preparation' && <PrimingEditor choice={choice} planned={planned} set={set} />}
          {show(...FIELD.priming)}
        </div>
      </div>
      {planned && first.kind === 'measured' && (
        <RangeIfs limbs={measuredTargets(planned)} facts={basis.occlusions} practice={practice} />
      )}
    </section>
  );
}

/** The loads next to this one: "down 7.5 kg (20 %), up 12.5 kg (33 %)". */
const neighbours = ({ lighter, heavier }: TargetLoad): string =>
  [lighter && t`down ${stepText(lighter)}`, heavier && t`up ${stepText(heavier)}`].filter(Boolean).join(', ');

const stepText = ({ loadKg, percent, recipe }: LoadStep): string =>
  translate(
    loadKg === null ? recipe : msg('{load} ({percent} %)', { load: mass(loadKg), percent: percent ?? 0 }),
  );

/** What resists: a test with a kit, or a band, body weight, or the limb alone. */
function LoadPickers({
  composer: { basis },
  choice,
  set,
  clientId,
}: {
  composer: ComposerState;
  choice: ExerciseChoice;
  set: (part: Partial<ExerciseChoice>) => void;
  clientId: string;
}) {
  const exercise = basis.library[choice.exerciseId];
  const tests = basis.strengthTests.filter(({ exerciseId }) => exerciseId === choice.exerciseId);
  const kits = basis.weightKits.filter((kit) => makeableLoads(kit).length > 0);
  const bands = basis.weightKits.flatMap((kit) => (kit.kind === 'bands' ? kit.names : []));
  const { load } = choice;
  const unweighed = [...new Set([...unweighedSteps('', basis.weightKits), ...bands])];
  if (!exercise) return null;
  const weigh = () => {
    const test = testInForce(
      basis,
      choice.exerciseId,
      choice.limbs.map(({ limb }) => limb),
    );
    const kit = test && bestKit(exercise.equipment, test.oneRepMax.value, 25, basis.weightKits);
    if (test && kit) {
      set({
        load: { kind: 'weighed', strengthTestId: test.fact.id, weightKitId: kit.id, percentOneRepMax: 25 },
      });
    }
  };
  return (
    <>
      {isWeighed(exercise) && tests.length === 0 && (
        <p className="notched py-1 text-[15px]">
          <Trans>
            No strength test of this exercise: it goes without kilograms until there is one.{' '}
            <Link to={`/people/${clientId}/load`} className="font-semibold underline underline-offset-4">
              Test it
            </Link>
          </Trans>
        </p>
      )}
      {load.kind === 'weighed' && (
        <>
          <Picker
            label={t`1RM it goes by`}
            value={load.strengthTestId}
            onChange={(strengthTestId) => set({ load: { ...load, strengthTestId } })}
            options={tests.map((fact) => ({
              value: fact.id,
              label: translate(
                msg('{exercise}, {side}: {oneRepMax}', {
                  exercise: exercise.label,
                  side: SIDE_NAMES[fact.side],
                  oneRepMax: mass(fact.oneRepMax.value),
                }),
              ),
            }))}
          />
          <Picker
            label={t`Weights`}
            value={load.weightKitId}
            onChange={(weightKitId) =>
              set({
                load:
                  weightKitId === '' ? { kind: 'unweighed', with: LIMB_WEIGHT } : { ...load, weightKitId },
              })
            }
            options={[
              ...kits.map(({ id, label }) => ({ value: id, label })),
              { value: '', label: t`without kilograms` },
            ]}
          />
        </>
      )}
      {load.kind === 'unweighed' && (
        <Picker
          label={t`Resistance`}
          value={load.with}
          onChange={(resistance) =>
            resistance === '' ? weigh() : set({ load: { kind: 'unweighed', with: resistance } })
          }
          options={[
            ...(unweighed.includes(load.with)
              ? []
              : [{ value: load.with, label: translate(resistanceText(load.with)) }]),
            ...unweighed.map((value) => ({ value, label: translate(resistanceText(value)) })),
            ...(tests.length > 0 ? [{ value: '', label: t`weights, by the 1RM` }] : []),
          ]}
        />
      )}
    </>
  );
}
