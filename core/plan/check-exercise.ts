import { mayDo } from '../access/permissions';
import type { Finding } from '../findings/finding';
import { list, type Message, msg } from '../message/message';
import { type Rung, rungHeight } from '../protocol/exercise';
import { EXERCISES, type Library } from '../protocol/exercises';
import { rangeWords } from '../protocol/joint-range';
import { PROTOCOLS } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import { pacedReps } from '../protocol/set-work';
import { WORK_MODE_NAMES } from '../protocol/work-mode';
import { isEqual } from '../quantity/is-equal';
import { LIMB_LABELS, LIMB_NAMES } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { Limits } from '../screening/clearance';
import { type Basis, isPostOperativeWork, type Resolved } from './basis';
import { checkLimb, checkLimbOfExercise, checkUnmeasured } from './check-limb';
import { checkIntensity, checkResistance } from './check-resistance';
import { RUNG_NAMES } from './goals';
import { rangesCrossed, rungPassed } from './letter-work';

/** Everything the rules find about one exercise by itself. */
export function checkExercise(one: Resolved, schoolId: SchoolId, basis: Basis): Finding[] {
  const passive = isPassive(one);
  const findings = [
    ...checkRole(one, basis),
    ...checkRung(one, basis),
    ...checkClearance(one, basis),
    ...one.limbs.flatMap((limb) => checkLimb(one, limb, schoolId, passive, basis)),
    ...one.unmeasured.flatMap((limb) => checkUnmeasured(one, limb, basis)),
    ...one.straps.flatMap(({ limb }) => checkLimbOfExercise(limb, one)),
    ...checkStraps(one, basis.limits),
    ...checkWater(one),
    ...checkSides(one),
    ...checkPassive(one, passive),
    ...checkCycles(one),
    ...checkIntensity(one.choice.intensity),
    ...checkResistance(one, basis),
    ...checkProtocolChoices(one),
  ];
  // Two limbs at the same share say the same thing once.
  return findings.filter((finding, i) => findings.findIndex((other) => isEqual(other, finding)) === i);
}

/** Passive cycles only count as passive when nothing is exercised, by what every practice starts with (rule PRS-3). */
const isPassive = ({ choice, exercise }: Resolved): boolean =>
  PROTOCOLS[choice.protocolId].mode === 'passive' &&
  exercise.kind === 'passive' &&
  (EXERCISES as Library)[choice.exerciseId]?.kind === 'passive';

/** No pump, gauge or tube goes into water, by what every practice starts with too (rule TIGHT: straps by feel). */
function checkWater({ choice, exercise }: Resolved): Finding[] {
  const inWater = exercise.inWater || (EXERCISES as Library)[choice.exerciseId]?.inWater;
  if (!inWater || choice.limbs.every(({ kind }) => kind === 'by-feel')) return [];
  return [
    {
      rule: 'TIGHT',
      level: 'hard',
      subject: 'exerciseId',
      message: msg(
        '{exercise}: no pump, gauge or tube goes into water, so a cuff at a pressure cannot be held there.',
        { exercise: exercise.label },
      ),
      remedy: msg('Use a strap by feel, or walk on land.'),
    },
  ];
}

function checkRole({ choice }: Resolved, basis: Basis): Finding[] {
  if (mayDo({ role: basis.prescriber, isOwner: false }, 'sign-post-operative')) return [];
  const passive = PROTOCOLS[choice.protocolId].mode === 'passive';
  const limbs = choice.limbs.map(({ limb }) => limb);
  if (!passive && !isPostOperativeWork(limbs, basis)) return [];
  return [
    {
      rule: 'SCR-4',
      level: 'hard',
      subject: 'protocolId',
      message: passive
        ? msg('Passive work is prescribed by a clinician only.')
        : msg('Post-operative work is prescribed by a clinician only.'),
      remedy: msg('Ask a clinician to prescribe it.'),
    },
  ];
}

/** The rung of an exercise with what loads it: with kilograms on it, work without a load is loaded (rule PRO-5). */
const rungOf = ({ choice, exercise }: Resolved): Rung =>
  exercise.rung === 'unloaded' && choice.load.kind === 'weighed' ? 'loaded' : exercise.rung;

/**
 * Work above the rung that a limb is on: of an operated limb, and of any on the ladder, however long ago that was; it ends by
 * *done with the cuff* alone. An operated one never checked is under the first rung that moves (rule PRO-5).
 */
