import { serverBuild } from '../scripts/server-build';

const FOLDER = 'test-results/journey-server';

/** What each worker starts; it is there once `buildJourneyServer` has made it. */
export const JOURNEY_SERVER = `${FOLDER}/journey-server.js`;

/** Once before all journeys: their server as built files, since to read its sources took each worker as long as a journey. */
export default async function buildJourneyServer(): Promise<void> {
  // Read here alone: each worker reads this file, for the name.
  const { build } = await import('vite');
  await build({
    configFile: false,
    logLevel: 'warn',
    build: { ssr: true, outDir: FOLDER, ...serverBuild({ 'journey-server': 'tests/journey-server.ts' }) },
  });
}
