import { z } from 'zod';
import { ROLES, type Role } from '#core/access';
import { msg } from '#core/message';
import { schoolIdSchema } from '#core/protocol';
import { isoDaySchema } from '#core/quantity';
import type { Practitioner } from './practice';

/** What goes with a passphrase: the code a second device shows, where an account asks for one. */
const code = z.string().regex(/^\d{6}$/, msg('A code is six figures.'));
const secret = z.string().min(1, msg('Type the passphrase.')).max(500);
/** A passphrase a person chooses; whether it is good enough the server says. */
const chosen = z.string().min(1, msg('Choose a passphrase.')).max(500);
export const accountNameSchema = z
  .string()
  .trim()
  .min(1, msg('Give a name to sign in by.'))
  .max(60, msg('At most 60 characters.'));
const personName = z.string().trim().min(1, msg('Give the name.')).max(80, msg('At most 80 characters.'));

export const signInSchema = z.object({
  name: z.string().max(200),
  passphrase: secret,
  code: code.optional(),
});
export type SignInBody = z.infer<typeof signInSchema>;

export const pinSchema = z.string().regex(/^\d{4,8}$/, msg('A PIN is four to eight figures.'));
export const pinSignInSchema = z.object({ practitionerId: z.string().min(1), pin: pinSchema });
export const signOutSchema = z.object({ everywhere: z.boolean().default(false) });
export const newPassphraseSchema = z.object({ old: secret, passphrase: chosen });
export const newPinSchema = z.object({ passphrase: secret, pin: pinSchema.nullable() });
export const passphraseSchema = z.object({ passphrase: secret });
export const codeSchema = z.object({ code });

/** What a database has already, sent to the one who knows the word: a practice of an earlier release has people and no accounts. */
export const firstLookSchema = z.object({ word: z.string().max(100) });
export type FirstLook = {
  practiceName: string | null;
  practitioners: { id: string; name: string; role: Role }[];
};

/** A practitioner who is on record already, or a new one. */
const accountForSchema = z.union([
  z.object({ id: z.string().min(1) }),
  z.object({ name: personName, role: z.enum(ROLES) }),
]);
export type NewAccountFor = z.infer<typeof accountForSchema>;

/** The first start of a practice: the word from the terminal, the practice, and who owns it. */
export const firstStartSchema = z.object({
  word: z.string().max(100),
  practiceName: z.string().trim().min(1, msg('Give the practice a name.')).max(80),
  massUnit: z.enum(['kg', 'lb']),
  lengthUnit: z.enum(['cm', 'in']),
  schoolId: schoolIdSchema,
  practitioner: accountForSchema,
  name: accountNameSchema,
  passphrase: chosen,
  /** Kit of the starting list that the practice has. */
  kitIds: z.array(z.string().max(60)).max(60),
  /** What to call it, in the language it is set up in. */
  kitNames: z.record(z.string().max(60), z.string().trim().min(1).max(60)).default({}),
});
export type FirstStart = z.infer<typeof firstStartSchema>;

/** A person who has signed in on this device today, as a locked screen shows them. */
export type OnDevice = { practitionerId: string; initials: string; hasPin: boolean };

/** What a device may know before anyone has signed in on it. */
export type SignInState = {
  /** `first-start` until there is an account; `must-change` while a passphrase is one that another person has made. */
  state: 'first-start' | 'signed-out' | 'locked' | 'must-change' | 'signed-in';
  onDevice: OnDevice[];
  /** In a demonstration: who may sign in, and how. */
  demo: { name: string; passphrase: string; role: Role }[];
};

export type Me = {
  practitioner: Practitioner;
  hasPin: boolean;
  hasCode: boolean;
  certifiedUntilDay: string | null;
  /** What records kept on this device are sealed with: 32 bytes in base64. */
  deviceKey: string;
};

export const newAccountSchema = z.object({
  practitioner: accountForSchema,
  name: accountNameSchema,
  isOwner: z.boolean(),
});
export const accountChangeSchema = z.object({
  name: accountNameSchema.optional(),
  role: z.enum(ROLES).optional(),
  isOwner: z.boolean().optional(),
  /** Until when their certificate in this training is valid; `null` for none. */
  certifiedUntilDay: isoDaySchema.nullable().optional(),
});

/** An account as the owner sees it. */
export type Account = {
  practitionerId: string;
  practitionerName: string;
  role: Role;
  name: string;
  isOwner: boolean;
  hasPin: boolean;
  hasCode: boolean;
  mustChange: boolean;
  lastUsedAtMs: number | null;
  /** ISO day, or `null` where no certificate is on record. */
  certifiedUntilDay: string | null;
};
/** Accounts, and practitioners who have none. */
export type Accounts = { accounts: Account[]; without: { id: string; name: string; role: Role }[] };
/** A passphrase that was made for a person: shown once. */
export type MadePassphrase = { passphrase: string };