function checkRung(one: Resolved, basis: Basis): Finding[] {
  const rung = rungOf(one);
  return one.choice.limbs.flatMap(({ limb }): Finding[] => {
    const stood = basis.rungs.get(limb);
    if (stood === undefined && !isPostOperativeWork([limb], basis)) return [];
    const name = LIMB_NAMES[limb];
    if (stood === 'done')
      return [
        {
          rule: 'PRO-5',
          level: 'note',
          subject: 'exerciseId',
          message: msg('The {name} is done with the cuff: work of it under one is a new plan.', { name }),
          remedy: msg('Heavy work without the cuff comes next.'),
        },
      ];
    if (rungHeight(rung) <= rungHeight(stood ?? 'passive')) return [];
    const { label } = one.exercise;
    const work = rung === one.exercise.rung ? label : msg('{label} with a weight', { label });
    return [
      {
        rule: 'PRO-5',
        level: 'guard',
        subject: 'exerciseId',
        message: stood
          ? msg('{work} is {rung} work; the {name} is on {stood}.', {
              work,
              rung: RUNG_NAMES[rung],
              name,
              stood: RUNG_NAMES[stood],
            })
          : msg('{work} is {rung} work, and no rung is on record for the {name}.', {
              work,
              rung: RUNG_NAMES[rung],
              name,
            }),
        remedy: msg('Check the limb for the rung, or give the reason.'),
      },
    ];
  });
}

/** Limb by limb: what the letters that speak of it allow (rule SCR-2). */
function checkClearance(one: Resolved, { limits }: Basis): Finding[] {
  const { choice, exercise } = one;
  const rung = rungOf(one);
  const { mode } = PROTOCOLS[choice.protocolId];
  const hard = (finding: Omit<Finding, 'rule' | 'level'>): Finding => ({
    rule: 'SCR-2',
    level: 'hard',
    ...finding,
  });
  return choice.limbs.flatMap((target) => {
    const { limb } = target;
    const { maxPercentLop, capFrom, modes, isCleared } = limits[limb];
    const name = LIMB_LABELS[limb];
    const findings: Finding[] = [];
    if (target.kind === 'measured' && maxPercentLop !== null && target.percentLop > maxPercentLop)
      findings.push(
        hard({
          subject: 'percentLop',
          message: msg(
            '{name}: {percentLop} % is above the {maxPercentLop} % of LOP that {capFrom} has cleared.',
            { name, percentLop: target.percentLop, maxPercentLop, capFrom: capFrom ?? '' },
          ),
          remedy: msg('Set {maxPercentLop} % or lower, or have a clinician record a new clearance.', {
            maxPercentLop,
          }),
          fix: { set: 'percentLop', to: maxPercentLop, as: 'most', limb },
        }),
      );
    if (!isCleared)
      findings.push(
        hard({
          subject: 'limb',
          message: msg('{name}: the clearances on record do not speak of it.', { name }),
          remedy: msg('Choose a limb that is cleared.'),
        }),
      );
    if (modes && !modes.includes(mode))
      findings.push(
        hard({
          subject: 'protocolId',
          message:
            modes.length === 0
              ? msg('{name}: the clearance allows no work.', { name })
              : msg('{name}: the clearance allows {modes} work only.', {
                  name,
                  modes: list(
                    modes.map((one) => WORK_MODE_NAMES[one]),
                    ', ',
                  ),
                }),
          remedy: msg('Prescribe work that is cleared.'),
        }),
      );
    const highest = rungPassed(limits[limb], rung);
    if (highest)
      findings.push(
        hard({
          subject: 'exerciseId',
          message: msg('{name}: the clearance allows work up to {highest} only, and this is {rung}.', {
            name,
            highest: RUNG_NAMES[highest],
            rung: RUNG_NAMES[rung],
          }),
          remedy: msg('Prescribe work that is cleared.'),
        }),
      );
    for (const { from, ...range } of rangesCrossed(limits[limb], choice.exerciseId, exercise, rung))
      findings.push({
        rule: 'SCR-2',
        level: 'guard',
        subject: 'exerciseId',
        message: msg('{name}: {exercise} goes through what {from} forbids: {range}.', {
          name,
          exercise: exercise.label,
          from,
          range: rangeWords(range),
        }),
        remedy: msg('Choose an exercise that does not go through it, or say how its range is kept.'),
      });
    return findings;
  });
}

