import { type Cuff, checkCuff, checkGirth } from '#core/cuff';
import type { Finding } from '#core/findings';
import type { Strap } from '#core/kit';
import { msg } from '#core/message';
import { type Limb, limbKind } from '#core/quantity';
import type { Prepare } from '../../db/dialect/connection';
import { fitRecord } from '../fit';
import { keepRow } from '../write';

/** A girth of a limb, and what is worn there. */
type Fit = { limb: Limb; girthCm: number; worn: Cuff | Strap };

const isCuff = (worn: Cuff | Strap): worn is Cuff => 'canOcclude' in worn;

/** What the rules find about a fit: a girth no limb has, a cuff that does not go with it, a strap of the other kind of limb (rule FIT-1). */
export function checkFit({ limb, girthCm, worn }: Fit, cuffs: readonly Cuff[]): Finding[] {
  const wrongGirth = checkGirth(limb, girthCm);
  if (wrongGirth.length > 0) return wrongGirth;
  if (isCuff(worn)) return checkCuff(limb, girthCm, worn, cuffs);
  if (worn.limbKind === limbKind(limb)) return [];
  return [
    {
      rule: 'FIT-1',
      level: 'hard',
      subject: 'strapId',
      message: msg('{worn} is made for the other kind of limb.', { worn: worn.label }),
      remedy: msg('Choose another strap.'),
    },
  ];
}

/** Keeps a fit, under the name and width that what is worn has now. @returns the row, but for whose it is and when */
export function keepFit(
  prepare: Prepare,
  { id, clientId, atMs, ...fit }: Fit & { id: string; clientId: string; atMs: number },
): void {
  keepRow(prepare, fitRecord, { id, clientId, atMs, ...rowOfFit(fit) });
}

/** What is kept of a fit. */
export const rowOfFit = ({ limb, girthCm, worn }: Fit) => ({
  limb,
  girthCm,
  kind: isCuff(worn) ? ('cuff' as const) : ('strap' as const),
  kitId: worn.id,
  label: worn.label,
  widthCm: worn.widthCm,
});
