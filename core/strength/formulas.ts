/** Estimates of the one-repetition maximum in kg from `loadKg` lifted `reps` times to failure (rule LOAD-1). */
export const ONE_REP_MAX_FORMULAS = {
  Epley: (loadKg: number, reps: number) => loadKg * (1 + reps / 30),
  Brzycki: (loadKg: number, reps: number) => (36 * loadKg) / (37 - reps),
  Lombardi: (loadKg: number, reps: number) => loadKg * reps ** 0.1,
  'O’Conner': (loadKg: number, reps: number) => loadKg * (1 + 0.025 * reps),
  Mayhew: (loadKg: number, reps: number) => (100 * loadKg) / (52.2 + 41.9 * Math.exp(-0.055 * reps)),
  Wathen: (loadKg: number, reps: number) => (100 * loadKg) / (48.8 + 53.8 * Math.exp(-0.075 * reps)),
  Lander: (loadKg: number, reps: number) => (100 * loadKg) / (101.3 - 2.67123 * reps),
} as const;

export type FormulaName = keyof typeof ONE_REP_MAX_FORMULAS;
export const FORMULA_NAMES = Object.keys(ONE_REP_MAX_FORMULAS) as FormulaName[];
