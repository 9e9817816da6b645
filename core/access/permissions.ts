import { list, type Message, msg } from '../message/message';
/** What a practitioner can be in the practice (rule SCR-4): who may do what is in `PERMISSIONS`. Without zod, for the first view. */
export const ROLES = ['clinician', 'coach', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

/** A role as it is within a sentence. */
export const ROLE_NAMES: Record<Role, Message> = {
  clinician: msg('clinician'),
  coach: msg('coach'),
  assistant: msg('assistant'),
};

/** Who may do something: by role, or as one who owns the practice, whatever the role. */
type May = Role | 'owner';
const ALL_ROLES: readonly May[] = ROLES;

/** Everything there is to do, in the words of "Only … may …", and who may do it. An owner without a role of theirs signs nothing. */
export const PERMISSIONS = {
  see: { words: msg('see the practice and its people'), by: ALL_ROLES },
  record: { words: msg('record measurements, checks, tests and sessions'), by: ALL_ROLES },
  practise: { words: msg('practise on the bench'), by: ALL_ROLES },
  sign: { words: msg('sign a plan, a block, an answer to a review or a report'), by: ['clinician', 'coach'] },
  'keep-templates': { words: msg('keep templates'), by: ['clinician', 'coach'] },
  'keep-weights': {
    words: msg('change weights, straps and exercises of the practice’s own'),
    by: ['clinician', 'coach'],
  },
  'sign-post-operative': { words: msg('sign passive or post-operative work'), by: ['clinician'] },
  'keep-limits': { words: msg('change cuffs, pumps and standard exercises'), by: ['clinician'] },
  'keep-practice': { words: msg('change the settings and what is measured'), by: ['clinician', 'owner'] },
  'allow-arbitrary': { words: msg('let the practice work without a LOP'), by: ['clinician'] },
  'set-shelf-life': { words: msg('set how long a pressure is kept'), by: ['clinician'] },
  'lift-hold': { words: msg('lift a hold'), by: ['clinician'] },
  'end-condition': { words: msg('end what a person has on record'), by: ['clinician'] },
  clear: { words: msg('record a clearance'), by: ['clinician'] },
  'pass-guard': { words: msg('pass a guard with a reason'), by: ['clinician'] },
  'give-word': { words: msg('give the clinician’s word'), by: ['clinician'] },
  'prolong-signed': {
    words: msg('prolong a plan that is on a clinician’s signature'),
    by: ['clinician'],
  },
  'correct-record': { words: msg('retract an entry of a record, or merge two records'), by: ['clinician'] },
  'erase-person': { words: msg('have a person forgotten'), by: ['owner'] },
  'take-person-out': { words: msg('take a person out'), by: ['clinician', 'owner'] },
  'take-practice-out': { words: msg('take the practice out'), by: ['owner'] },
  import: { words: msg('take records in'), by: ['clinician', 'owner'] },
  'read-audit-of-person': { words: msg('read who did what to a record'), by: ['clinician', 'owner'] },
  'read-audit': { words: msg('read who did what in the practice'), by: ['owner'] },
  'keep-accounts': { words: msg('open, change and end accounts'), by: ['owner'] },
  'help-in': { words: msg('set a new passphrase for another account'), by: ['clinician', 'owner'] },
} satisfies Record<string, { words: Message; by: readonly May[] }>;
export type Permission = keyof typeof PERMISSIONS;

/** Who may do things: a role, and whether they own the practice. */
export type Doer = { role: Role; isOwner: boolean };

/**
 * Whether a person may do something (rule SCR-4): the server and the interface both ask here.
 * @example mayDo({ role: 'coach', isOwner: false }, 'lift-hold') //=> false
 */
export function mayDo({ role, isOwner }: Doer, permission: Permission): boolean {
  const by: readonly May[] = PERMISSIONS[permission].by;
  return by.includes(role) || (isOwner && by.includes('owner'));
}

const PLURAL: Record<May, Message> = {
  clinician: msg('a clinician'),
  coach: msg('a coach'),
  assistant: msg('an assistant'),
  owner: msg('the owner of the practice'),
};

/** Who may do something, in words. @example whoMay('take-person-out') //=> 'Only a clinician or the owner of the practice may take a person out.' */
export const whoMay = (permission: Permission): Message =>
  msg('Only {by} may {words}.', {
    by: list(
      PERMISSIONS[permission].by.map((who) => PLURAL[who]),
      'or',
    ),
    words: PERMISSIONS[permission].words,
  });
