import { z } from 'zod';
import { MS_PER_DAY } from '../quantity/units';
import { LIMITS } from '../rules/limits';

export const screeningOutcomeSchema = z.enum(['clear-to-start', 'do-not-start']);
export type ScreeningOutcome = z.infer<typeof screeningOutcomeSchema>;

export type Screening = { atMs: number; outcome: ScreeningOutcome; note: string };

/** The items of SCR-1 that stop a start until a physician has cleared it, as asked at the plinth. */
export const STOP_ITEMS = [
  'Deep-vein thrombosis or pulmonary embolism, past or suspected',
  'Clotting disorder, including sickle cell trait',
  'Stroke in the past',
  'Pregnancy',
  'Unstable or significant heart disease',
  'Active infection',
  'Open fracture, unhealed wound or skin graft under the cuff',
  'Peripheral vascular disease or other poor circulation',
  'Acute compartment syndrome',
  'Dialysis access in the limb',
  'Tumour in the limb',
  'Resting blood pressure of 180 or more, or 110 or more',
] as const;

/** Whether a screening is older than the 12 weeks it holds for (rule SCR-1). */
export const screeningIsDue = (screening: Screening, nowMs: number): boolean =>
  nowMs - screening.atMs > LIMITS.screeningShelfLifeDays * MS_PER_DAY;
