import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { memo, useState } from 'react';
import { heartRateWords, outputSchema, outputWords, type Zone, zoneOf } from '#core/aerobic';
import type { Plan } from '#core/plan';
import { toNumber } from '#core/quantity';
import {
  beatsPerMinuteSchema,
  correctedReps,
  EFFORT_SCALES,
  type HeartRateMoment,
  minuteInHand,
  momentWords,
  type SessionState,
  type SetRecord,
} from '#core/session';
import type { Act } from '../../act/act';
import { useEffortIn } from '../../data/use-effort-in';
import { translate } from '../../language/translate';
import { ACTIONS } from '../../state/actions';
import { Button } from '../base/Button';
import { Field, FieldError } from '../fields/Field';
import { NumberInput } from '../fields/NumberInput';
import { Scale } from '../fields/Scale';
import { bySchema } from '../forms/by-schema';
import { reads, useFields } from '../forms/use-fields';
import { useAction } from '../keys/use-action';
import { usePlusMinus } from '../keys/use-plus-minus';
import { useNow } from '../time/use-now';

/** Corrections and notes of the set in hand: repetitions, effort and joint pain, one key each (rule RUN-2). */
export const SetNotes = memo(function SetNotes({
  plan,
  state,
  act,
}: {
  plan: Plan;
  state: SessionState;
  act: Act;
}) {
  const set = state.sets.at(-1);
  const place = set && { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex };
  const ended = set?.endedAtMs != null;
  const correct = (byReps: number) => act({ do: 'correct-reps', byReps });
  const scale = EFFORT_SCALES[useEffortIn()];
  // A key pressed while the set still runs is kept for it.
  const noteEffort = (said: number) => set && act({ do: 'note-set', effort: scale.toEffort(said) });
  const notePain = (jointPain: number) => set && act({ do: 'note-set', jointPain });
  const noteColour = (good: boolean) => ended && act({ do: 'check-colour', good });
  useAction('hard', () => set && !ended && act({ do: 'became-hard' }));
  useAction('watched', () => ended && act({ do: 'confirm-reps' }));
  useAction('good-look', () => noteColour(true));
  usePlusMinus(correct);
  useAction('effort', (figure) => noteEffort(scale.byKey(figure)));
  useAction('pain', notePain);
  if (!set || !place) return null;
  const name = t`set ${set.setIndex + 1}`;
  const planned = set.plannedReps;
  const aerobic = plan.exercises[set.exerciseIndex]?.mode === 'aerobic';
  return (
    <div className="space-y-2">
      <div className="flex items-center gap-2">
        <span className="mr-auto">
          {ended
            ? planned === null
              ? t`Set ${set.setIndex + 1} done`
              : t`Set ${set.setIndex + 1}: ${correctedReps(set)} of ${planned}`
            : t`Set ${set.setIndex + 1} under way`}
        </span>
        {planned !== null && (
          <>
            <Button does="fewer" onClick={() => correct(-1)}>
              −1<span className="sr-only"> {t`repetition in ${name}`}</span>
            </Button>
            <Button does="more" onClick={() => correct(1)}>
              +1<span className="sr-only"> {t`repetition in ${name}`}</span>
            </Button>
          </>
        )}
      </div>
      {ended && (
        <div className="flex items-center gap-2">
          <span className="mr-auto text-[14px]">{t`Colour and feeling, ${name}`}</span>
          <Button does="good-look" aria-pressed={set.colourGood === true} onClick={() => noteColour(true)}>
            {set.colourGood ? t`Good ✓` : t`Good`}
          </Button>
          <Button aria-pressed={set.colourGood === false} onClick={() => noteColour(false)}>
            {t`Not`}
          </Button>
        </div>
      )}
      {!ended && set.plannedReps !== null && (
        <Button does="hard" aria-pressed={set.hardAtRep !== null} onClick={() => act({ do: 'became-hard' })}>
          {set.hardAtRep === null ? t`It is hard now` : t`Hard at ${set.hardAtRep}`}
        </Button>
      )}
      {ended && set.plannedReps !== null && (
        <p className="flex items-center gap-2 text-[14px]">
          <span className="mr-auto">
            {set.countedBy === 'clock' ? t`Counted by the clock` : t`Count confirmed`}
          </span>
          {set.countedBy === 'clock' && (
            <Button does="watched" onClick={() => act({ do: 'confirm-reps' })}>
              {t`I watched: right`}
            </Button>
          )}
        </p>
      )}
      {aerobic && <HeartRate set={set} zone={zoneOf(plan.exercises[set.exerciseIndex])} act={act} />}
      {aerobic && <Machine set={set} act={act} />}
      {ended && (
        <Scale
          label={`${translate(scale.asked)}, ${name}`}
          keys={translate(scale.keys)}
          steps={scale.said}
          value={set.effort === null ? null : scale.toSaid(set.effort)}
          onChange={noteEffort}
        />
      )}
      {ended && (
        <Scale
          label={t`Joint pain, ${name}`}
          keys={ACTIONS.pain.written}
          value={set.jointPain}
          onChange={notePain}
        />
      )}
    </div>
  );
});

