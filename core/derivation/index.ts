export type { Derived } from './derived';
export { derivedSchema } from './derived-schema';
