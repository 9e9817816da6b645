import { type Message, msg } from '../message/message';

const CHAIR = msg('chair, stool, get up, rise');
const BIKE = msg('bike, bicycle, ergometer, spinning, cardio, endurance');
const WALK = msg('walk, stroll, hike, cardio, endurance');
const STAIRS = msg('stairs, staircase, steps, climb');
const BED = msg('bed, rest, no exercise, in a cast, immobilised');
const MOVED = msg('mobilisation, manual therapy, massage, stretching, moved by hand');

/** What an exercise is called every day, by its id, where its own name does not say it. */
export const EVERYDAY: Readonly<Record<string, Message>> = {
  'sit-to-stand': msg('chair, stool, get up, rise, without hands'),
  'sit-to-stand-hands': CHAIR,
  'bodyweight-box-squat': CHAIR,
  'box-squat-high': CHAIR,
  'bar-squat': msg('back squat, barbell'),
  'front-squat': msg('barbell'),
  'air-squat': msg('bodyweight squat, squat without weight, knee bend'),
  'mini-squat-supported': msg('knee bend'),
  'goblet-squat': msg('kettlebell'),
  deadlift: msg('barbell, lift from the floor, pull'),
  'romanian-deadlift': msg('deadlift, stiff leg'),
  'hip-hinge': msg('deadlift, bend over, good morning'),
  'knee-extension': msg('leg extension, quads'),
  'leg-curl-lying': msg('hamstring curl'),
  'leg-curl-seated': msg('hamstring curl'),
  'leg-curl-standing': msg('hamstring curl'),
  'bridge-single': msg('glute bridge'),
  'bridge-shoulders': msg('glute bridge'),
  'hip-thrust': msg('glutes'),
  'calf-raise-seated': msg('heel raise, toes'),
  'calf-raise-standing': msg('heel raise, toes'),
  'quad-set': msg('isometric, thigh squeeze, press the knee down'),
  'stairs-up': STAIRS,
  'stairs-down': STAIRS,
  stepper: STAIRS,
  'step-up-10': STAIRS,
  'step-up-15': STAIRS,
  'step-up-20': STAIRS,
  'step-down-10': STAIRS,
  'step-down-15': STAIRS,
  'step-down-20': STAIRS,
  walking: WALK,
  'treadmill-incline': WALK,
  'pool-walk': msg('walk, water, aqua, swimming pool'),
  cycling: BIKE,
  'arm-ergometer': msg('hand bike, arm bike, cardio, endurance'),
  rowing: msg('rower, cardio, endurance'),
  'passive-cuff-leg': BED,
  'passive-cuff-arm': BED,
  'passive-range-leg': MOVED,
  'passive-range-arm': MOVED,
  'elbow-flexion': msg('biceps curl'),
  'elbow-extension': msg('triceps extension'),
  'cable-pressdown': msg('triceps pushdown'),
  'wall-push-up': msg('press-up'),
  'incline-push-up': msg('press-up'),
  'grip-squeeze': msg('ball, fist, handgrip'),
};

/** Undefined for an exercise of the practice's own, and where the name says it all. */
export const everydayWords = (exerciseId: string): Message | undefined => EVERYDAY[exerciseId];
