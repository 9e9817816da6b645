import { mayDo } from '../access/permissions';
import type { Finding } from '../findings/finding';
import { list, msg } from '../message/message';
import { PROTOCOLS } from '../protocol/data/protocols';
import type { SchoolId } from '../protocol/schools';
import { pacedReps } from '../protocol/set-work';
import { isEqual } from '../quantity/is-equal';
import { RULES } from '../rules/catalogue';
import { type Basis, isPostOperativeWork, type Resolved } from './basis';
import { checkCycles, checkPassive, isPassive } from './check-at-rest';
import { checkLimb, checkLimbOfExercise, checkUnmeasured } from './check-limb';
import { checkIntensity, checkResistance } from './check-resistance';
import { checkClearance, checkRung } from './check-rung';
import { checkSides, checkStraps, checkWater } from './check-setting';

/** Everything the rules find about one exercise by itself. */
export function checkExercise(one: Resolved, schoolId: SchoolId, basis: Basis): Finding[] {
  const passive = isPassive(one);
  const findings = [
    ...checkRole(one, basis),
    ...checkRung(one, basis),
    ...checkClearance(one, basis),
    ...one.limbs.flatMap((limb) => checkLimb(one, limb, schoolId, passive, basis)),
    ...one.unmeasured.flatMap((limb) => checkUnmeasured(one, limb, basis)),
    ...one.straps.flatMap(({ choice }) => checkLimbOfExercise(choice.limb, one)),
    ...checkStraps(one, basis.limits),
    ...checkWater(one),
    ...checkSides(one),
    ...checkPassive(one, passive),
    ...checkCycles(one),
    ...checkIntensity(one, basis),
    ...checkResistance(one, basis),
    ...checkProtocolChoices(one),
  ];
  // Two limbs at the same share say the same thing once.
  return findings.filter((finding, i) => findings.findIndex((other) => isEqual(other, finding)) === i);
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
