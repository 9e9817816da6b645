export { kindsIn, likelyKind } from './by-headings';
export { DATE_ORDER_IDS, DATE_ORDERS, type DateOrder } from './day';
export { type Doubt, doubtsIn, missingIn } from './doubts';
export { type UsualUnits, withForms } from './forms';
export { unitIn } from './headings';
export {
  type Branch,
  type ColumnUnit,
  fromColumns,
  fromConstant,
  type MappedField,
  type Mapping,
  mappingSchema,
} from './mapping';
export type { DecimalMark } from './number';
export { type BadCell, type Known, type ReadBy, readRow } from './read-row';
export { recognise } from './recognise';
export { fieldsOf, TABLE_KINDS, TABLES, type TableField, type TableKind } from './tables';
export { readTypedDay, readTypedTime } from './typed-day';
export { plainWords } from './words';
