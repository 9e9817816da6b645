import { t } from '@lingui/core/macro';
import { useNavigate } from 'react-router';
import { failureWords } from '../../../data/api';
import { useMakeUpPerson } from '../../../data/made-up';
import { usePractice } from '../../../data/queries';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';
import { AddPersonForm } from '../../../parts/record/AddPersonForm';

/** In place of an empty list: the first person, or one made up to play with. */
export function FirstPerson() {
  const navigate = useNavigate();
  const { data: practice } = usePractice();
  const makeUp = useMakeUpPerson(practice, (id) => navigate(`/people/${id}/measure`));
  return (
    <section aria-label={t`Your first person`} className="mt-6 max-w-xl space-y-4">
      <h2 className="text-xl font-semibold">{t`Your first person`}</h2>
      <AddPersonForm />
      <p className="border-t border-rule pt-4 text-[15px]">
        {t`Or look round first: a person who is made up is screened and has a girth, so that what comes next is to measure. One key removes them again.`}
      </p>
      <Button disabled={makeUp.isPending} onClick={() => makeUp.mutate()}>
        {t`Make one up`}
      </Button>
      {makeUp.error && <FieldError>{failureWords(makeUp.error)}</FieldError>}
    </section>
  );
}
