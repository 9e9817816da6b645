import { t } from '@lingui/core/macro';
import type { EntryContent } from '#contract/corrections';
import { markWords } from '#core/cuff';
import { LIMB_LABELS, POSITION_NAMES } from '#core/quantity';
import type { ClientFacts } from '#core/record';
import { SCREEN_ITEMS } from '#core/screening';
import { translate } from '../../../language/translate';
import { clearanceSubject } from '../../../words/clearance-subject';
import { exerciseAndSide } from '../../../words/exercise-and-side';
import { plain } from '../../../words/format';
import { heavyWorkWords } from '../../../words/heavy-work-words';
import type { Measure } from '../../../words/units';

/** How an entry of a record reads in one line: in the practice's units, with its own names of exercises. */
export function entryWords(
  content: EntryContent,
  facts: Pick<ClientFacts, 'ownExercises'>,
  { mass, length }: { mass: Measure; length: Measure },
): string {
  const limb = 'limb' in content ? translate(LIMB_LABELS[content.limb]) : '';
  switch (content.kind) {
    case 'screening': {
      const yes = content.yes.map((item) => translate(SCREEN_ITEMS[item].label)).join('; ');
      return yes === '' ? t`Screening, nothing answered with yes` : t`Screening, yes to: ${yes}`;
    }
    case 'clearance': {
      const subjects = content.subjects.map(clearanceSubject).join('; ');
      return t`Clearance by ${content.givenBy}: ${subjects}`;
    }
    case 'consent':
      return CONSENTS[content.decision][content.read];
    case 'day-check':
      return t`Check on the day, pain ${content.painNow} of 10`;
    case 'fit':
      return `${limb}: ${length.words(content.girthCm)}, ${content.label}`;
    case 'tightness': {
      const { label, felt } = content;
      return t`${limb}: ${label}, ${translate(markWords(content))}, felt ${felt} of 10`;
    }
    case 'occlusion-pressure':
      return `${limb}, ${translate(POSITION_NAMES[content.position])}: ${plain(content.pressureMmHg)} mmHg, ${content.label}`;
    case 'quick-check':
      return t`Quick check, ${limb}: pulse gone at ${plain(content.goneMmHg)} mmHg`;
    case 'strength-test':
      return t`${exerciseAndSide(facts, content)}: ${mass.words(content.loadKg)}, ${content.reps} repetitions`;
    case 'heavy-work':
      return t`Heavy work: ${heavyWorkWords(facts, content, mass)}`;
    case 'session':
      return SESSIONS[content.state](content.plan);
    case 'visit-note':
      return t`Note: ${content.words}`;
    case 'attachment':
      return t`Attachment: ${content.name}`;
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
