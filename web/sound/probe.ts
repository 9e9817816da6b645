import type { DeviceFrame } from '#contract/device';
import { dopplerAt, probeSound } from '#core/simulation';
import { muted } from './mute';

const FRAME_S = 0.06;
const LOUDEST = 0.5;

/** A Doppler probe to hear: a whoosh that follows the blood, and the noise of the room. */
export type ProbeSound = { follow: (frame: DeviceFrame | null) => void; close: () => void };

/**
 * Starts the sound of a probe. Call it from a touch or a key: browsers allow sound only then.
 * @param knobs volume and room noise, 0–1, asked again for each frame
 */
export function startProbe(knobs: () => { volume: number; roomNoise: number }): ProbeSound {
  const audio = new AudioContext();
  const hiss = noise(audio);
  const whoosh = new GainNode(audio, { gain: 0 });
  const room = new GainNode(audio, { gain: 0 });
  const pitch = new BiquadFilterNode(audio, { type: 'bandpass', frequency: 180, Q: 1.4 });
  hiss.connect(pitch).connect(whoosh).connect(audio.destination);
  hiss
    .connect(new BiquadFilterNode(audio, { type: 'lowpass', frequency: 900 }))
    .connect(room)
    .connect(audio.destination);
  hiss.start();
  const glide = (gain: GainNode, to: number) =>
    gain.gain.linearRampToValueAtTime(muted.get() === 'yes' ? 0 : LOUDEST * to, audio.currentTime + FRAME_S);
  // A band of noise as narrow as this is quieter the lower it is: it is made up for.
  const evenly = (pitchHz: number) => Math.sqrt(480 / pitchHz);
  return {
    follow: (frame) => {
      const strength = frame?.pulse?.strength ?? 0;
      const sound = probeSound(strength, knobs());
      const { pitchHz, passes } = dopplerAt(strength, frame?.pulse?.phase ?? 1);
      pitch.frequency.linearRampToValueAtTime(pitchHz, audio.currentTime + FRAME_S);
      glide(whoosh, Math.min(1, sound.whoosh * passes * evenly(pitchHz)));
      glide(room, sound.noise / 4);
    },
    close: () => void audio.close(),
  };
}

function noise(audio: AudioContext): AudioBufferSourceNode {
  const buffer = audio.createBuffer(1, 2 * audio.sampleRate, audio.sampleRate);
  const samples = buffer.getChannelData(0);
  for (let i = 0; i < samples.length; i += 1) samples[i] = 2 * Math.random() - 1;
  return new AudioBufferSourceNode(audio, { buffer, loop: true });
}
