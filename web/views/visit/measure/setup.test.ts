import { expect, it } from 'vitest';
import { METHODS, pulseMethodSchema } from '#core/occlusion-pressure';
import { LIMBS, limbKind } from '#core/quantity';
import { FIRST_SETUP, setupFor } from './setup';

it('gives every limb a site that its method has, where it has any', () => {
  for (const method of pulseMethodSchema.options) {
    for (const limb of LIMBS) {
      const sites = METHODS[method].sites[limbKind(limb)];
      const { site } = setupFor({ ...FIRST_SETUP, method }, limb);
      if (sites.length > 0) expect(sites).toContain(site);
    }
  }
});