/** The key that chooses a minute of the work. */
const minuteLabel = (moment: HeartRateMoment): string =>
  moment === 'end' ? t`For the end` : t`For minute ${moment.slice('minute-'.length)}`;

/** Heart rate of aerobic work, at minutes 5 and 15, at the end, and at any other minute. */
function HeartRate({ set, zone, act }: { set: SetRecord; zone: Zone | null; act: Act }) {
  const last = set.heartRates.at(-1);
  const against = last ? heartRateWords(zone, last.beatsPerMinute) : null;
  const { typed, empty, field, send } = useFields(
    { beats: '' },
    null,
    reads(({ beats }) => bySchema(beatsPerMinuteSchema, toNumber(beats), () => 'beats')),
  );
  const nowMs = useNow(10_000);
  const noted = set.heartRates.map(({ moment }) => moment);
  const minute = minuteInHand((set.endedAtMs ?? nowMs) - set.startedAtMs, noted);
  // A spell that has ended by itself is still asked for minute 5 first.
  const [chosen, setChosen] = useState<HeartRateMoment | null>(null);
  const moment = chosen ?? (set.endedAtMs === null || !noted.includes('minute-5') ? minute : 'end');
  const { error, ...beats } = field('beats');
  return (
    <form
      className="flex flex-wrap items-center gap-2 text-[15px]"
      {...send((beatsPerMinute) => {
        act({ do: 'note-heart-rate', moment, beatsPerMinute });
        empty();
        setChosen(null);
      })}
    >
      <label className="flex items-center gap-2">
        <Trans>
          Heart rate {translate(momentWords(moment))}
          <NumberInput
            kind="whole"
            {...beats}
            className="figures min-h-11 w-20 rounded-sm border border-ink/40 bg-paper px-2 text-xl"
          />
        </Trans>
      </label>
      <Button type="submit" disabled={typed.beats.trim() === ''}>
        {t`Note`}
      </Button>
      {set.endedAtMs !== null && (
        <Button onClick={() => setChosen(moment === 'end' ? minute : 'end')}>
          {moment === 'end' ? minuteLabel(minute) : t`For the end`}
        </Button>
      )}
      {error && <FieldError>{error}</FieldError>}
      {set.heartRates.map(({ moment: when, beatsPerMinute }) => (
        <span key={`${when} ${beatsPerMinute}`} className="figures text-[14px] text-quiet">
          {beatsPerMinute} {translate(momentWords(when))}
        </span>
      ))}
      {against && <span className="notched w-full py-1">{translate(against)}</span>}
    </form>
  );
}

const OUTPUTS = [
  { name: 'watts', label: t`Watts`, unit: 'W' },
  { name: 'kmPerHour', label: t`Speed`, unit: 'km/h' },
  { name: 'gradientPercent', label: t`Gradient`, unit: '%' },
] as const;

/** What the machine shows, as it is read in a spell. */
function Machine({ set, act }: { set: SetRecord; act: Act }) {
  const { typed, empty, field, send } = useFields(
    { watts: '', kmPerHour: '', gradientPercent: '' },
    null,
    reads((figures) => {
      const said = Object.fromEntries(
        Object.entries(figures).flatMap(([name, text]) =>
          text.trim() === '' ? [] : [[name, toNumber(text)]],
        ),
      );
      return bySchema(outputSchema, said, (path) => path as keyof typeof figures);
    }),
  );
  return (
    <form
      className="flex flex-wrap items-end gap-2 text-[15px]"
      {...send((output) => {
        act({ do: 'note-output', output });
        empty();
      })}
    >
      {OUTPUTS.map(({ name, label, unit }) => (
        <Field key={name} className="w-24" label={label} unit={unit} number="decimal" {...field(name)} />
      ))}
      <Button type="submit" disabled={Object.values(typed).every((text) => text.trim() === '')}>
        {t`Note`}
      </Button>
      {set.output && (
        <span className="figures w-full text-[14px] text-quiet">{translate(outputWords(set.output))}</span>
      )}
    </form>
  );
}
