import { t } from '@lingui/core/macro';
import type { EntryTells } from '#contract/corrections';
import { markWords } from '#core/cuff/mark-words';
import { LIMB_LABELS, POSITION_NAMES } from '#core/quantity/limb';
import type { ClientFacts } from '#core/record/facts';
import { SCREEN_ITEMS } from '#core/screening/items';
import { translate } from '../../language/translate';
import { clearanceSubject } from '../../parts/clearance-subject';
import { exerciseAndSide } from '../../parts/exercise-and-side';
import { plain } from '../../parts/format';
import { heavyWorkWords } from '../../parts/heavy-work-words';
import type { Measure } from '../../parts/units';

/** How an entry of a record reads in one line: in the practice's units, with its own names of exercises. */
export function entryWords(
  tells: EntryTells,
  facts: Pick<ClientFacts, 'ownExercises'>,
  { mass, length }: { mass: Measure; length: Measure },
): string {
  const limb = 'limb' in tells ? translate(LIMB_LABELS[tells.limb]) : '';
  switch (tells.kind) {
    case 'screening': {
      const yes = tells.yes.map((item) => translate(SCREEN_ITEMS[item].label)).join('; ');
      return yes === '' ? t`Screening, nothing answered with yes` : t`Screening, yes to: ${yes}`;
    }
    case 'clearance': {
      const subjects = tells.subjects.map(clearanceSubject).join('; ');
      return t`Clearance by ${tells.givenBy}: ${subjects}`;
    }
    case 'consent':
      return CONSENTS[tells.decision][tells.read];
    case 'day-check':
      return t`Check on the day, pain ${tells.painNow} of 10`;
    case 'fit':
      return `${limb}: ${length.words(tells.girthCm)}, ${tells.label}`;
    case 'tightness': {
      const { label, felt } = tells;
      return t`${limb}: ${label}, ${translate(markWords(tells))}, felt ${felt} of 10`;
    }
    case 'occlusion-pressure':
      return `${limb}, ${translate(POSITION_NAMES[tells.position])}: ${plain(tells.pressureMmHg)} mmHg, ${tells.label}`;
    case 'quick-check':
      return t`Quick check, ${limb}: pulse gone at ${plain(tells.goneMmHg)} mmHg`;
    case 'strength-test':
      return t`${exerciseAndSide(facts, tells)}: ${mass.words(tells.loadKg)}, ${tells.reps} repetitions`;
    case 'heavy-work':
      return t`Heavy work: ${heavyWorkWords(facts, tells, mass)}`;
    case 'session':
      return SESSIONS[tells.state](tells.plan);
  }
}

const SESSIONS = {
  running: (plan: string) => t`Session of ${plan}, running`,
  finished: (plan: string) => t`Session of ${plan}`,
};

const CONSENTS = {
  agreed: { 'on-screen': t`Consent, read on screen`, 'on-paper': t`Consent, read on paper` },
  withdrawn: {
    'on-screen': t`Consent withdrawn, read on screen`,
    'on-paper': t`Consent withdrawn, read on paper`,
  },
};
