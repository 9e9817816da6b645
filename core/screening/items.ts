import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { RULES } from '../rules/catalogue';

/** What a yes to an item means (rule SCR-1). */
export type ItemLevel = 'stop' | 'clear' | 'note';

export const itemIdSchema = z.enum([
  'thrombosis',
  'thrombosis-suspected',
  'clotting-disorder',
  'sickle-cell-disease',
  'stroke',
  'pregnancy',
  'heart-disease',
  'infection',
  'open-wound',
  'vascular-disease',
  'compartment-syndrome',
  'dialysis-access',
  'vessel-implant',
  'tumour',
  'cancer-treatment',
  'spinal-cord-injury',
  'rhabdomyolysis',
  'diabetes-severe',
  'hypertension-treated',
  'diabetes',
  'varicose-veins',
  'lymphoedema',
  'anticoagulants',
  'family-clots',
  'sickle-cell-trait',
  'nerve-injury',
  'recent-surgery',
  'easily-bruised',
  'fragile-skin',
  'fainting',
  'statins-muscle',
  'immobilised',
  'under-18',
  'oestrogen',
  'long-travel',
  'smoker',
  'over-65',
]);
export type ItemId = z.infer<typeof itemIdSchema>;

export type ScreenItem = {
  label: Message;
  level: ItemLevel;
  /** It bears on clots, and weighs more beside another that does. */
  clots?: true;
  /** Noted alone; beside another item, or beside another that bears on clots, it needs a clearance. */
  clearWith?: 'any-item' | 'clots';
  /** It is about one limb or several, which are named. */
  inLimb?: true;
  /** Asked for another rule's sake: it weighs nothing beside others. */
  apart?: true;
  /** For so many days it counts; without, until a clinician ends it. */
  countsDays?: number;
};

const COUNTS = RULES['SCR-1'].figures;

/** The questionnaire of rule SCR-1, in the order it is asked. Resting blood pressure is judged on its own. */
export const SCREEN_ITEMS: Record<ItemId, ScreenItem> = {
  thrombosis: {
    label: msg('Deep-vein thrombosis or pulmonary embolism in the past'),
    level: 'stop',
    clots: true,
  },
  'thrombosis-suspected': {
    label: msg('Deep-vein thrombosis or pulmonary embolism now, or suspected'),
    level: 'stop',
    clots: true,
  },
  'clotting-disorder': { label: msg('Clotting disorder'), level: 'stop', clots: true },
  'sickle-cell-disease': { label: msg('Sickle cell disease'), level: 'stop', clots: true },
  stroke: { label: msg('Stroke in the past'), level: 'stop' },
  pregnancy: { label: msg('Pregnancy, or birth in the last 6 weeks'), level: 'stop', clots: true },
  'heart-disease': { label: msg('Unstable or significant heart disease'), level: 'stop' },
  infection: { label: msg('Active infection'), level: 'stop' },
  'open-wound': {
    label: msg('Open fracture, unhealed wound or skin graft under the cuff'),
    level: 'stop',
    inLimb: true,
  },
  'vascular-disease': {
    label: msg('Peripheral vascular disease or other vascular insufficiency'),
    level: 'stop',
  },
  'compartment-syndrome': { label: msg('Acute compartment syndrome'), level: 'stop' },
  'dialysis-access': { label: msg('Dialysis access in the limb'), level: 'stop', inLimb: true },
  'vessel-implant': {
    label: msg('Vascular stent, vessel graft or indwelling line in the limb'),
    level: 'stop',
    clots: true,
    inLimb: true,
  },
  tumour: { label: msg('Tumour in the limb'), level: 'stop', clots: true, inLimb: true },
  'cancer-treatment': { label: msg('In treatment for cancer now'), level: 'stop', clots: true },
  'spinal-cord-injury': {
    label: msg('Spinal cord injury at or above the sixth thoracic level'),
    level: 'stop',
  },
  rhabdomyolysis: { label: msg('Muscle breakdown (rhabdomyolysis) in the past'), level: 'stop' },
  'diabetes-severe': { label: msg('Diabetes that is not controlled, or with nerve damage'), level: 'stop' },
  'hypertension-treated': { label: msg('Treated for high blood pressure'), level: 'clear' },
  diabetes: { label: msg('Diabetes'), level: 'clear' },
  'varicose-veins': { label: msg('Varicose veins'), level: 'clear', clots: true },
  lymphoedema: {
    label: msg('Lymphoedema, or lymph nodes removed on that side'),
    level: 'clear',
    inLimb: true,
  },
  anticoagulants: { label: msg('Takes anticoagulants'), level: 'clear', clots: true },
  'family-clots': { label: msg('Parent, brother, sister or child with clots'), level: 'clear', clots: true },
  'sickle-cell-trait': { label: msg('Sickle cell trait'), level: 'clear', clots: true },
  'nerve-injury': { label: msg('Nerve injury in the limb'), level: 'clear', inLimb: true },
  'recent-surgery': {
    label: msg('Surgery in the last 12 weeks'),
    level: 'clear',
    clots: true,
    countsDays: COUNTS.procedureCountsDays,
  },
  'easily-bruised': { label: msg('Bruises easily, or a bleeding disorder'), level: 'clear' },
  'fragile-skin': { label: msg('Fragile skin, or steroids taken for long'), level: 'clear' },
  fainting: { label: msg('Fainted in the last year'), level: 'clear', countsDays: COUNTS.faintingCountsDays },
  'statins-muscle': { label: msg('Takes statins and has muscle complaints'), level: 'clear' },
  immobilised: { label: msg('Immobilised for long'), level: 'clear', clots: true },
  'under-18': {
    label: msg('Under {adultFromYears}', { adultFromYears: RULES['SCR-1'].figures.adultFromYears }),
    level: 'clear',
  },
  oestrogen: {
    label: msg('Takes a medicine with oestrogen, or tamoxifen'),
    level: 'note',
    clots: true,
    clearWith: 'clots',
  },
  'long-travel': {
    label: msg('Travelled for over 4 hours in the last week'),
    level: 'note',
    clots: true,
    clearWith: 'clots',
    countsDays: COUNTS.travelCountsDays,
  },
  smoker: { label: msg('Smokes'), level: 'note', clearWith: 'any-item' },
  // Blood pressure is then watched in work (rule RUN-8).
  'over-65': {
    label: msg('Over {olderThanYears}', { olderThanYears: RULES['RUN-8'].figures.olderThanYears }),
    level: 'note',
    apart: true,
  },
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
