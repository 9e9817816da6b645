import { t } from '@lingui/core/macro';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { FirstLook, FirstStart as FirstStartBody } from '#contract/sign-in';
import { ROLE_NAMES, ROLES } from '#core/access';
import { STARTING_KIT } from '#core/kit';
import { PROTOCOLS, SCHOOLS, type SchoolId, schoolIdSchema } from '#core/protocol';
import { api, failureWords, fieldProblem, read } from '../../../data/api';
import { useSignIn } from '../../../data/sign-in';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { LanguageMenu } from '../../../parts/base/LanguageMenu';
import { Choice } from '../../../parts/fields/Choice';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { Ticks } from '../../../parts/fields/Ticks';

/** The first start, on one screen: the words of the terminal, the practice, who owns it; what is usual is chosen already. */
export function FirstStart() {
  const start = useSignIn();
  const look = useMutation({
    mutationFn: (word: string) => read<FirstLook>(api['sign-in'].first.look.$post({ json: { word } })),
  });
  const { register, handleSubmit, watch, getValues, formState, setValue } = useForm<Typed>({
    defaultValues: { word: '', practiceName: '', personName: '', name: '', passphrase: '' },
  });
  const [who, setWho] = useState<string | null>(null);
  const [role, setRole] = useState<(typeof ROLES)[number]>('clinician');
  const [massUnit, setMassUnit] = useState<FirstStartBody['massUnit']>('kg');
  const [lengthUnit, setLengthUnit] = useState<FirstStartBody['lengthUnit']>('cm');
  const [schoolId, setSchoolId] = useState<SchoolId>('research-consensus');
  const [kitIds, setKitIds] = useState<string[]>(STARTING_KIT.map(({ item }) => item.id));
  const found = look.data;
  // A practice of an earlier release is there already, and keeps what it has.
  const known = found?.practiceName ?? null;
  const chosen = who ?? found?.practitioners[0]?.id ?? NEW;
  const submit = handleSubmit(({ word, practiceName, personName, name, passphrase }) =>
    start.mutate({
      word,
      practiceName: known ?? practiceName,
      massUnit,
      lengthUnit,
      schoolId,
      practitioner: chosen === NEW ? { name: personName, role } : { id: chosen },
      name,
      passphrase,
      kitIds,
      kitNames: Object.fromEntries(STARTING_KIT.map(({ item, label }) => [item.id, translate(label)])),
    }),
  );
  const problem = (path: string) => fieldProblem(start.error, path);
  const lookNow = () => {
    const word = getValues('word').trim();
    if (word !== '') look.mutate(word);
  };
  const word = register('word', { onBlur: lookNow });
  const personName = register('personName', {
    // The name to sign in by follows it, until another is typed.
    onChange: ({ target }) => {
      if (!formState.dirtyFields.name) setValue('name', signInNameOf(target.value));
    },
  });
  return (
    <main className="mx-auto w-full max-w-6xl min-h-0 flex-1 overflow-y-auto p-6">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-3xl font-semibold">{t`Begin with Nervato`}</h1>
        <p className="text-[15px]">
          {t`Language`} <LanguageMenu />
        </p>
      </div>
      <form onSubmit={submit} className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[26rem_1fr]" noValidate>
        <div className="space-y-4">
          <Field
            label={t`The four words`}
            autoFocus
            autoComplete="off"
            autoCapitalize="none"
            hint={t`Where Nervato was started the terminal shows four words: the person who can read them owns this practice.`}
            {...word}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return;
              event.preventDefault();
              lookNow();
            }}
            error={look.error ? failureWords(look.error) : problem('word')}
          />
          {known === null ? (
            <Field
              label={t`Name of the practice`}
              {...register('practiceName')}
              error={problem('practiceName')}
            />
          ) : (
            <p>{t`${known} is on record here. Everything in it stays as it is.`}</p>
          )}
          {found && found.practitioners.length > 0 && (
            <Picker
              label={t`You are`}
              value={chosen}
              onChange={setWho}
              options={[
                ...found.practitioners.map(({ id, name, role: of }) => ({
                  value: id,
                  label: `${name}, ${translate(ROLE_NAMES[of])}`,
                })),
                { value: NEW, label: t`another person` },
              ]}
            />
          )}
          {chosen === NEW && (
            <Field
              label={t`Your name`}
              autoComplete="name"
              {...personName}
              error={problem('practitioner') ?? problem('practitioner.name')}
            />
          )}
          <div className="grid gap-4 sm:grid-cols-[10rem_1fr]">
            <Field
              label={t`Name to sign in by`}
              autoComplete="username"
              autoCapitalize="none"
              {...register('name')}
              error={problem('name')}
            />
            <Field
              label={t`Passphrase`}
              type="password"
              autoComplete="new-password"
              hint={t`At least 12 characters: four or five words are easy to keep in mind.`}
              {...register('passphrase')}
              error={problem('passphrase')}
            />
          </div>
          {start.error && <FieldError>{failureWords(start.error)}</FieldError>}
          <Button type="submit" kind="main" does="accept" disabled={start.isPending || watch('word') === ''}>
            {t`Begin`}
          </Button>
        </div>
        <section aria-label={t`What is usual`} className="space-y-4">
          {chosen === NEW && (
            <Choice
              label={t`You are a`}
              value={role}
              onChange={setRole}
              options={ROLES.map((value) => ({ value, label: translate(ROLE_NAMES[value]) }))}
            />
          )}
          {known === null && (
            <>
              <Schools value={schoolId} onChange={setSchoolId} />
              <div className="flex flex-wrap gap-8">
                <Choice
                  label={t`Weights in`}
                  value={massUnit}
                  onChange={setMassUnit}
                  options={[
                    { value: 'kg', label: 'kg' },
                    { value: 'lb', label: 'lb' },
                  ]}
                />
                <Choice
                  label={t`Lengths in`}
                  value={lengthUnit}
                  onChange={setLengthUnit}
                  options={[
                    { value: 'cm', label: 'cm' },
                    { value: 'in', label: 'in' },
                  ]}
                />
              </div>
              <Ticks
                label={t`What is at hand; all of it can be changed under Kit and practice`}
                options={STARTING_KIT.map(({ item, label }) => ({ value: item.id, label: translate(label) }))}
                chosen={kitIds}
                onChange={setKitIds}
              />
            </>
          )}
          <p className="text-[15px] text-quiet">
            {t`The practice is yours: you open the accounts of the others. Clinicians sign, clear and pass guards; coaches sign what is within the rules; assistants measure, run and record.`}
          </p>
        </section>
      </form>
    </main>
  );
}

