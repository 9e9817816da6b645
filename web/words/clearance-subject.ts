import { t } from '@lingui/core/macro';
import { type ClearanceSubject, SCREEN_ITEMS } from '#core/screening';
import { translate } from '../language/translate';

const OTHER_SUBJECTS = {
  'blood-pressure': t`Resting blood pressure`,
  'pressor-response': t`How the blood pressure rises in work`,
};

/** What a clearance is about: an item of the questionnaire, or a blood pressure. */
export const clearanceSubject = (subject: ClearanceSubject): string =>
  subject === 'blood-pressure' || subject === 'pressor-response'
    ? OTHER_SUBJECTS[subject]
    : translate(SCREEN_ITEMS[subject].label);
