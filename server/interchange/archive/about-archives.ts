/** What is said in the audit of copies going out and coming in: about archives, and therefore not in them. */
export const ABOUT_ARCHIVES = ['archive-taken-out', 'taken-in', 'taken-back'] as const;
