import { LINK_IDS, type LinkId } from '#core/record';
import { storedValue } from './stored-value';

/** The steps that are still explained on this device, by their ids with a space between: all from a practice's first start on. */
const left = storedValue('nervato-first-steps', '');

/** Each step is explained once: until it is done for the first time. */
export const firstSteps = {
  /** Whether a step is still explained. */
  useIsDue: (step: LinkId): boolean => left.use().split(' ').includes(step),
  explainAll: () => left.set(LINK_IDS.join(' ')),
  done: (steps: readonly LinkId[]) => {
    const now = left.get().split(' ');
    const next = now.filter((step) => !steps.some((one) => one === step));
    if (next.length < now.length) left.set(next.join(' '));
  },
  explainNone: () => left.set(''),
};
