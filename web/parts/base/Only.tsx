import type { ReactNode } from 'react';
import { type Permission, whoMay } from '#core/access';
import { useMay } from '../../data/queries';
import { translate } from '../../language/translate';
import { Why } from './Why';

/** Shows its children to those who may use them, and to others who may (rule SCR-4). */
export function Only({ permission, children }: { permission: Permission; children: ReactNode }) {
  if (useMay(permission)) return children;
  return (
    <p className="py-2 text-[15px] text-quiet print:hidden">
      {translate(whoMay(permission))} <Why rule="SCR-4" />
    </p>
  );
}
