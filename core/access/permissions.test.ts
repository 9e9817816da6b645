import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { mayDo, PERMISSIONS, type Permission, ROLES, whoMay } from './permissions';

const may = (role: (typeof ROLES)[number], isOwner = false) =>
  (Object.keys(PERMISSIONS) as Permission[]).filter((permission) => mayDo({ role, isOwner }, permission));

describe('who may do what (SCR-4)', () => {
  it('an assistant measures, runs and records, and signs nothing', () => {
    expect(may('assistant')).toEqual(['see', 'record', 'practise']);
  });

  it('a coach signs within the rules, and changes nothing that pressures or limits rest on', () => {
    expect(may('coach')).toEqual(['see', 'record', 'practise', 'sign', 'keep-templates', 'keep-weights']);
  });

  it('a clinician does everything of health, and nothing of accounts', () => {
    const clinician = may('clinician');
    for (const permission of [
      'clear',
      'lift-hold',
      'pass-guard',
      'sign-post-operative',
      'correct-record',
    ] as const)
      expect(clinician).toContain(permission);
    for (const permission of ['keep-accounts', 'take-practice-out', 'read-audit', 'erase-person'] as const)
      expect(clinician).not.toContain(permission);
  });

  it('owning a practice makes no one a clinician', () => {
    const owner = may('assistant', true);
    expect(owner).toContain('keep-accounts');
    for (const permission of ['sign', 'clear', 'lift-hold', 'pass-guard', 'correct-record'] as const)
      expect(owner).not.toContain(permission);
  });

  it('every permission is held by someone, and each says who may', () => {
    for (const permission of Object.keys(PERMISSIONS) as Permission[]) {
      expect([permission, ROLES.some((role) => mayDo({ role, isOwner: true }, permission))]).toEqual([
        permission,
        true,
      ]);
      expect(englishOf(whoMay(permission))).toMatch(/^Only (a|an|the) .+ may .+\.$/);
    }
  });
});
