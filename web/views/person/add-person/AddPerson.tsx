import { t } from '@lingui/core/macro';
import { AddPersonForm } from '../../../parts/record/AddPersonForm';

export function AddPerson() {
  return (
    <div className="max-w-xl space-y-5 p-6">
      <h1 className="text-3xl font-semibold">{t`Add a person`}</h1>
      <AddPersonForm />
    </div>
  );
}
