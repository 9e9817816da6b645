import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { mass, msg, type Text } from '../message/message';
import { tidy } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';
import { percentOfMax } from './percent-of-max';
import { makeableLoads, resistanceText, unweighedSteps, type WeightKit } from './weight-kit';

/** A load next to the chosen one, in kg, with its share of the 1RM; a band or body weight has neither. */
export type LoadStep = { loadKg: number | null; percent: number | null; recipe: Text };

/** The load to use in kg, its true share of the 1RM (null without kilograms), how it is made, and its neighbours. */
export type TargetLoad = {
  load: Derived;
  truePercent: number | null;
  recipe: Text;
  lighter: LoadStep | null;
  heavier: LoadStep | null;
};

/**
 * Load for a share of the one-repetition maximum, rounded down to what the kit can make (rules LOAD-3, LOAD-4).
 * @param oneRepMaxKg 1RM in kg
 * @param percentOneRepMax intended share, in % of 1RM
 * @returns the heaviest makeable load at or under the target; the lightest one when nothing is under it
 */
export function targetLoad(oneRepMaxKg: number, percentOneRepMax: number, kit: WeightKit): TargetLoad {
  const exactKg = tidy((oneRepMaxKg * percentOneRepMax) / 100);
  const loads = makeableLoads(kit);
  const lightest = loads[0];
  if (!lightest) throw new RangeError(`${kit.label} makes no load.`);
  const chosen = loads.findLast(({ loadKg }) => loadKg <= exactKg) ?? lightest;
  const share = (loadKg: number) => percentOfMax(loadKg, oneRepMaxKg);
  const truePercent = share(chosen.loadKg);
  const place = loads.indexOf(chosen);
  const step = (by: number): LoadStep | null => {
    const made = loads[place + by];
    return made ? { ...made, percent: share(made.loadKg) } : null;
  };
  return {
    lighter: step(-1),
    heavier: step(1),
    truePercent,
    recipe: chosen.recipe,
    load: {
      value: chosen.loadKg,
      unit: 'kg',
      working: [
        {
          label: msg('Share of 1RM'),
          detail: msg('{oneRepMax} × {percentOneRepMax} % = {exact}', {
            oneRepMax: mass(oneRepMaxKg),
            percentOneRepMax,
            exact: mass(exactKg),
          }),
        },
        {
          label: chosen.loadKg > exactKg ? msg('Lightest there is') : msg('Rounded down'),
          detail: msg('{kit}: {recipe} → {loadKg}, truly {truePercent} % of 1RM', {
            kit: kit.label,
            recipe: chosen.recipe,
            loadKg: mass(chosen.loadKg),
            truePercent,
          }),
        },
      ],
      rules: ['LOAD-3', 'LOAD-4'],
    },
  };
}

/** Work without kilograms: a band or body weight by name, and its neighbours (rule LOAD-4). */
export function withoutKilograms(chosen: string, kits: readonly WeightKit[]): TargetLoad {
  const steps = unweighedSteps(chosen, kits);
  const place = steps.indexOf(chosen);
  const step = (by: number): LoadStep | null => {
    const recipe = place < 0 ? undefined : steps[place + by];
    return recipe === undefined ? null : { loadKg: null, percent: null, recipe: resistanceText(recipe) };
  };
  return {
    lighter: step(-1),
    heavier: step(1),
    truePercent: null,
    recipe: resistanceText(chosen),
    load: {
      value: 0,
      unit: 'kg',
      working: [
        {
          label: msg('Without kilograms'),
          detail: msg('{resistance}: it enters no computed load', { resistance: resistanceText(chosen) }),
        },
      ],
      rules: ['LOAD-4'],
    },
  };
}

/** Findings on the intended and the true share of 1RM: the higher of both is judged (rules LOAD-3, LOAD-4). */
export function checkLoad(percentOneRepMax: number, target: TargetLoad): Finding[] {
  const { startLow, usualHigh, most } = RULES['LOAD-3'].figures.percentOneRepMax;
  const truePercent = target.truePercent ?? percentOneRepMax;
  const higher = Math.max(percentOneRepMax, truePercent);
  const ofKit = truePercent > percentOneRepMax;
  const findings: Finding[] = [];
  if (ofKit) {
    findings.push({
      rule: 'LOAD-4',
      level: levelOf(truePercent),
      subject: 'weightKitId',
      message: msg(
        'The lightest this kit makes is {load}, which is {truePercent} % of 1RM and above the {percentOneRepMax} % asked for.',
        { load: mass(target.load.value), truePercent, percentOneRepMax },
      ),
      remedy: msg('Use other kit, a longer rest, fewer repetitions, or another exercise.'),
    });
  } else if (higher > usualHigh) {
    findings.push({
      rule: 'LOAD-3',
      level: levelOf(higher),
      subject: 'percentOneRepMax',
      message:
        higher > most
          ? msg('{higher} % of 1RM is above {most} %, which must not be used under a cuff.', { higher, most })
          : msg('{higher} % of 1RM is above the usual {usualHigh} %.', { higher, usualHigh }),
      remedy:
        higher > most
          ? msg('Set {usualHigh} % or lower.', { usualHigh })
          : msg('Set {usualHigh} % or lower, or have a clinician give the reason.', { usualHigh }),
      fix: { set: 'percentOneRepMax', to: usualHigh },
    });
  }
  if (percentOneRepMax < startLow) {
    findings.push({
      rule: 'LOAD-3',
      level: 'note',
      subject: 'percentOneRepMax',
      message: msg('{percentOneRepMax} % of 1RM is below {startLow} %: meant for early rehabilitation.', {
        percentOneRepMax,
        startLow,
      }),
      remedy: msg('Set {startLow} % or more if the limb allows it.', { startLow }),
      fix: { set: 'percentOneRepMax', to: startLow },
    });
  }
  return findings;
}

function levelOf(percent: number): Finding['level'] {
  const { usualHigh, most } = RULES['LOAD-3'].figures.percentOneRepMax;
  if (percent > most) return 'hard';
  return percent > usualHigh ? 'guard' : 'note';
}
