import { t } from '@lingui/core/macro';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { FirstLook, FirstStart as FirstStartBody } from '#contract/sign-in';
import { ROLE_NAMES, ROLES } from '#core/access';
import { STARTING_KIT } from '#core/kit';
import { SCHOOLS, type SchoolId } from '#core/protocol';
import { api, failureWords, fieldProblem, read } from '../../../data/api';
import { useSignIn } from '../../../data/sign-in';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { LanguageMenu } from '../../../parts/base/LanguageMenu';
import { Choice } from '../../../parts/fields/Choice';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { Ticks } from '../../../parts/fields/Ticks';

/** The first start: the words of the terminal, then the practice, who owns it, and what is at hand. */
export function FirstStart() {
  const [word, setWord] = useState('');
  const look = useMutation({
    mutationFn: () => read<FirstLook>(api['sign-in'].first.look.$post({ json: { word } })),
  });
  return (
    <main className="mx-auto w-full max-w-2xl min-h-0 flex-1 space-y-5 overflow-y-auto p-6">
      <h1 className="text-3xl font-semibold">{t`Begin with Nervato`}</h1>
      <p className="text-[15px]">
        {t`Language`} <LanguageMenu />
      </p>
      {look.data ? (
        <Practice word={word} found={look.data} />
      ) : (
        <form
          className="max-w-md space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            look.mutate();
          }}
        >
          <p>
            {t`There is no account here yet. Where Nervato was started, the terminal shows four words: the person who can read them owns this practice.`}
          </p>
          <Field
            label={t`The four words`}
            autoFocus
            autoComplete="off"
            autoCapitalize="none"
            value={word}
            onChange={(event) => setWord(event.target.value)}
            error={look.error ? failureWords(look.error) : undefined}
          />
          <Button type="submit" kind="main" does="accept" disabled={word === '' || look.isPending}>
            {t`Go on`}
          </Button>
        </form>
      )}
    </main>
  );
}

const SCHOOL_OPTIONS = (Object.keys(SCHOOLS) as SchoolId[]).map((value) => ({
  value,
  label: translate(SCHOOLS[value].label),
}));

type Typed = { practiceName: string; personName: string; name: string; passphrase: string };

function Practice({ word, found }: { word: string; found: FirstLook }) {
  const start = useSignIn();
  const { register, handleSubmit } = useForm<Typed>({
    defaultValues: { practiceName: found.practiceName ?? '', personName: '', name: '', passphrase: '' },
  });
  const [who, setWho] = useState(found.practitioners[0]?.id ?? NEW);
  const [role, setRole] = useState<(typeof ROLES)[number]>('clinician');
  const [massUnit, setMassUnit] = useState<FirstStartBody['massUnit']>('kg');
  const [lengthUnit, setLengthUnit] = useState<FirstStartBody['lengthUnit']>('cm');
  const [schoolId, setSchoolId] = useState<SchoolId>(SCHOOL_OPTIONS[0]?.value ?? 'clinic');
  const [kitIds, setKitIds] = useState<string[]>([]);
  const isNew = found.practiceName === null;
  const submit = handleSubmit(({ practiceName, personName, name, passphrase }) =>
    start.mutate({
      word,
      practiceName,
      massUnit,
      lengthUnit,
      schoolId,
      practitioner: who === NEW ? { name: personName, role } : { id: who },
      name,
      passphrase,
      kitIds,
      kitNames: Object.fromEntries(STARTING_KIT.map(({ item, label }) => [item.id, translate(label)])),
    }),
  );
  const problem = (path: string) => fieldProblem(start.error, path);
  return (
    <form onSubmit={submit} className="space-y-6" noValidate>
      {isNew ? (
        <>
          <Field
            label={t`Name of the practice`}
            autoFocus
            {...register('practiceName')}
            error={problem('practiceName')}
          />
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
          <Choice label={t`School`} value={schoolId} onChange={setSchoolId} options={SCHOOL_OPTIONS} />
          <Ticks
            label={t`What is at hand; all of it can be changed under Kit and practice`}
            options={STARTING_KIT.map(({ item, label }) => ({ value: item.id, label: translate(label) }))}
            chosen={kitIds}
            onChange={setKitIds}
          />
        </>
      ) : (
        <p>{t`${found.practiceName ?? ''} is on record here. Everything in it stays as it is.`}</p>
      )}
      <section aria-label={t`You`} className="space-y-4 border-t border-rule pt-4">
        {found.practitioners.length > 0 && (
          <Picker
            label={t`You are`}
            value={who}
            onChange={setWho}
            options={[
              ...found.practitioners.map(({ id, name, role: of }) => ({
                value: id,
                label: `${name}, ${of}`,
              })),
              { value: NEW, label: t`another person` },
            ]}
          />
        )}
        {who === NEW && (
          <>
            <Field
              label={t`Your name`}
              autoComplete="name"
              {...register('personName')}
              error={problem('practitioner') ?? problem('practitioner.name')}
            />
            <Choice
              label={t`You are a`}
              value={role}
              onChange={setRole}
              options={ROLES.map((value) => ({ value, label: translate(ROLE_NAMES[value]) }))}
            />
          </>
        )}
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
        <p className="text-[15px] text-quiet">
          {t`The practice is yours: you open the accounts of the others. Clinicians sign, clear and pass guards; coaches sign what is within the rules; assistants measure, run and record.`}
        </p>
      </section>
      {start.error && <FieldError>{failureWords(start.error)}</FieldError>}
      <Button type="submit" kind="main" does="accept" disabled={start.isPending}>
        {t`Begin`}
      </Button>
    </form>
  );
}

const NEW = 'new';
