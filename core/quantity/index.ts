export { byDay, type Day, dayAt, dayOf, isoDaySchema, isoOf, WEEKDAY_LABELS, weekdayOf } from './days';
export { initialsOf } from './initials';
export { isEqual } from './is-equal';
export {
  LIMB_LABELS,
  LIMB_NAMES,
  LIMBS,
  type Limb,
  type LimbKind,
  limbKind,
  limbKindSchema,
  limbSchema,
  limbSide,
  limbsWords,
  otherSide,
  POSITION_NAMES,
  POSITIONS,
  type Position,
  positionSchema,
  SIDE_NAMES,
} from './limb';
export { newest } from './newest';
export {
  emergencyPhoneAt,
  isBound,
  type OwnPlace,
  ownPlaceSchema,
  PLACE_KINDS,
  PLACE_LABELS,
  type PlaceKind,
  placesOf,
} from './place';
export { roundDownToDivision } from './rounding';
export {
  cmToIn,
  type DisplayUnits,
  inToCm,
  kgToLb,
  lbToKg,
  lengthIn,
  MS_PER_DAY,
  MS_PER_HOUR,
  MS_PER_MINUTE,
  MS_PER_SECOND,
  massIn,
  toNumber,
  toNumberOrNull,
} from './units';