type Typed = { word: string; practiceName: string; personName: string; name: string; passphrase: string };

/** Another person than those who are on record. */
const NEW = 'new';

/** @example signInNameOf('Petra Stand-in') //=> 'petra' */
const signInNameOf = (personName: string): string => personName.trim().split(/\s+/)[0]?.toLowerCase() ?? '';

/** The schools, each with what it comes to on a leg in one line. */
function Schools({ value, onChange }: { value: SchoolId; onChange: (value: SchoolId) => void }) {
  return (
    <fieldset>
      <legend className="text-[15px] font-semibold">{t`School`}</legend>
      {schoolIdSchema.options.map((id) => {
        const { label, percentLop, usualProtocol, lastSet } = SCHOOLS[id];
        const { start, usual, top } = percentLop.leg;
        return (
          <label key={id} className="flex min-h-9 items-center gap-2 px-1 has-checked:bg-tint">
            <input
              type="radio"
              name="school"
              className="accent-plum"
              checked={value === id}
              onChange={() => onChange(id)}
            />
            <span>
              <span className="font-semibold">{translate(label)}</span>{' '}
              <span className="text-[14px] text-quiet">
                {t`thigh ${start} to ${usual} %, at most ${top}; ${translate(PROTOCOLS[usualProtocol].label)}; last set: ${translate(lastSet)}`}
              </span>
            </span>
          </label>
        );
      })}
    </fieldset>
  );
}
