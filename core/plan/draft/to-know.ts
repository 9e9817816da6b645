import { type Message, msg } from '../../message/message';
import { PROTOCOLS } from '../../protocol/data/protocols';
import { MS_PER_MINUTE } from '../../quantity/units';
import { RULES } from '../../rules/catalogue';
import { type Basis, isPostOperativeWork } from '../basis';
import type { SessionChoice } from '../choices';
import { type BoundBy, boundBy, boundsOf } from './bounds';
import { asksForTest } from './tried';
import type { DraftWish, Lead } from './wish';

const { fromYears } = RULES['PRO-6'].figures;

const BOUND_WORDS: Record<BoundBy, (figures: { reps: number; minutes: number }) => Message> = {
  'first-weeks': (figures) =>
    msg(
      'First two weeks: at most {reps} repetitions a limb and muscle, {minutes} min with a cuff up (PRO-6).',
      figures,
    ),
  age: (figures) =>
    msg(
      'From {fromYears} years on: at most {reps} repetitions a limb and muscle, {minutes} min with a cuff up (PRO-6).',
      {
        fromYears,
        ...figures,
      },
    ),
};

/** What is to be known of a draft beside its figures, and where one goes on from what it lacks. */
export function toKnow(
  { exercises }: SessionChoice,
  wish: DraftWish,
  basis: Basis,
): { notes: Message[]; leads: Lead[] } {
  const notes: Message[] = [];
  const bound = boundBy(basis);
  const bounds = boundsOf(basis);
  if (bound && bounds)
    notes.push(BOUND_WORDS[bound]({ reps: bounds.reps, minutes: bounds.inflatedMs / MS_PER_MINUTE }));
  const isAsked = exercises.some(({ exerciseId }) => {
    const exercise = basis.library[exerciseId];
    return exercise !== undefined && asksForTest(exercise, wish);
  });
  const lacksTest = isAsked && exercises.every(({ load }) => load.kind === 'unweighed');
  if (lacksTest)
    notes.push(
      msg('Without a 1RM there is only work that needs none: test one, or check 30 repetitions (LOAD-5).'),
    );
  const passive = exercises.some(({ protocolId }) => PROTOCOLS[protocolId].mode === 'passive');
  if (passive && isPostOperativeWork(wish.limbs, basis))
    notes.push(
      msg(
        'After an operation: 40 mmHg under the training pressure, 10 more each day until it is reached (PRS-4).',
      ),
    );
  if (exercises.some(({ primed }) => primed))
    notes.push(msg('Newcomer: the first inflation of each limb is primed (PRS-6).'));
  return { notes, leads: lacksTest ? [{ to: 'test' }] : [] };
}