function checkSides({ choice, exercise }: Resolved): Finding[] {
  const twice = new Set(choice.limbs.map(({ limb }) => limb)).size < choice.limbs.length;
  if (twice) {
    return [
      {
        rule: 'PRO-2',
        level: 'hard',
        subject: 'limb',
        message: msg('The same limb is named twice.'),
        remedy: msg('Name the other limb, or one only.'),
      },
    ];
  }
  if (exercise.sides !== 'one' || choice.limbs.length === 1) return [];
  return [
    {
      rule: 'PRO',
      level: 'note',
      subject: 'limb',
      message: msg('{exercise} is done with one limb at a time.', { exercise: exercise.label }),
      remedy: msg('Do the limbs one after the other.'),
    },
  ];
}

function checkPassive({ choice, exercise }: Resolved, passive: boolean): Finding[] {
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
function checkCycles({ choice, exercise }: Resolved): Finding[] {
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

/** A strap is second best: it keeps no cap, does no passive work, and is looked at after every set (rule TIGHT). */
function checkStraps({ choice, straps }: Resolved, limits: Limits): Finding[] {
  if (straps.length === 0) return [];
  const findings: Finding[] = [
    {
      rule: 'TIGHT',
      level: 'note',
      subject: 'limb',
      message: msg('By feel: people misjudge it, and the pressure is not known.'),
      remedy: msg('Start low, and check colour and tingling after every set; a measured cuff is better.'),
    },
  ];
  for (const { maxPercentLop, capFrom } of straps.map(({ limb }) => limits[limb])) {
    if (maxPercentLop === null) continue;
    findings.push({
      rule: 'SCR-2',
      level: 'hard',
      subject: 'limb',
      message: msg('{capFrom} has cleared {maxPercentLop} % of LOP at most, which a strap cannot keep.', {
        capFrom: capFrom ?? '',
        maxPercentLop,
      }),
      remedy: msg('Use a cuff that can be measured.'),
    });
  }
  if (PROTOCOLS[choice.protocolId].mode === 'passive') {
    findings.push({
      rule: 'TIGHT',
      level: 'hard',
      subject: 'protocolId',
      message: msg('Passive cycles need a pressure, and a strap has none.'),
      remedy: msg('Use a cuff that can be measured.'),
    });
  }
  return findings;
}

function checkProtocolChoices({ choice, load }: Resolved): Finding[] {
  const protocol = PROTOCOLS[choice.protocolId];
  const findings: Finding[] = [];
  const [tempo] = protocol.tempos;
  if (tempo && !protocol.tempos.includes(choice.tempoId)) {
    findings.push({
      rule: 'LOAD-5',
      level: 'note',
      subject: 'tempoId',
      message: msg('{protocol} is usually paced {tempos}.', {
        protocol: protocol.label,
        tempos: list(protocol.tempos, 'or'),
      }),
      remedy: msg('Choose {tempos}.', { tempos: list(protocol.tempos, 'or') }),
      fix: { set: 'tempoId', to: tempo },
    });
  }
  const [shortest, longest] = protocol.restRangeMs;
  const rests = choice.sets.slice(0, -1).map(({ restMs }) => restMs);
  if (rests.some((ms) => ms < shortest || ms > longest)) {
    const seconds =
      shortest === longest
        ? shortest / 1000
        : msg('{shortest} to {longest}', { shortest: shortest / 1000, longest: longest / 1000 });
    findings.push({
      rule: 'PRO',
      level: 'note',
      subject: 'restMs',
      message: msg('{protocol} usually rests {seconds} s.', { protocol: protocol.label, seconds }),
      remedy: msg('Set {seconds} s.', { seconds }),
      fix: { set: 'restMs', to: protocol.restMs },
    });
  }
  const heavy =
    load.truePercent !== null && load.truePercent > RULES['LOAD-3'].figures.percentOneRepMax.usualHigh;
  if (
    heavy &&
    Math.max(0, ...choice.sets.map(({ work }) => pacedReps(work) ?? 0)) >= RULES['LOAD-5'].figures.cleanReps
  ) {
    findings.push({
      rule: 'LOAD-5',
      level: 'note',
      subject: 'sets',
      message: msg(
        'Thirty clean repetitions must be possible without the cuff; at {truePercent} % of 1RM that is doubtful.',
        { truePercent: load.truePercent ?? 0 },
      ),
      remedy: msg('Lower the load or the repetitions.'),
    });
  }
  return findings;
}
