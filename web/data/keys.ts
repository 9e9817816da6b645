/** Keys of what is asked of the server. */
export const KEYS = {
  practice: ['practice'],
  roster: ['roster'],
  people: (search: string, page: number) => ['roster', search, page],
  client: (id: string) => ['client', id],
  lastReviews: (id: string) => ['client', id, 'last-review'],
  lastReview: (id: string, coursePlanId: string) => ['client', id, 'last-review', coursePlanId],
  log: (id: string) => ['client', id, 'log'],
  reports: (id: string) => ['client', id, 'reports'],
  outcomes: (id: string) => ['client', id, 'outcomes'],
  history: (id: string, ...of: string[]) => ['client', id, 'history', ...of],
  practiceAttempts: ['practice-attempts'],
  week: ['practice', 'week'],
  responders: (measureId: string) => ['practice', 'responders', measureId],
  surveillance: ['practice', 'surveillance'],
  openSessions: ['sessions', 'open'],
  session: (id: string) => ['sessions', id],
} as const;
