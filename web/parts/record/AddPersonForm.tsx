import { t } from '@lingui/core/macro';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { type NewClient, newClientSchema } from '#contract/client';
import { api, failureWords, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { Button } from '../base/Button';
import { Field, FieldError } from '../fields/Field';
import { schemaResolver } from '../forms/schema-resolver';

/** A name, and why they come; their questions are next. */
export function AddPersonForm() {
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
    <form onSubmit={submit} className="max-w-xl space-y-5" noValidate>
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
