import type { Deed } from '#core/access/deeds';

/** What a route asks of who calls it: a deed of theirs; somebody signed in, locked or not; or nothing. */
export type Asks = Deed | 'signed-in' | 'anybody';

/** A cuff is let down by who stands beside it, though the device is locked: the route looks at what it is told. */
export const THOUGH_LOCKED: ReadonlySet<string> = new Set(['POST /sessions/:id/events']);

/**
 * What every route under /api asks (rule SCR-4). A route that is missing here is refused to everybody, and a test names it. Where
 * it depends on what is posted, the route asks for more itself.
 */
export const ROUTE_ASKS: Readonly<Record<string, Asks>> = {
  'GET /health': 'anybody',
  // Told to this machine only.
  'GET /health/deep': 'anybody',
  'GET /health/metrics': 'anybody',
  'GET /sign-in': 'anybody',
  'POST /sign-in': 'anybody',
  'POST /sign-in/pin': 'anybody',
  'POST /sign-in/first': 'anybody',
  'POST /sign-in/first/look': 'anybody',
  'POST /sign-out': 'signed-in',
  'POST /sign-in/lock': 'signed-in',
  // Their secrets are who calls them.
  'GET /calendar/:secret/training.ics': 'anybody',
  'GET /print/:ticket': 'anybody',

  'GET /me': 'see',
  'POST /me/passphrase': 'signed-in',
  'POST /me/pin': 'see',
  'POST /me/code': 'see',
  'POST /me/code/confirm': 'see',
  'POST /me/code/end': 'see',

  'GET /accounts': 'keep-accounts',
  'POST /accounts': 'keep-accounts',
  'POST /accounts/:id': 'keep-accounts',
  'POST /accounts/:id/end': 'keep-accounts',
  'POST /accounts/:id/new-passphrase': 'help-in',

  'GET /audit': 'read-audit',
  'GET /audit/check': 'read-audit',
  'GET /audit/of/:clientId': 'read-audit-of-person',

  'GET /clock': 'see',
  'POST /clock/forward': 'see',
  'GET /feed': 'see',

  'GET /practice': 'see',
  'GET /practice/surveillance': 'see',
  'POST /practice/settings': 'keep-practice',
  'POST /practice/kit': 'keep-weights',
  'POST /practice/kit/retire': 'keep-weights',
  'POST /practice/exercises': 'keep-weights',
  'POST /practice/exercises/retire': 'keep-weights',
  'POST /practice/measures': 'keep-practice',
  'POST /practice/templates': 'keep-templates',
  'POST /practice/templates/retire': 'keep-templates',
  'GET /practice/week': 'see',
  'GET /practice/responders': 'see',
  'GET /practice-attempts': 'practise',
  'POST /practice-attempts': 'practise',

  'GET /clients': 'see',
  'POST /clients': 'record',
  'GET /clients/:id': 'see',
  'GET /clients/:id/last-review': 'see',
  'GET /clients/:id/log': 'see',
  'GET /clients/:id/outcomes': 'see',
  'GET /clients/:id/reports': 'see',
  'GET /clients/:id/block.ics': 'see',
  'GET /clients/:id/history/screenings': 'see',
  'GET /clients/:id/history/clearances': 'see',
  'GET /clients/:id/history/sessions': 'see',
  'GET /clients/:id/history/pressures': 'see',
  'GET /clients/:id/history/one-rep-maxes': 'see',
  'POST /clients/:id/screenings': 'record',
  'POST /clients/:id/day-checks': 'record',
  'POST /clients/:id/fits': 'record',
  'POST /clients/:id/tightness': 'record',
  'POST /clients/:id/occlusion-pressures': 'record',
  'POST /clients/:id/quick-checks': 'record',
  'POST /clients/:id/strength-tests': 'record',
  'POST /clients/:id/heavy-work': 'record',
  'POST /clients/:id/outcomes': 'record',
  'POST /clients/:id/outcomes/:outcomeId/withdrawal': 'record',
  'POST /clients/:id/adverse-events': 'record',
  'GET /clients/:id/entries': 'see',
  'POST /clients/:id': 'record',
  'POST /clients/:id/retractions': 'mend-record',
  'POST /clients/:id/merge': 'mend-record',
  'POST /clients/:id/erasure': 'erase-person',
  'POST /clients/:id/shelf-life': 'set-shelf-life',
  'POST /clients/:id/holds/:holdId/lift': 'lift-hold',
  'POST /clients/:id/clearances': 'clear',
  'POST /clients/:id/prescriptions': 'sign',
  'POST /clients/:id/prescriptions/:prescriptionId/retarget': 'sign',
  'POST /clients/:id/course-plans/:coursePlanId': 'sign',
  'POST /clients/:id/rung-checks': 'sign',
  'POST /clients/:id/blocks': 'sign',
  'POST /clients/:id/comparisons': 'sign',
  'POST /clients/:id/comparisons/:comparisonId/end': 'sign',
  'POST /clients/:id/reports': 'sign',
  'POST /clients/:id/reports/:reportId/pdf': 'see',

  'GET /sessions/open': 'see',
  'GET /sessions/:id': 'see',
  'POST /sessions': 'record',
  'POST /sessions/entered': 'record',
  'POST /sessions/:id/events': 'record',
  'POST /devices': 'record',
  'GET /devices/:id/stream': 'record',
  'POST /devices/:id/commands': 'record',

  'GET /calendar': 'see',
  'POST /calendar': 'see',
  'POST /calendar/end': 'see',

  'GET /archive': 'take-practice-out',
  'GET /archive/of/:clientId': 'take-person-out',
  'GET /archive/of/:clientId/fhir': 'take-person-out',
  'GET /archive/csv/:kind': 'take-practice-out',
  'GET /archive/taken-in': 'see',
  'POST /archive/preview': 'take-in',
  'POST /archive': 'take-in',
  'POST /archive/taken-in/:id/back': 'take-in',
  'POST /tables/:kind': 'take-in',
};
