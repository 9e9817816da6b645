import type { Steps } from '#core/measuring';
import { METHODS, type PulseMethod, type PulseSite, type ReadingSchool } from '#core/occlusion-pressure';
import { type Limb, limbKind } from '#core/quantity';

/** Where the reading comes from: typed from a gauge, or a simulated pump of the server. */
export type ReadingFrom = 'typed' | 'by-hand' | 'regulated';

/** How the next trials are taken; it stays while limbs and positions change. */
export type Setup = {
  method: PulseMethod;
  site: PulseSite;
  pumpId: string;
  readingSchool: ReadingSchool;
  steps: Steps;
  from: ReadingFrom;
};

export const FIRST_SETUP: Setup = {
  method: 'doppler',
  site: 'posterior-tibial',
  pumpId: '',
  readingSchool: 'bracket',
  steps: { upMmHg: 10, downMmHg: 4 },
  from: 'typed',
};

/** The set-up as it applies to a limb: a site that the limb does not have gives way to its first. */
export function setupFor(setup: Setup, limb: Limb): Setup {
  const sites = METHODS[setup.method].sites[limbKind(limb)];
  return { ...setup, site: sites.includes(setup.site) ? setup.site : (sites[0] ?? setup.site) };
}
