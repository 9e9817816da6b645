export { type Finding, guardFindings, hardFindings } from './finding';
