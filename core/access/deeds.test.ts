import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { DEEDS, type Deed, mayDo, ROLES, whoMay } from './deeds';

const may = (role: (typeof ROLES)[number], isOwner = false) =>
  (Object.keys(DEEDS) as Deed[]).filter((deed) => mayDo({ role, isOwner }, deed));

describe('who may do what (SCR-4)', () => {
  it('an assistant measures, runs and records, and signs nothing', () => {
    expect(may('assistant')).toEqual(['see', 'record', 'practise']);
  });

  it('a coach signs within the rules, and changes nothing that pressures or limits rest on', () => {
    expect(may('coach')).toEqual(['see', 'record', 'practise', 'sign', 'keep-templates', 'keep-weights']);
  });

  it('a clinician does everything of health, and nothing of accounts', () => {
    const clinician = may('clinician');
    for (const deed of ['clear', 'lift-hold', 'pass-guard', 'sign-post-operative', 'mend-record'] as const)
      expect(clinician).toContain(deed);
    for (const deed of ['keep-accounts', 'take-practice-out', 'read-audit', 'erase-person'] as const)
      expect(clinician).not.toContain(deed);
  });

  it('owning a practice makes nobody a clinician', () => {
    const owner = may('assistant', true);
    expect(owner).toContain('keep-accounts');
    for (const deed of ['sign', 'clear', 'lift-hold', 'pass-guard', 'mend-record'] as const)
      expect(owner).not.toContain(deed);
  });

  it('nothing is for nobody, and each says who may', () => {
    for (const deed of Object.keys(DEEDS) as Deed[]) {
      expect([deed, ROLES.some((role) => mayDo({ role, isOwner: true }, deed))]).toEqual([deed, true]);
      expect(englishOf(whoMay(deed))).toMatch(/^Only (a|an|the) .+ may .+\.$/);
    }
  });
});
