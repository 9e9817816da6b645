/** Keys of what is asked of the server. */
export const KEYS = {
  practice: ['practice'],
  roster: ['roster'],
  people: (search: string, page: number) => ['roster', search, page],
  client: (id: string) => ['client', id],
  lastReviews: (id: string) => ['client', id, 'last-review'],
  lastReview: (id: string, coursePlanId: string) => ['client', id, 'last-review', coursePlanId],
  history: (id: string, ...of: string[]) => ['client', id, 'history', ...of],
  practiceAttempts: ['practice-attempts'],
  openSessions: ['sessions', 'open'],
  session: (id: string) => ['sessions', id],
} as const;
