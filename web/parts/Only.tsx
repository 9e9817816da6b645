import type { ReactNode } from 'react';
import { type Deed, whoMay } from '#core/access/deeds';
import { useMay } from '../data/queries';
import { translate } from '../language/translate';
import { Why } from './Why';

/** Shows what somebody may do to whom may do it, and to others who may (rule SCR-4). */
export function Only({ deed, children }: { deed: Deed; children: ReactNode }) {
  if (useMay(deed)) return children;
  return (
    <p className="py-2 text-[15px] text-quiet print:hidden">
      {translate(whoMay(deed))} <Why rule="SCR-4" />
    </p>
  );
}
