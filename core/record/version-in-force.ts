import { newest } from '../quantity/newest';
import type { ClientFacts, PrescriptionFact } from './facts';

/** The newest version of a plan, whether or not it counts. */
export const versionInForce = (
  { prescriptions }: Pick<ClientFacts, 'prescriptions'>,
  id: string,
): PrescriptionFact | undefined => newest(prescriptions.filter(({ coursePlanId }) => coursePlanId === id));
