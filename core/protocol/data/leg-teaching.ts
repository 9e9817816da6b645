import { msg } from '../../message/message';
import type { LegExerciseId } from '../exercises';
import { BREAKS, NO_SINGLE, type Teaching, teach } from '../teach';

/** How exercises with a cuff on the upper leg are taught. */
export const LEG_TEACHING: Record<LegExerciseId, Teaching> = {
  'knee-extension': teach(
    msg('Knee in line with the hinge, pad above the ankle, back against the rest.'),
    msg('From a right angle to straight; after surgery as far as was cleared, often 90 to 45.'),
    msg('Seat leaves the bench; the weight drops at the end.'),
    { ...BREAKS, unloaded: 'short-arc-unloaded' },
  ),
  'straight-leg-raise': teach(
    msg('On the back, other knee bent, thigh tightened before the heel leaves the bed.'),
    msg('To the height of the other knee.'),
    msg('The knee sags: stop there, it no longer counts.'),
    NO_SINGLE,
  ),
  'heel-slide': teach(
    msg('On the back, sock or cloth under the heel.'),
    msg('As far as it slides without pulling by hand; a mark on the bed shows the gain.'),
    msg('The hip lifts or rolls out.'),
  ),
  'short-arc-unloaded': teach(
    msg('A firm roll under the knee, toes up.'),
    msg('The last 30 degrees to straight.'),
    msg('The thigh lifts off the roll.'),
  ),
  'short-arc-extension': teach(
    msg('A firm roll under the knee, weight above the ankle.'),
    msg('The last 30 degrees to straight.'),
    msg('The thigh lifts off the roll; it is swung up.'),
    { ...NO_SINGLE, unloaded: 'short-arc-unloaded' },
  ),
  'long-arc-extension': teach(
    msg('Sit tall, knee hanging over the edge, weight above the ankle.'),
    msg('From hanging to straight.'),
    msg('Leaning back to help; a swing at the bottom.'),
    { ...NO_SINGLE, ...BREAKS, unloaded: 'short-arc-unloaded' },
  ),
  'terminal-extension-band': teach(
    msg('Band behind the knee at its height, pulling forward; heel down.'),
    msg('The last 20 degrees, to straight and no further.'),
    msg('The hip goes back instead of the knee straightening.'),
    { unloaded: 'quad-set' },
  ),
  'terminal-extension-sitting': teach(
    msg('Heel on a low stool, weight above the ankle, back against a rest.'),
    msg('The last 20 degrees; hold a second straight.'),
    msg('The heel digs in rather than lifts.'),
    { ...NO_SINGLE, unloaded: 'quad-set' },
  ),
  'quad-set': teach(
    msg('Leg long, towel under the knee, hand above the kneecap to feel it.'),
    msg('No joint moves; the kneecap rises a finger.'),
    msg('The buttock works in its place; breath is held.'),
  ),
  'hamstring-set': teach(
    msg('Knee bent a little, heel on the bed.'),
    msg('No joint moves.'),
    msg('The back arches; cramp comes when the toes point.'),
  ),
  'leg-curl-lying': teach(
    msg('Face down, knee just past the edge, pad above the heel.'),
    msg('From straight to a right angle.'),
    msg('Hips lift off the pad.'),
    BREAKS,
  ),
  'leg-curl-seated': teach(
    msg('Thigh pad snug, knee in line with the hinge.'),
    msg('From nearly straight to a right angle.'),
    msg('Leaning forward to pull.'),
    BREAKS,
  ),
  'leg-curl-standing': teach(
    msg('Hands on a rail, thighs level, weight above the ankle.'),
    msg('To a right angle.'),
    msg('The thigh drifts forward; the trunk sways.'),
    NO_SINGLE,
  ),

  'leg-press': teach(
    msg('Feet shoulder wide, whole foot on the plate, back flat on the rest.'),
    msg('To a right angle at the knee, or where the pelvis begins to tuck; stop short of locked.'),
    msg('Knees fall in; the seat lifts.'),
    { ...BREAKS, unloaded: 'mini-squat-supported' },
  ),
  'leg-press-single': teach(
    msg('Foot in the middle of the plate, hips square.'),
    msg('To a right angle at the knee; stop short of locked.'),
    msg('The pelvis turns towards the leg; the knee falls in.'),
    { unloaded: 'mini-squat-supported' },
  ),
  'mini-squat-supported': teach(
    msg('Both hands on furniture that does not move, feet under the hips.'),
    msg('A hand’s breadth, about 30 degrees.'),
    msg('Weight goes to the other leg: look at the hips.'),
  ),
  'bodyweight-box-squat': teach(
    msg('Box at knee height, feet shoulder wide.'),
    msg('To a light touch of the box.'),
    msg('Dropping the last bit; knees fall in.'),
  ),
  'box-squat-high': teach(
    msg('Box a hand above knee height, feet shoulder wide.'),
    msg('To a light touch; lower the box as it gets easy.'),
    msg('Rocking forward to get up.'),
  ),
  'air-squat': teach(
    msg('Feet shoulder wide, arms ahead.'),
    msg('As deep as heels stay down and the back stays long.'),
    msg('Heels lift; knees fall in.'),
    { unloaded: 'mini-squat-supported' },
  ),
  'bar-squat': teach(
    msg('Bar on the muscle below the neck, feet shoulder wide, safety arms set.'),
    msg('Thighs level, or less where knee or hip asks for it.'),
    msg('The trunk tips forward; breath held to the top.'),
    { unloaded: 'air-squat' },
  ),
  'front-squat': teach(
    msg('Bar on the front of the shoulders, hands outside it, safety arms set.'),
    msg('As deep as the trunk stays tall.'),
    msg('Elbows drop and the bar rolls forward.'),
    { unloaded: 'air-squat' },
  ),
  'goblet-squat': teach(
    msg('Weight held against the chest, elbows down.'),
    msg('As deep as the heels stay down.'),
    msg('The weight drifts away from the chest.'),
    { ...NO_SINGLE, unloaded: 'air-squat' },
  ),
  'split-squat': teach(
    msg('A long stance, both feet pointing ahead, most weight in front.'),
    msg('Back knee to a hand above the floor.'),
    msg('The front knee falls in; pushing off the back foot.'),
    { ...NO_SINGLE, unloaded: 'mini-squat-supported' },
  ),
  'reverse-lunge': teach(
    msg('Stand tall, something to hold within reach.'),
    msg('Back knee to a hand above the floor.'),
    msg('A step too short: the front heel lifts.'),
  ),
  'walking-lunge': teach(
    msg('Free floor ahead, long even steps.'),
    msg('Back knee to a hand above the floor.'),
    msg('Steps shorten and trunk sways as it burns: stop there.'),
  ),
  'single-leg-touchdown': teach(
    msg('On a low step or the floor, other heel ahead.'),
    msg('To a touch of the heel, 30 to 45 degrees at the knee.'),
    msg('Hip drops on the free side; knee falls in.'),
  ),
  'sit-to-stand': teach(
    msg('Seat at knee height, feet under the knees.'),
    msg('All the way up, and down without a drop.'),
    msg('Falling back the last bit; more weight on the good leg.'),
  ),
  'sit-to-stand-hands': teach(
    msg('Seat with armrests, feet under the knees.'),
    msg('All the way up, and down without a drop.'),
    msg('The arms do it; more weight on the good leg.'),
  ),
  'wall-sit': teach(
    msg('Back flat on a wall, feet a step away.'),
    msg('As low as is free of pain, thighs level at most.'),
    msg('Hands push on the thighs; breath is held.'),
  ),
  'hip-hinge': teach(
    msg('Feet hip wide, a stick along the spine shows it long.'),
    msg('Trunk to 45 degrees, or where the back would round.'),
    msg('It becomes a squat; the back rounds.'),
  ),
  deadlift: teach(
    msg('Bar over the middle of the foot, hands outside the knees.'),
    msg('From the floor, or from blocks where the back would round.'),
    msg('Hips shoot up first; the bar drifts away from the shins.'),
    { unloaded: 'hip-hinge' },
  ),
  'romanian-deadlift': teach(
    msg('Weights at the thighs, knees a little bent.'),
    msg('To mid shin, or where the back would round.'),
    msg('Weights drift away from the legs; the back rounds.'),
    { ...NO_SINGLE, unloaded: 'hip-hinge' },
  ),

  'step-up-10': teach(
    msg('Step of 10 cm, whole foot on it, rail within reach.'),
    msg('To a straight knee on the step.'),
    msg('Pushing off from below; hip drops.'),
  ),
  'step-up-15': teach(
    msg('Step of 15 cm, whole foot on it, rail within reach.'),
    msg('To a straight knee on the step.'),
    msg('Pushing off from below; trunk leans far over.'),
  ),
  'step-up-20': teach(
    msg('Step of 20 cm, whole foot on it, rail within reach.'),
    msg('To a straight knee on the step.'),
    msg('Pushing off from below; knee falls in.'),
  ),
  'step-up-side': teach(
    msg('Beside a step of 10 to 20 cm, whole foot on it.'),
    msg('To a straight knee, other foot beside.'),
    msg('Hip drops; pushing off from the floor.'),
    { forMuscle: 'hip abductors' },
  ),
  'step-down-10': teach(
    msg('On a step of 10 cm, toes at the edge, rail within reach.'),
    msg('To a brush of the other heel.'),
    msg('Falling onto the heel; hip drops.'),
  ),
  'step-down-15': teach(
    msg('On a step of 15 cm, toes at the edge, rail within reach.'),
    msg('To a brush of the other heel.'),
    msg('Knee falls in; trunk leans away.'),
  ),
  'step-down-20': teach(
    msg('On a step of 20 cm, toes at the edge, rail within reach.'),
    msg('To a brush of the other heel.'),
    msg('Falling the last bit: go back to a lower step.'),
  ),
  'stairs-up': teach(
    msg('Rail within reach, shoes on.'),
    msg('One step at a time, or in turns.'),
    msg('Pulling on the rail.'),
  ),
  'stairs-down': teach(
    msg('Rail within reach, shoes on, a helper below.'),
    msg('One step at a time, or in turns.'),
    msg('Dropping onto the lower foot.'),
  ),
  walking: teach(
    msg('Flat ground, shoes, water at hand.'),
    msg('By time or a mark to reach.'),
    msg('Steps become uneven: slow down or loosen.'),
    { forMuscle: 'quadriceps' },
  ),
  'heel-toe-walk': teach(
    msg('A line on the floor, a wall within reach.'),
    msg('By steps: five at first.'),
    msg('Looking down; holding the wall all along.'),
  ),
  'treadmill-incline': teach(
    msg('Clip on, start flat, then 3 to 5 % up.'),
    msg('By time.'),
    msg('Hanging on the rails takes the load off.'),
    { forMuscle: 'quadriceps' },
  ),
  'sled-push': teach(
    msg('Light sled, flat floor, arms long.'),
    msg('By length, and rest between.'),
    msg('Racing: it is meant at a talking pace.'),
  ),
  'pool-walk': teach(
    msg('Water to the waist, strap by feel, a helper beside. No pump, gauge or tube in water.'),
    msg('By time or lengths.'),
    msg('Colour cannot be seen under water: look each length.'),
  ),
  stepper: teach(
    msg('Low step height, hands light on the rails.'),
    msg('By time.'),
    msg('Leaning on the arms.'),
  ),
  cycling: teach(
    msg('Seat so that the knee stays a little bent at the bottom.'),
    msg('By time, watts or talking pace.'),
    msg('A gear too heavy: cadence under 50.'),
    { forMuscle: 'quadriceps' },
  ),
  rowing: teach(
    msg('Feet strapped, light resistance.'),
    msg('By time.'),
    msg('Pulling with the back before the legs push.'),
  ),

  bridge: teach(
    msg('On the back, heels a hand from the seat, arms beside.'),
    msg('Until knee, hip and shoulder are one line.'),
    msg('The back arches at the top.'),
    { ...BREAKS, forMuscle: 'buttock' },
  ),
  'bridge-single': teach(
    msg('One foot down, other thigh held level.'),
    msg('Until knee, hip and shoulder are one line.'),
    msg('The pelvis tips to the free side.'),
    { forMuscle: 'buttock', unloaded: 'bridge' },
  ),
  'bridge-shoulders': teach(
    msg('Shoulder blades on a bench, shins upright at the top.'),
    msg('Until the thighs are level.'),
    msg('Looking up makes the back arch.'),
    { ...BREAKS, forMuscle: 'buttock' },
  ),
  'hip-thrust': teach(
    msg('Shoulder blades on a bench, padded bar in the fold of the hip.'),
    msg('Until the thighs are level.'),
    msg('The back does the last bit.'),
    { forMuscle: 'buttock', unloaded: 'bridge-shoulders' },
  ),
  'buttock-set': teach(
    msg('On the back or face down, legs long.'),
    msg('No joint moves.'),
    msg('Thighs work in its place.'),
  ),
  clam: teach(
    msg('On the side, hips stacked, knees bent, feet together.'),
    msg('As far as the pelvis stays still, about a hand.'),
    msg('Rolling back.'),
  ),
  'donkey-kick': teach(
    msg('On hands and knees, belly firm.'),
    msg('Thigh in line with the trunk.'),
    msg('The back arches to reach higher.'),
    { forMuscle: 'buttock' },
  ),
  'hip-abduction-lying': teach(
    msg('On the side, hips stacked, heel leading.'),
    msg('To 30 degrees, toes forward.'),
    msg('Toes turn up, hip flexors take over.'),
    NO_SINGLE,
  ),
  'hip-adduction-lying': teach(
    msg('On the side of the cuff, other foot set in front.'),
    msg('A hand high.'),
    msg('The trunk rolls back.'),
    NO_SINGLE,
  ),
  'hip-abduction-standing': teach(
    msg('Hand on a rail, band above the ankle, standing knee soft.'),
    msg('To 30 degrees.'),
    msg('The trunk leans the other way.'),
    { unloaded: 'clam' },
  ),
  'hip-abduction-seated': teach(
    msg('Back against the rest, pads outside the knees.'),
    msg('As wide as the seat stays put.'),
    msg('Leaning forward; the weight claps together.'),
    BREAKS,
  ),
  'hip-adduction-seated': teach(
    msg('Back against the rest, pads inside the knees, start not too wide.'),
    msg('From comfortably wide to together.'),
    msg('Starting wider than the groin likes.'),
    BREAKS,
  ),
  'hip-extension-standing': teach(
    msg('Hands on a rail, band above the ankle.'),
    msg('To 15 degrees behind.'),
    msg('The back arches.'),
    { forMuscle: 'buttock' },
  ),
  'hip-flexion-standing': teach(
    msg('Hand on a rail, weight above the ankle.'),
    msg('Thigh level.'),
    msg('Leaning back to lift.'),
    NO_SINGLE,
  ),
  'seated-march': teach(msg('Sit tall at the front of the seat.'), msg('A hand high.'), msg('Leaning back.')),
  'side-steps': teach(
    msg('Band above the knees, knees a little bent.'),
    msg('Small steps, band never slack.'),
    msg('Feet turn out; the trunk sways.'),
  ),

  'calf-raise-seated': teach(
    msg('Ball of the foot on a block, pad above the knee.'),
    msg('From heel below the block to all the way up.'),
    msg('Bouncing at the bottom.'),
    { ...BREAKS, unloaded: 'ankle-pump' },
  ),
  'calf-raise-standing': teach(
    msg('Ball of the foot on an edge, fingers on a wall.'),
    msg('From heel below the edge to all the way up.'),
    msg('Knees bend to help; rolling to the little toe.'),
    { ...BREAKS, unloaded: 'ankle-pump' },
  ),
  'ankle-dorsiflexion-band': teach(
    msg('Leg long, band around the forefoot, fixed ahead.'),
    msg('From pointed to pulled up.'),
    msg('The leg turns out in place of the foot.'),
  ),
  'ankle-pump': teach(
    msg('On the back, heel free.'),
    msg('All the way, both ways.'),
    msg('Done too fast to pump anything.'),
  ),
  'passive-range-leg': teach(
    msg('Lying, leg bare; the joint is moved by the practitioner or a machine.'),
    msg('As far as is free of pain, within what a letter allows.'),
    msg('The person helps or holds against it.'),
  ),
  'passive-cuff-leg': teach(
    msg('Lying, leg bare, easily seen.'),
    msg('No joint moves.'),
    msg('Falling asleep under the cuff: talk.'),
  ),
};
