import type { NewConsent } from '#contract/measurements';
import { CONSENT_VERSION } from '#core/screening/consent';

/** What everybody of the demonstration has said, once it was read with them. */
export const AGREED: NewConsent = {
  version: CONSENT_VERSION,
  decision: 'agreed',
  read: 'on-screen',
  guardian: null,
};
