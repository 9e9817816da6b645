import { z } from 'zod';
import { type Message, msg, type Text } from '../message/message';

/** Joints that a letter may name a range of. */
export const jointSchema = z.enum(['knee', 'hip', 'ankle', 'elbow', 'shoulder', 'wrist']);
export type RangeJoint = z.infer<typeof jointSchema>;

export const JOINT_NAMES: Record<RangeJoint, Message> = {
  knee: msg('knee'),
  hip: msg('hip'),
  ankle: msg('ankle'),
  elbow: msg('elbow'),
  shoulder: msg('shoulder'),
  wrist: msg('wrist'),
};

const MORE_JOINTS: Record<string, Message> = { fingers: msg('fingers'), forearm: msg('forearm') };

/** What a joint of an exercise is called; one that a practice named itself is shown as it was typed. */
export const jointName = (joint: string): Text =>
  (JOINT_NAMES as Record<string, Message>)[joint] ?? MORE_JOINTS[joint] ?? joint;
