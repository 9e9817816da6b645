import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { LIMB_LABELS, type Limb, type LimbKind, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';

export const pulseMethodSchema = z.enum(['doppler', 'palpation', 'oximeter', 'automatic-pump']);
export type PulseMethod = z.infer<typeof pulseMethodSchema>;

export const pulseSiteSchema = z.enum(['radial', 'posterior-tibial', 'dorsalis-pedis', 'finger', 'cuff']);
export type PulseSite = z.infer<typeof pulseSiteSchema>;

export const SITE_LABELS: Record<PulseSite, string> = {
  radial: 'radial',
  'posterior-tibial': 'posterior tibial',
  'dorsalis-pedis': 'dorsalis pedis',
  finger: 'finger',
  cuff: 'in the cuff',
};

/** How a pulse is followed: where, and what to look out for before it is trusted (rule LOP-1). */
export type Method = {
  label: string;
  sites: Record<LimbKind, readonly PulseSite[]>;
  /** Its own standard uncertainty, in mmHg: a working assumption of this app (rule LOP-3). */
  uncertaintyMmHg: number;
  traps: readonly string[];
};

const EVERY = ['Limb straight and relaxed', 'Gauge at zero before', 'Valve closed', 'Nobody talks'];

const { methodMmHg } = RULES['LOP-3'].figures;

export const METHODS: Record<PulseMethod, Method> = {
  doppler: {
    label: 'Doppler probe',
    uncertaintyMmHg: methodMmHg.doppler,
    sites: { arm: ['radial'], leg: ['posterior-tibial', 'dorsalis-pedis'] },
    traps: ['Probe volume up', 'Room quiet', 'Gel, and the probe at a slant', ...EVERY],
  },
  palpation: {
    label: 'fingers',
    uncertaintyMmHg: methodMmHg.palpation,
    sites: { arm: ['radial'], leg: ['posterior-tibial', 'dorsalis-pedis'] },
    traps: ['Two fingers, never the thumb', ...EVERY],
  },
  oximeter: {
    label: 'oximeter trace',
    uncertaintyMmHg: methodMmHg.oximeter,
    sites: { arm: ['finger'], leg: [] },
    traps: ['Hand warm', 'Wait a few beats at each step: the trace reacts late', ...EVERY],
  },
  'automatic-pump': {
    label: 'the pump itself',
    uncertaintyMmHg: methodMmHg['automatic-pump'],
    sites: { arm: ['cuff'], leg: ['cuff'] },
    traps: ['Hose free of kinks', ...EVERY],
  },
};

/** Findings on following this limb's pulse in this way at this place (rule LOP-1). */
export function checkMethod(limb: Limb, method: PulseMethod, site: PulseSite): Finding[] {
  const { label, sites } = METHODS[method];
  const allowed = sites[limbKind(limb)];
  if (allowed.includes(site)) return [];
  const refusesLegs = method === 'oximeter' && limbKind(limb) === 'leg';
  return [
    {
      rule: 'LOP-1',
      level: 'hard',
      subject: refusesLegs ? 'method' : 'site',
      message: refusesLegs
        ? 'An oximeter trace is for the upper limb only: on a toe it is too weak and too late to say when flow stops.'
        : `By ${label}, ${LIMB_LABELS[limb].toLowerCase()} is not measured at ${SITE_LABELS[site]}.`,
      remedy: refusesLegs
        ? 'Use a Doppler probe or fingers at the ankle.'
        : `Use ${allowed.map((id) => SITE_LABELS[id]).join(' or ')}.`,
    },
  ];
}
