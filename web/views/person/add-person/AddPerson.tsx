import { t } from '@lingui/core/macro';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { type NewClient, newClientSchema } from '#contract/client';
import { api, failureWords, read } from '../../../data/api';
import { useRecordWrite } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { Field, FieldError } from '../../../parts/fields/Field';
import { schemaResolver } from '../../../parts/forms/schema-resolver';

export function AddPerson() {
  const navigate = useNavigate();
  const add = useRecordWrite((body: NewClient) => read(api.clients.$post({ json: body })));
  const { register, handleSubmit, formState } = useForm<NewClient>({
    resolver: schemaResolver(newClientSchema) as never,
    defaultValues: { name: '', story: '' },
  });
  const submit = handleSubmit(async (body) => {
    const record = await add.mutateAsync(body).catch(() => null);
    if (record) navigate(`/people/${record.id}/screen`);
  });
  return (
    <form onSubmit={submit} className="max-w-xl space-y-5 p-6" noValidate>
      <h1 className="text-3xl font-semibold">{t`Add a person`}</h1>
      <Field
        label={t`Name`}
        autoFocus
        autoComplete="off"
        {...register('name')}
        error={formState.errors.name?.message}
      />
      <Field
        label={t`Why they come`}
        placeholder={t`Ferry deckhand, eight weeks after a tendon repair`}
        autoComplete="off"
        {...register('story')}
        error={formState.errors.story?.message}
      />
      {add.error && <FieldError>{failureWords(add.error)}</FieldError>}
      <Button type="submit" kind="main" does="accept" disabled={add.isPending}>
        {t`Add and screen`}
      </Button>
    </form>
  );
}
