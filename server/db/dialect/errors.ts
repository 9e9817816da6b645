/** Whether the driver failed for want of disk, right or turn, and not because of what it was asked. */
export const isOfTheMachine = (error: unknown): boolean =>
  error instanceof Error &&
  'code' in error &&
  typeof error.code === 'string' &&
  /^SQLITE_(?!CONSTRAINT|ERROR)/.test(error.code);

/** The driver's word for a unique constraint that was broken. */
export const isUniqueClash = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'SQLITE_CONSTRAINT_UNIQUE';

/** The driver's word for a reference to a row that is not there, or for one that others refer to. */
export const isForeignKeyClash = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'SQLITE_CONSTRAINT_FOREIGNKEY';
