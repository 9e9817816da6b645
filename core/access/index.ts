export { type Doer, mayDo, type Permission, ROLE_NAMES, ROLES, type Role, whoMay } from './permissions';
