/**
 * A table to be asked by names that come from outside. It has the names in it and no others: not `constructor`, `toString` or
 * `__proto__`, which every object answers to.
 * @example byName({ squat: 1 }).constructor //=> undefined
 */
export const byName = <T extends object>(table: T): T => Object.assign(Object.create(null), table);
