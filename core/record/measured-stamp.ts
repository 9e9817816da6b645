import type { ClientFacts } from './facts';

/** Changes whenever something is measured or tested: what was drafted before it is drafted again. */
export const measuredStamp = ({
  occlusions,
  strengthTests,
}: Pick<ClientFacts, 'occlusions' | 'strengthTests'>): number =>
  Math.max(0, ...[...occlusions, ...strengthTests].map(({ atMs }) => atMs));
