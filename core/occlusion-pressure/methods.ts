import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { list, type Message, msg } from '../message/message';
import { LIMB_NAMES, type Limb, type LimbKind, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';

export const pulseMethodSchema = z.enum(['doppler', 'palpation', 'oximeter', 'automatic-pump']);
export type PulseMethod = z.infer<typeof pulseMethodSchema>;

export const pulseSiteSchema = z.enum(['radial', 'posterior-tibial', 'dorsalis-pedis', 'finger', 'cuff']);
export type PulseSite = z.infer<typeof pulseSiteSchema>;

export const SITE_LABELS: Record<PulseSite, Message> = {
  radial: msg('radial'),
  'posterior-tibial': msg('posterior tibial'),
  'dorsalis-pedis': msg('dorsalis pedis'),
  finger: msg('finger'),
  cuff: msg('in the cuff'),
};

/** How a pulse is followed: where, and what to look out for before it is trusted (rule LOP-1). */
export type Method = {
  label: Message;
  sites: Record<LimbKind, readonly PulseSite[]>;
  /** Its own standard uncertainty, in mmHg: a working assumption of this app (rule LOP-3). */
  uncertaintyMmHg: number;
  traps: readonly Message[];
};

const EVERY = [
  msg('Limb straight and relaxed'),
  msg('Gauge at zero before'),
  msg('Valve closed'),
  msg('No talking'),
];

const { methodMmHg } = RULES['LOP-3'].figures;

export const METHODS: Record<PulseMethod, Method> = {
  doppler: {
    label: msg('Doppler probe'),
    uncertaintyMmHg: methodMmHg.doppler,
    sites: { arm: ['radial'], leg: ['posterior-tibial', 'dorsalis-pedis'] },
    traps: [msg('Probe volume up'), msg('Room quiet'), msg('Gel, and the probe at a slant'), ...EVERY],
  },
  palpation: {
    label: msg('fingers'),
    uncertaintyMmHg: methodMmHg.palpation,
    sites: { arm: ['radial'], leg: ['posterior-tibial', 'dorsalis-pedis'] },
    traps: [msg('Two fingers, never the thumb'), ...EVERY],
  },
  oximeter: {
    label: msg('oximeter trace'),
    uncertaintyMmHg: methodMmHg.oximeter,
    sites: { arm: ['finger'], leg: [] },
    traps: [msg('Hand warm'), msg('Wait a few beats at each step: the trace reacts late'), ...EVERY],
  },
  'automatic-pump': {
    label: msg('the pump itself'),
    uncertaintyMmHg: methodMmHg['automatic-pump'],
    sites: { arm: ['cuff'], leg: ['cuff'] },
    traps: [msg('Hose free of kinks'), ...EVERY],
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
        ? msg(
            'An oximeter trace is for the upper limb only: on a toe it is too weak and too late to say when flow stops.',
          )
        : msg('By {label}, {limb} is not measured at {site}.', {
            label,
            limb: LIMB_NAMES[limb],
            site: SITE_LABELS[site],
          }),
      remedy: refusesLegs
        ? msg('Use a Doppler probe or fingers at the ankle.')
        : msg('Use {sites}.', {
            sites: list(
              allowed.map((id) => SITE_LABELS[id]),
              'or',
            ),
          }),
    },
  ];
}
