import type { ARM_EXERCISES } from './arm-exercises';
import type { SHOULDER_AND_HAND_EXERCISES } from './shoulder-and-hand-exercises';
import { BREAKS, NO_SINGLE, type Teaching, teach } from './teach';

type ArmId = keyof typeof ARM_EXERCISES | keyof typeof SHOULDER_AND_HAND_EXERCISES;

/** How exercises with a cuff on the upper arm are taught. */
export const ARM_TEACHING: Record<ArmId, Teaching> = {
  'elbow-flexion': teach(
    'Stand tall, elbow at the side, palm up.',
    'From straight to fully bent.',
    'The elbow drifts forward; the trunk swings.',
    { ...BREAKS, unloaded: 'biceps-isometric' },
  ),
  'hammer-curl': teach('Stand tall, thumbs up.', 'From straight to fully bent.', 'The trunk swings.', {
    ...BREAKS,
    unloaded: 'biceps-isometric',
  }),
  'band-curl': teach(
    'Stand on the band, palm up.',
    'From straight to fully bent.',
    'The band is slack at the bottom: stand wider.',
    BREAKS,
  ),
  'bar-curl': teach(
    'Hands shoulder wide, palms up.',
    'From straight to fully bent.',
    'Leaning back to lift.',
    BREAKS,
  ),
  'reverse-curl': teach(
    'Palms down, thumbs around the weight.',
    'From straight to a little past a right angle.',
    'Wrists drop.',
    NO_SINGLE,
  ),
  'seated-curl': teach(
    'Elbow against the inside of the thigh.',
    'From straight to fully bent.',
    'The shoulder rolls in.',
    { ...NO_SINGLE, ...BREAKS },
  ),
  'biceps-isometric': teach(
    'Forearm under a table or held by the other hand, at a right angle.',
    'No joint moves.',
    'Breath is held; the shoulder lifts.',
  ),
  'elbow-extension': teach(
    'Elbow at the side, band or cable from above.',
    'From bent to straight.',
    'The elbow leaves the side.',
    BREAKS,
  ),
  'cable-pressdown': teach(
    'Elbows at the side, hands on the bar.',
    'From a right angle to straight.',
    'Leaning over the bar.',
    BREAKS,
  ),
  'overhead-extension': teach(
    'Elbow up beside the ear, other hand steadies it.',
    'From fully bent to straight.',
    'The back arches; leave it where the shoulder pinches.',
    NO_SINGLE,
  ),
  kickback: teach(
    'Bent forward, hand on a bench, upper arm along the trunk.',
    'To straight.',
    'The upper arm drops.',
    NO_SINGLE,
  ),
  'bench-press': teach(
    'Shoulder blades together, feet flat, somebody spots.',
    'Bar to the chest, or a fist above it for the shoulder’s sake.',
    'Elbows flare; it bounces.',
    { forMuscle: 'chest and triceps', unloaded: 'wall-push-up' },
  ),
  'dumbbell-press': teach(
    'Weights beside the chest, wrists over elbows.',
    'To straight, without clapping together.',
    'Wrists bend back.',
    { ...NO_SINGLE, unloaded: 'wall-push-up' },
  ),
  'incline-press': teach(
    'Bench at 30 to 45 degrees, back on it.',
    'To straight.',
    'Elbows behind the trunk at the bottom.',
    { ...NO_SINGLE, unloaded: 'wall-push-up' },
  ),
  'chest-press-machine': teach(
    'Handles at the height of the chest, back on the rest.',
    'To nearly straight.',
    'Shoulders lift to the ears.',
    { ...BREAKS, unloaded: 'wall-push-up' },
  ),
  'band-fly': teach(
    'Band behind the back or fixed, elbows a little bent.',
    'From wide to hands together.',
    'It becomes a press.',
    { forMuscle: 'chest' },
  ),
  'wall-push-up': teach(
    'Hands on a wall at the height of the chest, a step away.',
    'Until the nose nears the wall.',
    'Hips sag.',
    BREAKS,
  ),
  'incline-push-up': teach(
    'Hands on a table that does not move.',
    'Chest to the edge, or a fist above it.',
    'Hips sag; neck pokes forward.',
    { ...BREAKS, unloaded: 'wall-push-up' },
  ),
  'knee-push-up': teach(
    'Knees on a mat, hands under the shoulders.',
    'Chest to a fist above the floor.',
    'Seat stays behind.',
    { ...BREAKS, unloaded: 'wall-push-up' },
  ),
  'shoulder-press': teach(
    'Sit with a rest, weights at the ears.',
    'To straight; less where the shoulder pinches.',
    'The back arches.',
    NO_SINGLE,
  ),
  'seated-row': teach(
    'Sit tall, knees soft, handle at the ribs.',
    'From long arms to hands at the ribs.',
    'Rocking the trunk.',
    BREAKS,
  ),
  'band-row': teach(
    'Band fixed at the height of the chest.',
    'From long arms to hands at the ribs.',
    'Shoulders lift.',
    BREAKS,
  ),
  'lat-pulldown': teach(
    'Thighs under the pad, hands wider than the shoulders.',
    'Bar to the collarbone.',
    'Leaning far back.',
    BREAKS,
  ),
  'dumbbell-row': teach(
    'Knee and hand on a bench, back long.',
    'Weight to the hip.',
    'The trunk turns to lift.',
    NO_SINGLE,
  ),
  'band-pull-apart': teach(
    'Band in both hands, arms long at the height of the chest.',
    'Until the band touches the chest.',
    'Shoulders lift; elbows bend.',
    { forMuscle: 'rear shoulder' },
  ),
  'blade-squeeze': teach(
    'Sit tall, hands in the lap.',
    'No joint of the arm moves.',
    'Shoulders lift to the ears.',
  ),
  'lateral-raise': teach(
    'Weights at the sides, a slight bend.',
    'To shoulder height and no higher.',
    'Swinging; shoulders lift.',
    NO_SINGLE,
  ),
  'front-raise': teach(
    'Weight ahead of the thigh, palm in.',
    'To shoulder height and no higher.',
    'Leaning back.',
    NO_SINGLE,
  ),
  'thumb-up-raise': teach(
    'Arm a third ahead of the side, thumb up.',
    'To shoulder height.',
    'The shoulder lifts first.',
    { ...NO_SINGLE, forMuscle: 'rotator cuff' },
  ),
  'thumb-down-raise': teach(
    'Arm a third ahead of the side, thumb down.',
    'Well below shoulder height.',
    'Leave it out where it pinches.',
    { ...NO_SINGLE, forMuscle: 'rotator cuff' },
  ),
  'rear-shoulder-lift': teach(
    'Bent forward, back long, arms hanging.',
    'To shoulder height and no higher.',
    'The trunk rises with the arms.',
    NO_SINGLE,
  ),
  'shoulder-extension': teach(
    'Band fixed ahead, elbows straight.',
    'To a hand behind the hip.',
    'The trunk bends.',
  ),
  'external-rotation-band': teach(
    'Elbow at the side on a towel, at a right angle.',
    'From the belly to as far as it turns easily.',
    'The elbow leaves the side.',
    { forMuscle: 'rotator cuff' },
  ),
  'internal-rotation-band': teach(
    'Elbow at the side on a towel, at a right angle.',
    'From outside to the belly.',
    'The trunk turns.',
    { forMuscle: 'rotator cuff' },
  ),
  'external-rotation-side': teach(
    'On the side, towel under the upper elbow, at a right angle.',
    'From the belly to level.',
    'The wrist bends to cheat.',
    { ...NO_SINGLE, forMuscle: 'rotator cuff' },
  ),
  'serratus-reach': teach(
    'On the back, arm to the ceiling, elbow straight.',
    'A hand’s breadth, the blade moves and the elbow does not.',
    'The elbow bends.',
    NO_SINGLE,
  ),
  'table-slide': teach(
    'Sit at a table, hand on a cloth.',
    'As far as is easy; a mark shows the gain.',
    'The shoulder lifts.',
  ),
  pendulum: teach(
    'Other hand on a table, arm hangs.',
    'Small circles, a hand wide.',
    'The arm is moved rather than swung.',
  ),
  'wrist-extension': teach(
    'Forearm on a table, hand over its edge, palm down.',
    'All the way, both ways.',
    'The forearm lifts.',
    NO_SINGLE,
  ),
  'wrist-flexion': teach(
    'Forearm on a table, hand over its edge, palm up.',
    'All the way, both ways.',
    'Fingers open at the bottom and the weight rolls.',
    NO_SINGLE,
  ),
  'wrist-deviation': teach(
    'Forearm on a table, thumb up, weight held at one end.',
    'All the way, both ways.',
    'The forearm turns.',
    NO_SINGLE,
  ),
  'pronation-supination': teach(
    'Forearm on a table, weight held at one end.',
    'From palm up to palm down, slowly.',
    'The elbow leaves the table.',
    NO_SINGLE,
  ),
  'wrist-hold': teach(
    'Forearm on a table, pressed against the other hand.',
    'No joint moves.',
    'Pressing with the shoulder.',
  ),
  'grip-squeeze': teach(
    'A soft ball or a squeeze, elbow at a right angle.',
    'All the way, hold a second.',
    'Breath is held.',
  ),
  'finger-spread': teach(
    'Band around the fingertips, hand on a table.',
    'As wide as the band goes.',
    'The wrist bends.',
  ),
  'arm-ergometer': teach(
    'Axis at the height of the shoulder, light resistance.',
    'By time, watts or talking pace.',
    'The trunk rocks.',
    { forMuscle: 'arms' },
  ),
  'passive-cuff-arm': teach(
    'Lying or sitting, arm bare, palm up, easily seen.',
    'No joint moves.',
    'Falling asleep under the cuff: talk.',
  ),
};
