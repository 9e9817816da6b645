import type { NewConsent } from '#contract/measurements';
import { CONSENT_VERSION } from '#core/screening';

/** What all people of the demonstration have said, once it was read with them. */
export const AGREED: NewConsent = {
  version: CONSENT_VERSION,
  decision: 'agreed',
  read: 'on-screen',
  guardian: null,
};
