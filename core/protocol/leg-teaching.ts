import type { LegExerciseId } from './exercises';
import { BREAKS, NO_SINGLE, type Teaching, teach } from './teach';

/** How exercises with a cuff on the upper leg are taught. */
export const LEG_TEACHING: Record<LegExerciseId, Teaching> = {
  'knee-extension': teach(
    'Knee in line with the hinge, pad above the ankle, back against the rest.',
    'From a right angle to straight; after surgery as far as was cleared, often 90 to 45.',
    'Seat leaves the bench; the weight drops at the end.',
    { ...BREAKS, unloaded: 'short-arc-unloaded' },
  ),
  'straight-leg-raise': teach(
    'On the back, other knee bent, thigh tightened before the heel leaves the bed.',
    'To the height of the other knee.',
    'The knee sags: stop there, it no longer counts.',
    NO_SINGLE,
  ),
  'heel-slide': teach(
    'On the back, sock or cloth under the heel.',
    'As far as it slides without pulling by hand; a mark on the bed shows the gain.',
    'The hip lifts or rolls out.',
  ),
  'short-arc-unloaded': teach(
    'A firm roll under the knee, toes up.',
    'The last 30 degrees to straight.',
    'The thigh lifts off the roll.',
  ),
  'short-arc-extension': teach(
    'A firm roll under the knee, weight above the ankle.',
    'The last 30 degrees to straight.',
    'The thigh lifts off the roll; it is swung up.',
    { ...NO_SINGLE, unloaded: 'short-arc-unloaded' },
  ),
  'long-arc-extension': teach(
    'Sit tall, knee hanging over the edge, weight above the ankle.',
    'From hanging to straight.',
    'Leaning back to help; a swing at the bottom.',
    { ...NO_SINGLE, ...BREAKS, unloaded: 'short-arc-unloaded' },
  ),
  'terminal-extension-band': teach(
    'Band behind the knee at its height, pulling forward; heel down.',
    'The last 20 degrees, to straight and no further.',
    'The hip goes back instead of the knee straightening.',
    { unloaded: 'quad-set' },
  ),
  'terminal-extension-sitting': teach(
    'Heel on a low stool, weight above the ankle, back against a rest.',
    'The last 20 degrees; hold a second straight.',
    'The heel digs in rather than lifts.',
    { ...NO_SINGLE, unloaded: 'quad-set' },
  ),
  'quad-set': teach(
    'Leg long, towel under the knee, hand above the kneecap to feel it.',
    'No joint moves; the kneecap rises a finger.',
    'The buttock works in its place; breath is held.',
  ),
  'hamstring-set': teach(
    'Knee bent a little, heel on the bed.',
    'No joint moves.',
    'The back arches; cramp comes when the toes point.',
  ),
  'leg-curl-lying': teach(
    'Face down, knee just past the edge, pad above the heel.',
    'From straight to a right angle.',
    'Hips lift off the pad.',
    BREAKS,
  ),
  'leg-curl-seated': teach(
    'Thigh pad snug, knee in line with the hinge.',
    'From nearly straight to a right angle.',
    'Leaning forward to pull.',
    BREAKS,
  ),
  'leg-curl-standing': teach(
    'Hands on a rail, thighs level, weight above the ankle.',
    'To a right angle.',
    'The thigh drifts forward; the trunk sways.',
    NO_SINGLE,
  ),

  'leg-press': teach(
    'Feet shoulder wide, whole foot on the plate, back flat on the rest.',
    'To a right angle at the knee, or where the pelvis begins to tuck; stop short of locked.',
    'Knees fall in; the seat lifts.',
    { ...BREAKS, unloaded: 'mini-squat-supported' },
  ),
  'leg-press-single': teach(
    'Foot in the middle of the plate, hips square.',
    'To a right angle at the knee; stop short of locked.',
    'The pelvis turns towards the leg; the knee falls in.',
    { unloaded: 'mini-squat-supported' },
  ),
  'mini-squat-supported': teach(
    'Both hands on furniture that does not move, feet under the hips.',
    'A hand’s breadth, about 30 degrees.',
    'Weight goes to the other leg: look at the hips.',
  ),
  'bodyweight-box-squat': teach(
    'Box at knee height, feet shoulder wide.',
    'To a light touch of the box.',
    'Dropping the last bit; knees fall in.',
  ),
  'box-squat-high': teach(
    'Box a hand above knee height, feet shoulder wide.',
    'To a light touch; lower the box as it gets easy.',
    'Rocking forward to get up.',
  ),
  'air-squat': teach(
    'Feet shoulder wide, arms ahead.',
    'As deep as heels stay down and the back stays long.',
    'Heels lift; knees fall in.',
    { unloaded: 'mini-squat-supported' },
  ),
  'bar-squat': teach(
    'Bar on the muscle below the neck, feet shoulder wide, safety arms set.',
    'Thighs level, or less where knee or hip asks for it.',
    'The trunk tips forward; breath held to the top.',
    { unloaded: 'air-squat' },
  ),
  'goblet-squat': teach(
    'Weight held against the chest, elbows down.',
    'As deep as the heels stay down.',
    'The weight drifts away from the chest.',
    { ...NO_SINGLE, unloaded: 'air-squat' },
  ),
  'split-squat': teach(
    'A long stance, both feet pointing ahead, most weight in front.',
    'Back knee to a hand above the floor.',
    'The front knee falls in; pushing off the back foot.',
    { ...NO_SINGLE, unloaded: 'mini-squat-supported' },
  ),
  'reverse-lunge': teach(
    'Stand tall, something to hold within reach.',
    'Back knee to a hand above the floor.',
    'A step too short: the front heel lifts.',
  ),
  'walking-lunge': teach(
    'Free floor ahead, long even steps.',
    'Back knee to a hand above the floor.',
    'Steps shorten and trunk sways as it burns: stop there.',
  ),
  'single-leg-touchdown': teach(
    'On a low step or the floor, other heel ahead.',
    'To a touch of the heel, 30 to 45 degrees at the knee.',
    'Hip drops on the free side; knee falls in.',
  ),
  'sit-to-stand': teach(
    'Seat at knee height, feet under the knees.',
    'All the way up, and down without a drop.',
    'Falling back the last bit; more weight on the good leg.',
  ),
  'wall-sit': teach(
    'Back flat on a wall, feet a step away.',
    'As low as is free of pain, thighs level at most.',
    'Hands push on the thighs; breath is held.',
  ),
  'hip-hinge': teach(
    'Feet hip wide, a stick along the spine shows it long.',
    'Trunk to 45 degrees, or where the back would round.',
    'It becomes a squat; the back rounds.',
  ),
  'romanian-deadlift': teach(
    'Weights at the thighs, knees a little bent.',
    'To mid shin, or where the back would round.',
    'Weights drift away from the legs; the back rounds.',
    { ...NO_SINGLE, unloaded: 'hip-hinge' },
  ),

  'step-up-10': teach(
    'Step of 10 cm, whole foot on it, rail within reach.',
    'To a straight knee on the step.',
    'Pushing off from below; hip drops.',
  ),
  'step-up-15': teach(
    'Step of 15 cm, whole foot on it, rail within reach.',
    'To a straight knee on the step.',
    'Pushing off from below; trunk leans far over.',
  ),
  'step-up-20': teach(
    'Step of 20 cm, whole foot on it, rail within reach.',
    'To a straight knee on the step.',
    'Pushing off from below; knee falls in.',
  ),
  'step-up-side': teach(
    'Beside a step of 10 to 20 cm, whole foot on it.',
    'To a straight knee, other foot beside.',
    'Hip drops; pushing off from the floor.',
    { forMuscle: 'hip abductors' },
  ),
  'step-down-10': teach(
    'On a step of 10 cm, toes at the edge, rail within reach.',
    'To a brush of the other heel.',
    'Falling onto the heel; hip drops.',
  ),
  'step-down-15': teach(
    'On a step of 15 cm, toes at the edge, rail within reach.',
    'To a brush of the other heel.',
    'Knee falls in; trunk leans away.',
  ),
  'step-down-20': teach(
    'On a step of 20 cm, toes at the edge, rail within reach.',
    'To a brush of the other heel.',
    'Falling the last bit: go back to a lower step.',
  ),
  'stairs-up': teach(
    'Rail within reach, shoes on.',
    'One step at a time, or in turns.',
    'Pulling on the rail.',
  ),
  'stairs-down': teach(
    'Rail within reach, shoes on, somebody below.',
    'One step at a time, or in turns.',
    'Dropping onto the lower foot.',
  ),
  walking: teach(
    'Flat ground, shoes, water at hand.',
    'By time or a mark to reach.',
    'Steps become uneven: slow down or loosen.',
    { forMuscle: 'quadriceps' },
  ),
  'heel-toe-walk': teach(
    'A line on the floor, a wall within reach.',
    'By steps: five at first.',
    'Looking down; holding the wall all along.',
  ),
  'treadmill-incline': teach(
    'Clip on, start flat, then 3 to 5 % up.',
    'By time.',
    'Hanging on the rails takes the load off.',
    { forMuscle: 'quadriceps' },
  ),
  'sled-push': teach(
    'Light sled, flat floor, arms long.',
    'By length, and rest between.',
    'Racing: it is meant at a talking pace.',
  ),
  'pool-walk': teach(
    'Water to the waist, strap by feel, somebody beside. No pump, gauge or tube in water.',
    'By time or lengths.',
    'Colour cannot be seen under water: look each length.',
  ),
  stepper: teach('Low step height, hands light on the rails.', 'By time.', 'Leaning on the arms.'),
  cycling: teach(
    'Seat so that the knee stays a little bent at the bottom.',
    'By time, watts or talking pace.',
    'A gear too heavy: cadence under 50.',
    { forMuscle: 'quadriceps' },
  ),
  rowing: teach(
    'Feet strapped, light resistance.',
    'By time.',
    'Pulling with the back before the legs push.',
  ),

  bridge: teach(
    'On the back, heels a hand from the seat, arms beside.',
    'Until knee, hip and shoulder are one line.',
    'The back arches at the top.',
    { ...BREAKS, forMuscle: 'buttock' },
  ),
  'bridge-single': teach(
    'One foot down, other thigh held level.',
    'Until knee, hip and shoulder are one line.',
    'The pelvis tips to the free side.',
    { forMuscle: 'buttock', unloaded: 'bridge' },
  ),
  'bridge-shoulders': teach(
    'Shoulder blades on a bench, shins upright at the top.',
    'Until the thighs are level.',
    'Looking up makes the back arch.',
    { ...BREAKS, forMuscle: 'buttock' },
  ),
  'hip-thrust': teach(
    'Shoulder blades on a bench, padded bar in the fold of the hip.',
    'Until the thighs are level.',
    'The back does the last bit.',
    { forMuscle: 'buttock', unloaded: 'bridge-shoulders' },
  ),
  'buttock-set': teach(
    'On the back or face down, legs long.',
    'No joint moves.',
    'Thighs work in its place.',
  ),
  clam: teach(
    'On the side, hips stacked, knees bent, feet together.',
    'As far as the pelvis stays still, about a hand.',
    'Rolling back.',
  ),
  'donkey-kick': teach(
    'On hands and knees, belly firm.',
    'Thigh in line with the trunk.',
    'The back arches to reach higher.',
    { forMuscle: 'buttock' },
  ),
  'hip-abduction-lying': teach(
    'On the side, hips stacked, heel leading.',
    'To 30 degrees, toes forward.',
    'Toes turn up, hip flexors take over.',
    NO_SINGLE,
  ),
  'hip-adduction-lying': teach(
    'On the side of the cuff, other foot set in front.',
    'A hand high.',
    'The trunk rolls back.',
    NO_SINGLE,
  ),
  'hip-abduction-standing': teach(
    'Hand on a rail, band above the ankle, standing knee soft.',
    'To 30 degrees.',
    'The trunk leans the other way.',
    { unloaded: 'clam' },
  ),
  'hip-abduction-seated': teach(
    'Back against the rest, pads outside the knees.',
    'As wide as the seat stays put.',
    'Leaning forward; the weight claps together.',
    BREAKS,
  ),
  'hip-adduction-seated': teach(
    'Back against the rest, pads inside the knees, start not too wide.',
    'From comfortably wide to together.',
    'Starting wider than the groin likes.',
    BREAKS,
  ),
  'hip-extension-standing': teach(
    'Hands on a rail, band above the ankle.',
    'To 15 degrees behind.',
    'The back arches.',
    { forMuscle: 'buttock' },
  ),
  'hip-flexion-standing': teach(
    'Hand on a rail, weight above the ankle.',
    'Thigh level.',
    'Leaning back to lift.',
    NO_SINGLE,
  ),
  'seated-march': teach('Sit tall at the front of the seat.', 'A hand high.', 'Leaning back.'),
  'side-steps': teach(
    'Band above the knees, knees a little bent.',
    'Small steps, band never slack.',
    'Feet turn out; the trunk sways.',
  ),

  'calf-raise-seated': teach(
    'Ball of the foot on a block, pad above the knee.',
    'From heel below the block to all the way up.',
    'Bouncing at the bottom.',
    { ...BREAKS, unloaded: 'ankle-pump' },
  ),
  'calf-raise-standing': teach(
    'Ball of the foot on an edge, fingers on a wall.',
    'From heel below the edge to all the way up.',
    'Knees bend to help; rolling to the little toe.',
    { ...BREAKS, unloaded: 'ankle-pump' },
  ),
  'ankle-dorsiflexion-band': teach(
    'Leg long, band around the forefoot, fixed ahead.',
    'From pointed to pulled up.',
    'The leg turns out in place of the foot.',
  ),
  'ankle-pump': teach(
    'On the back, heel free.',
    'All the way, both ways.',
    'Done too fast to pump anything.',
  ),
  'passive-cuff-leg': teach(
    'Lying, leg bare, easily seen.',
    'No joint moves.',
    'Falling asleep under the cuff: talk.',
  ),
};
