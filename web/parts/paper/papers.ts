/** Sizes of paper that sheets and reports are printed on. */
export const PAPERS = {
  A4: { widthMm: 210, heightMm: 297 },
  Letter: { widthMm: 216, heightMm: 279 },
} as const;
export type Paper = keyof typeof PAPERS;
