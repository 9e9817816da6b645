import { normal, type Random } from './random';

/**
 * A simulated cuff on a simulated pump. Pressures in mmHg, times in ms. `settleMmHg` is what wrinkles and tissue will
 * still give away, as contractions work it out (rule PRS-5).
 */
export type PumpState = {
  kind: 'by-hand' | 'regulated';
  pressureMmHg: number;
  targetMmHg: number;
  valveOpen: boolean;
  plugged: boolean;
  settleMmHg: number;
  /** Automatic measurement under way (regulated only), and what it found. */
  measuring: boolean;
  measuredMmHg: number | null;
};

export type PumpCommand =
  | { do: 'squeeze'; byMmHg: number }
  | { do: 'bleed'; byMmHg: number }
  | { do: 'inflate-to'; pressureMmHg: number }
  | { do: 'release' }
  | { do: 'unplug' }
  | { do: 'plug' }
  | { do: 'contract' }
  | { do: 'measure' };

/** The highest pressure a simulated pump reaches, as the refusal of rule LOP-7. */
export const PUMP_TOP_MMHG = 300;

const FALL_MMHG_PER_S = 90;
const REGULATED_MMHG_PER_S = 40;
const LEAK_MMHG_PER_S = 1.5;
/** Tissue under a cuff swells and presses back; only a regulated pump lets that out. */
const SWELL_MMHG_PER_MIN = 1;
const SETTLE_SHARE = 0.04;
const MEASURE_MMHG_PER_S = 12;
const MEASURE_ERROR_MMHG = 3;

export const newPump = (kind: PumpState['kind']): PumpState => ({
  kind,
  pressureMmHg: 0,
  targetMmHg: 0,
  valveOpen: false,
  plugged: true,
  settleMmHg: 0,
  measuring: false,
  measuredMmHg: null,
});

const within = (pressureMmHg: number): number => Math.min(PUMP_TOP_MMHG, Math.max(0, pressureMmHg));

/** The pump after a command. A command a pump of its kind does not know changes nothing. */
export function commandPump(pump: PumpState, command: PumpCommand): PumpState {
  switch (command.do) {
    case 'squeeze': {
      if (pump.kind !== 'by-hand' || !pump.plugged) return pump;
      const pressureMmHg = within(pump.pressureMmHg + command.byMmHg);
      return { ...pump, valveOpen: false, pressureMmHg, settleMmHg: SETTLE_SHARE * pressureMmHg };
    }
    case 'bleed':
      return pump.kind === 'by-hand'
        ? { ...pump, pressureMmHg: within(pump.pressureMmHg - command.byMmHg) }
        : pump;
    case 'inflate-to': {
      if (pump.kind !== 'regulated' || !pump.plugged) return pump;
      const targetMmHg = within(command.pressureMmHg);
      return {
        ...pump,
        valveOpen: false,
        targetMmHg,
        measuring: false,
        settleMmHg: SETTLE_SHARE * targetMmHg,
      };
    }
    case 'release':
      return { ...pump, valveOpen: true, targetMmHg: 0, measuring: false };
    case 'unplug':
      return { ...pump, plugged: false };
    case 'plug':
      return { ...pump, plugged: true };
    case 'contract': {
      const givenMmHg = pump.settleMmHg / 2;
      return {
        ...pump,
        settleMmHg: pump.settleMmHg - givenMmHg,
        pressureMmHg: within(pump.pressureMmHg - givenMmHg),
      };
    }
    case 'measure':
      return pump.kind === 'regulated' && pump.plugged
        ? { ...pump, valveOpen: false, measuring: true, measuredMmHg: null }
        : pump;
  }
}

/**
 * The pump `elapsedMs` later.
 * @param strengthAt pulse strength at a cuff pressure now, which an automatic measurement listens to
 * @param random chance of the measurement's own error
 */
export function advancePump(
  pump: PumpState,
  elapsedMs: number,
  strengthAt: (cuffMmHg: number) => number,
  random: Random,
): PumpState {
  const seconds = elapsedMs / 1000;
  if (pump.valveOpen) {
    return { ...pump, pressureMmHg: within(pump.pressureMmHg - FALL_MMHG_PER_S * seconds), settleMmHg: 0 };
  }
  if (!pump.plugged) return { ...pump, pressureMmHg: within(pump.pressureMmHg - LEAK_MMHG_PER_S * seconds) };
  if (pump.measuring) return advanceMeasurement(pump, seconds, strengthAt, random);
  if (pump.kind === 'by-hand') {
    const swellMmHg = pump.pressureMmHg > 0 ? (SWELL_MMHG_PER_MIN * seconds) / 60 : 0;
    return { ...pump, pressureMmHg: within(pump.pressureMmHg + swellMmHg) };
  }
  const missingMmHg = pump.targetMmHg - pump.pressureMmHg;
  const stepMmHg = Math.sign(missingMmHg) * Math.min(Math.abs(missingMmHg), REGULATED_MMHG_PER_S * seconds);
  return { ...pump, pressureMmHg: within(pump.pressureMmHg + stepMmHg) };
}

function advanceMeasurement(
  pump: PumpState,
  seconds: number,
  strengthAt: (cuffMmHg: number) => number,
  random: Random,
): PumpState {
  const pressureMmHg = within(pump.pressureMmHg + MEASURE_MMHG_PER_S * seconds);
  if (strengthAt(pressureMmHg) > 0 && pressureMmHg < PUMP_TOP_MMHG) return { ...pump, pressureMmHg };
  const measuredMmHg = Math.round(within(pressureMmHg + MEASURE_ERROR_MMHG * normal(random)));
  return { ...pump, pressureMmHg, measuring: false, measuredMmHg, valveOpen: true };
}
