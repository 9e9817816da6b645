export { DATE_ORDER_IDS, DATE_ORDERS, type DateOrder } from './day';
export type { DecimalMark } from './number';
export { type BadCell, type Known, readRow } from './read-row';
export {
  type ColumnUnit,
  likelyKind,
  type MappedColumn,
  type Mapping,
  missingIn,
  openDate,
  recognise,
  unitIn,
  withForms,
} from './recognise';
export { fieldsOf, TABLE_KINDS, TABLES, type TableField, type TableKind } from './tables';
export { readTypedDay, readTypedTime } from './typed-day';
export { plainWords } from './words';
