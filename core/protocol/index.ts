export {
  ADJUNCT_IDS,
  ADJUNCT_NAMES,
  type Adjunct,
  adjunctName,
  adjunctText,
  type PlannedAdjunct,
  sittingPart,
} from './adjunct';
export { PROTOCOLS } from './data/protocols';
export { SCHOOLS } from './data/schools';
export { EQUIPMENT_NAMES } from './equipment-words';
export {
  EXERCISE_KIND_NAMES,
  type Exercise,
  equipmentSchema,
  exerciseKindSchema,
  exerciseSchema,
  isWeighed,
  type LadderRung,
  ladderRungSchema,
  type Rung,
  rungHeight,
  rungSchema,
} from './exercise';
export {
  EVERY_EXERCISE,
  EXERCISES,
  type ExerciseId,
  findExercises,
  isAmong,
  type Library,
  libraryOf,
  nearestWords,
} from './exercises';
export { type Joint, type Joints, jointsOf, type Point } from './figure';
export { INTENSITIES, type Intensity } from './intensity';
export { JOINT_NAMES, jointName, jointSchema, type RangeJoint } from './joint-names';
export { rangesOf, rangeWords } from './joint-range';
export { muscleName, musclesText } from './muscle-names';
export { type Cue, paceCues, pacePosition, restCues, setMs } from './pace';
export type { Figure, Prop } from './pose';
export { figureOf } from './poses';
export { type ProtocolId, protocolIdSchema } from './protocols';
export { risingShares } from './rising-shares';
export { type SchoolId, schoolIdSchema } from './schools';
export { pacedReps, type SetWork } from './set-work';
export { breathingOf, teachingOf } from './teaching';
export { repMs, type TempoId, tempoIdSchema } from './tempo';
export { WORK_MODE_NAMES, workModeSchema } from './work-mode';
