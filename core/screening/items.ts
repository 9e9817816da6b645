import { z } from 'zod';

/** What a yes to an item means (rule SCR-1). */
export type ItemLevel = 'stop' | 'clear' | 'note';

export const itemIdSchema = z.enum([
  'thrombosis',
  'thrombosis-suspected',
  'clotting-disorder',
  'stroke',
  'pregnancy',
  'heart-disease',
  'infection',
  'open-wound',
  'vascular-disease',
  'compartment-syndrome',
  'dialysis-access',
  'tumour',
  'hypertension-treated',
  'diabetes',
  'varicose-veins',
  'lymphoedema',
  'anticoagulants',
  'family-clots',
  'nerve-injury',
  'recent-surgery',
  'easily-bruised',
  'smoker',
  'immobilised',
]);
export type ItemId = z.infer<typeof itemIdSchema>;

export type ScreenItem = { label: string; level: ItemLevel };

/** The questionnaire of rule SCR-1, in the order it is asked. Resting blood pressure is judged on its own. */
export const SCREEN_ITEMS: Record<ItemId, ScreenItem> = {
  thrombosis: { label: 'Deep-vein thrombosis or pulmonary embolism in the past', level: 'stop' },
  'thrombosis-suspected': {
    label: 'Deep-vein thrombosis or pulmonary embolism now, or suspected',
    level: 'stop',
  },
  'clotting-disorder': { label: 'Clotting disorder, including sickle cell trait', level: 'stop' },
  stroke: { label: 'Stroke in the past', level: 'stop' },
  pregnancy: { label: 'Pregnancy', level: 'stop' },
  'heart-disease': { label: 'Unstable or significant heart disease', level: 'stop' },
  infection: { label: 'Active infection', level: 'stop' },
  'open-wound': { label: 'Open fracture, unhealed wound or skin graft under the cuff', level: 'stop' },
  'vascular-disease': {
    label: 'Peripheral vascular disease or other vascular insufficiency',
    level: 'stop',
  },
  'compartment-syndrome': { label: 'Acute compartment syndrome', level: 'stop' },
  'dialysis-access': { label: 'Dialysis access in the limb', level: 'stop' },
  tumour: { label: 'Tumour in the limb', level: 'stop' },
  'hypertension-treated': { label: 'Treated for high blood pressure', level: 'clear' },
  diabetes: { label: 'Diabetes', level: 'clear' },
  'varicose-veins': { label: 'Varicose veins', level: 'clear' },
  lymphoedema: { label: 'Lymphoedema, or lymph nodes removed on that side', level: 'clear' },
  anticoagulants: { label: 'Takes anticoagulants', level: 'clear' },
  'family-clots': { label: 'Parent, brother, sister or child with clots', level: 'clear' },
  'nerve-injury': { label: 'Nerve injury in the limb', level: 'clear' },
  'recent-surgery': { label: 'Surgery in the last 12 weeks', level: 'clear' },
  'easily-bruised': { label: 'Bruises easily', level: 'clear' },
  // On its own it is only noted; with any other item it needs a clearance.
  smoker: { label: 'Smokes', level: 'note' },
  immobilised: { label: 'Immobilised for long', level: 'clear' },
};

const RANK: Record<ItemLevel, number> = { note: 0, clear: 1, stop: 2 };

/** Items a practice asks more of than rule SCR-1 does. */
export const stricterSchema = z.array(z.object({ item: itemIdSchema, level: z.enum(['clear', 'stop']) }));
export type Stricter = z.infer<typeof stricterSchema>;

/** Level of an item in a practice: its own setting where that is stricter, never milder than the rule. */
export function levelOf(item: ItemId, stricter: Stricter): ItemLevel {
  const own = stricter.find((setting) => setting.item === item)?.level;
  const { level } = SCREEN_ITEMS[item];
  return own && RANK[own] > RANK[level] ? own : level;
}
