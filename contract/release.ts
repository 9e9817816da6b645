/** The release of the app, as `package.json` has it (`scripts/release.test.ts`): shown in the account menu, and in every export. */
export const RELEASE = '0.2.0';
