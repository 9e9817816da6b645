/** What a practitioner can be in the practice (rule SCR-4): who may do what stands in `DEEDS`. Without zod, for the first view. */
export const ROLES = ['clinician', 'coach', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

/** Whoever may do something: by role, or as one who owns the practice, whatever the role. */
type May = Role | 'owner';
const EVERYBODY: readonly May[] = ROLES;

/** Everything there is to do, in the words of "Only … may …", and who may do it. An owner without a role of theirs signs nothing. */
export const DEEDS = {
  see: { words: 'see the practice and its people', by: EVERYBODY },
  record: { words: 'record measurements, checks, tests and sessions', by: EVERYBODY },
  practise: { words: 'practise on the bench', by: EVERYBODY },
  sign: { words: 'sign a plan, a block, an answer to a review or a report', by: ['clinician', 'coach'] },
  'keep-templates': { words: 'keep templates', by: ['clinician', 'coach'] },
  'keep-weights': {
    words: 'change weights, straps and exercises of the practice’s own',
    by: ['clinician', 'coach'],
  },
  'sign-post-operative': { words: 'sign passive or post-operative work', by: ['clinician'] },
  'keep-limits': { words: 'change cuffs, pumps and standard exercises', by: ['clinician'] },
  'keep-practice': { words: 'change the settings and what is measured', by: ['clinician', 'owner'] },
  'allow-arbitrary': { words: 'let the practice work without a LOP', by: ['clinician'] },
  'set-shelf-life': { words: 'set how long a pressure is kept', by: ['clinician'] },
  'lift-hold': { words: 'lift a hold', by: ['clinician'] },
  'end-condition': { words: 'end what a person has on record', by: ['clinician'] },
  clear: { words: 'record a clearance', by: ['clinician'] },
  'pass-guard': { words: 'pass a guard with a reason', by: ['clinician'] },
  'give-word': { words: 'give the clinician’s word', by: ['clinician'] },
  'prolong-signed': { words: 'prolong a plan that stands on a clinician’s signature', by: ['clinician'] },
  'mend-record': { words: 'retract an entry of a record, or merge two records', by: ['clinician'] },
  'erase-person': { words: 'have a person forgotten', by: ['owner'] },
  'take-person-out': { words: 'take a person out', by: ['clinician', 'owner'] },
  'take-practice-out': { words: 'take the practice out', by: ['owner'] },
  'take-in': { words: 'take records in', by: ['clinician', 'owner'] },
  'read-audit-of-person': { words: 'read who did what to a record', by: ['clinician', 'owner'] },
  'read-audit': { words: 'read who did what in the practice', by: ['owner'] },
  'keep-accounts': { words: 'open, change and end accounts', by: ['owner'] },
  'help-in': { words: 'give somebody a new passphrase', by: ['clinician', 'owner'] },
} satisfies Record<string, { words: string; by: readonly May[] }>;
export type Deed = keyof typeof DEEDS;

/** Whoever may do things: a role, and whether they own the practice. */
export type Doer = { role: Role; isOwner: boolean };

/**
 * Whether somebody may do something (rule SCR-4): the server and the interface both ask here.
 * @example mayDo({ role: 'coach', isOwner: false }, 'lift-hold') //=> false
 */
export function mayDo({ role, isOwner }: Doer, deed: Deed): boolean {
  const by: readonly May[] = DEEDS[deed].by;
  return by.includes(role) || (isOwner && by.includes('owner'));
}

const PLURAL: Record<May, string> = {
  clinician: 'a clinician',
  coach: 'a coach',
  assistant: 'an assistant',
  owner: 'the owner of the practice',
};

/** Who may do something, in words. @example whoMay('take-person-out') //=> 'Only a clinician or the owner of the practice may take a person out.' */
export const whoMay = (deed: Deed): string =>
  `Only ${DEEDS[deed].by.map((who) => PLURAL[who]).join(' or ')} may ${DEEDS[deed].words}.`;
