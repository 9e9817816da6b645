import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { tidy, toDecimals } from '../quantity/rounding';
import type { DisplayUnits } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { percentOfMax } from './percent-of-max';
import { makeableLoads, unweighedSteps, type WeightKit } from './weight-kit';

/** A load next to the chosen one, in kg, with its share of the 1RM; a band or body weight has neither. */
export type LoadStep = { loadKg: number | null; percent: number | null; recipe: string };

/** The load to use in kg, its true share of the 1RM (null without kilograms), how it is made, and its neighbours. */
export type TargetLoad = {
  load: Derived;
  truePercent: number | null;
  recipe: string;
  lighter: LoadStep | null;
  heavier: LoadStep | null;
};

/**
 * Load for a share of the one-repetition maximum, rounded down to what the kit can make (rules LOAD-3, LOAD-4).
 * @param oneRepMaxKg 1RM in kg
 * @param percentOneRepMax intended share, in % of 1RM
 * @param unit of the recipe's words; the working is in kg
 * @returns the heaviest makeable load at or under the target; the lightest one when nothing is under it
 */
export function targetLoad(
  oneRepMaxKg: number,
  percentOneRepMax: number,
  kit: WeightKit,
  unit: DisplayUnits['mass'] = 'kg',
): TargetLoad {
  const exactKg = tidy((oneRepMaxKg * percentOneRepMax) / 100);
  const loads = makeableLoads(kit, unit);
  const lightest = loads[0];
  if (!lightest) throw new RangeError(`${kit.label} makes no load.`);
  const chosen = loads.filter(({ loadKg }) => loadKg <= exactKg).at(-1) ?? lightest;
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
          label: 'Share of 1RM',
          detail: `${oneRepMaxKg} kg × ${percentOneRepMax} % = ${toDecimals(exactKg, 2)} kg`,
        },
        {
          label: chosen.loadKg > exactKg ? 'Lightest there is' : 'Rounded down',
          detail: `${kit.label}: ${chosen.recipe} → ${chosen.loadKg} kg, truly ${truePercent} % of 1RM`,
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
    return recipe === undefined ? null : { loadKg: null, percent: null, recipe };
  };
  return {
    lighter: step(-1),
    heavier: step(1),
    truePercent: null,
    recipe: chosen,
    load: {
      value: 0,
      unit: 'kg',
      working: [{ label: 'Without kilograms', detail: `${chosen}: it enters no computed load` }],
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
      message: `The lightest this kit makes is ${target.load.value} kg, which is ${truePercent} % of 1RM and above the ${percentOneRepMax} % asked for.`,
      remedy: 'Use other kit, a longer rest, fewer repetitions, or another exercise.',
    });
  } else if (higher > usualHigh) {
    findings.push({
      rule: 'LOAD-3',
      level: levelOf(higher),
      subject: 'percentOneRepMax',
      message:
        higher > most
          ? `${higher} % of 1RM is above ${most} %, which nobody may use under a cuff.`
          : `${higher} % of 1RM is above the usual ${usualHigh} %.`,
      remedy:
        higher > most
          ? `Set ${usualHigh} % or lower.`
          : `Set ${usualHigh} % or lower, or have a clinician give the reason.`,
      fix: { set: 'percentOneRepMax', to: usualHigh },
    });
  }
  if (percentOneRepMax < startLow) {
    findings.push({
      rule: 'LOAD-3',
      level: 'note',
      subject: 'percentOneRepMax',
      message: `${percentOneRepMax} % of 1RM is below ${startLow} %: meant for early rehabilitation.`,
      remedy: `Set ${startLow} % or more if the limb allows it.`,
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
