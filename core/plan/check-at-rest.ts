import type { Finding } from '../findings/finding';
import { type Message, msg } from '../message/message';
import { PROTOCOLS } from '../protocol/data/protocols';
import { EXERCISES, type Library } from '../protocol/exercises';
import type { Resolved } from './basis';

/** Passive cycles only count as passive when nothing is exercised, by what every practice starts with (rule PRS-3). */
export const isPassive = ({ choice, exercise }: Resolved): boolean =>
  PROTOCOLS[choice.protocolId].mode === 'passive' &&
  exercise.kind === 'passive' &&
  (EXERCISES as Library)[choice.exerciseId]?.kind === 'passive';

export function checkPassive({ choice, exercise }: Resolved, passive: boolean): Finding[] {
  const { mode } = PROTOCOLS[choice.protocolId];
  const cycles = mode === 'passive';
  // Cycles of the cuff are done at rest as well; what else they may be done with is theirs to say.
  if (mode !== 'preparation' && cycles !== (exercise.kind === 'passive')) {
    return [
      {
        rule: 'PRS-3',
        level: 'hard',
        subject: 'protocolId',
        message: cycles
          ? msg('Passive cycles are without exercise, and {exercise} is exercise.', {
              exercise: exercise.label,
            })
          : msg('{exercise} is passive and takes passive cycles.', { exercise: exercise.label }),
        remedy: cycles ? msg('Choose another protocol, or the cuff alone.') : msg('Choose passive cycles.'),
      },
    ];
  }
  if (!passive) return [];
  const findings: Finding[] = [];
  const add = (finding: Omit<Finding, 'rule' | 'level'>) =>
    findings.push({ rule: 'PRS-3', level: 'hard', ...finding });
  if (choice.position === 'standing') {
    add({
      subject: 'position',
      message: msg('Passive cycles are done lying or sitting.'),
      remedy: msg('Lie down.'),
      fix: { set: 'position', to: 'lying' },
    });
  }
  if (choice.load.kind === 'weighed') {
    add({
      subject: 'weightKitId',
      message: msg('Passive cycles have no load.'),
      remedy: msg('Take the load away.'),
    });
  }
  if (choice.sets.some(({ work }) => work.kind !== 'timed')) {
    add({
      subject: 'sets',
      message: msg('Passive cycles have no repetitions: each lasts a time.'),
      remedy: msg('Choose the passive protocol again, and its sets come with it.'),
    });
  }
  return findings;
}

/** Cycles of the cuff are done at rest or with gentle movement, each for a time, with the cuff down between them (rule PRS-9). */
export function checkCycles({ choice, exercise }: Resolved): Finding[] {
  if (PROTOCOLS[choice.protocolId].mode !== 'preparation') return [];
  const findings: Finding[] = [];
  const add = (subject: string, message: Message, remedy: Message) =>
    findings.push({ rule: 'PRS-9', level: 'hard', subject, message, remedy });
  if (choice.load.kind === 'weighed' || exercise.kind === 'aerobic') {
    add(
      'protocolId',
      msg('Cuff cycles are done at rest or with gentle movement, not with {kind}.', {
        kind: choice.load.kind === 'weighed' ? msg('a load') : msg('aerobic work'),
      }),
      msg('Take the load away, or choose another protocol.'),
    );
  }
  if (choice.sets.some(({ work }) => work.kind !== 'timed')) {
    add(
      'sets',
      msg('Cuff cycles have no repetitions: each lasts a time.'),
      msg('Choose the protocol again.'),
    );
  }
  if (choice.sets.slice(0, -1).some(({ release, restMs }) => !release || restMs === 0)) {
    add(
      'release',
      msg('Between two cycles the cuff is down.'),
      msg('Deflate it after each cycle, or choose the protocol again.'),
    );
  }
  return findings;
}
