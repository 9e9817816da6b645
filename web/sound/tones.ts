import type { Cue } from '#core/protocol';
import { muted, paced } from './mute';

type Tone = { hz: number; lengthS: number; gain: number };

const TONES: Record<Cue['tone'], Tone> = {
  rep: { hz: 880, lengthS: 0.09, gain: 0.25 },
  turn: { hz: 587, lengthS: 0.09, gain: 0.2 },
  tick: { hz: 440, lengthS: 0.04, gain: 0.1 },
};

const ALARM: Tone[] = [
  { hz: 988, lengthS: 0.25, gain: 0.4 },
  { hz: 740, lengthS: 0.35, gain: 0.4 },
];

let audio: AudioContext | undefined;

/** Browsers let a page sound only after a touch or a key: call this from one. */
export function allowSound(): void {
  audio ??= new AudioContext();
  void audio.resume();
}

/** Sounds pace tones and ticks at their own wall-clock times, some of which are a moment ahead. */
export function soundCues(cues: readonly Cue[], nowMs: number): void {
  if (paced.get() !== 'yes') return;
  for (const { tone, atMs } of cues) sound(TONES[tone], Math.max(0, atMs - nowMs) / 1000);
}

/** One soft note when 80 % of the limit is reached. */
export const soundNear = (): void => sound({ hz: 740, lengthS: 0.4, gain: 0.25 }, 0);

/** The two-note alarm of the occlusion limit. */
export function soundAlarm(): void {
  let delayS = 0;
  for (const tone of ALARM) {
    sound(tone, delayS);
    delayS += tone.lengthS;
  }
}

function sound({ hz, lengthS, gain }: Tone, delayS: number): void {
  if (!audio || muted.get() === 'yes') return;
  const startS = audio.currentTime + delayS;
  const oscillator = new OscillatorNode(audio, { frequency: hz });
  const envelope = new GainNode(audio, { gain: 0 });
  envelope.gain.setValueAtTime(gain, startS);
  envelope.gain.exponentialRampToValueAtTime(0.001, startS + lengthS);
  oscillator.connect(envelope).connect(audio.destination);
  oscillator.start(startS);
  oscillator.stop(startS + lengthS);
}
