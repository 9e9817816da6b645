/** Sheets to fill in by hand, and the screen they are typed into. */
export const PAPER_FORMS = {
  screening: { label: 'Screening', screen: 'screen' },
  consent: { label: 'Consent', screen: 'screen' },
  pressure: { label: 'Occlusion pressure', screen: 'measure' },
  session: { label: 'Session', screen: 'run' },
  outcomes: { label: 'Outcomes', screen: 'outcomes' },
} as const;

export type PaperForm = keyof typeof PAPER_FORMS;
export const PAPER_FORM_IDS = Object.keys(PAPER_FORMS) as PaperForm[];
export const isPaperForm = (id: string | undefined): id is PaperForm =>
  id !== undefined && Object.hasOwn(PAPER_FORMS, id);
