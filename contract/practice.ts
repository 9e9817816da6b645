import { z } from 'zod';
import type { Cuff } from '#core/cuff/cuff';
import type { WeightKit } from '#core/load/weight-kit';
import { schoolIdSchema } from '#core/rules/schools';

/** What a practitioner may do (rule SCR-4): only clinicians pass guards. */
export const roleSchema = z.enum(['clinician', 'coach']);
export type Role = z.infer<typeof roleSchema>;

/** Header that says who is working. */
export const PRACTITIONER_HEADER = 'x-nervato-practitioner';

export const practiceSettingsSchema = z.object({
  name: z.string(),
  gaugeDivisionMmHg: z.number().int().min(1).max(20),
  schoolId: schoolIdSchema,
});
export type PracticeSettings = z.infer<typeof practiceSettingsSchema>;

export type Practitioner = { id: string; name: string; role: Role };

/** The practice, its people and its kit, as one read. */
export type PracticeView = {
  settings: PracticeSettings;
  practitioners: Practitioner[];
  cuffs: Cuff[];
  weightKits: WeightKit[];
};
