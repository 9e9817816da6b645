import { t } from '@lingui/core/macro';

/** Sheets to fill in by hand, and the screen they are typed into. */
export const PAPER_FORMS = {
  screening: { label: t`Screening`, screen: 'screen' },
  consent: { label: t`Consent`, screen: 'screen' },
  pressure: { label: t`Occlusion pressure`, screen: 'measure' },
  session: { label: t`Session`, screen: 'run' },
  outcomes: { label: t`Outcomes`, screen: 'outcomes' },
} as const;

export type PaperForm = keyof typeof PAPER_FORMS;
export const PAPER_FORM_IDS = Object.keys(PAPER_FORMS) as PaperForm[];
export const isPaperForm = (id: string | undefined): id is PaperForm =>
  id !== undefined && Object.hasOwn(PAPER_FORMS, id);
