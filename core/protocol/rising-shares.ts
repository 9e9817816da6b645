import { RULES } from '../rules/catalogue';

const { startShare } = RULES['PRS-9'].figures;

/**
 * Shares of the target for so many cycles, in %, rising evenly until the last is at it (rule PRS-9).
 * @example risingShares(5) //=> [60, 70, 80, 90, 100]
 */
export const risingShares = (cycles: number): number[] => {
  const first = startShare * 100;
  return Array.from({ length: cycles }, (_, place) =>
    cycles === 1 ? 100 : Math.round(first + ((100 - first) * place) / (cycles - 1)),
  );
};
