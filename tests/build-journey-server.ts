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
    build: {
      ssr: true,
      target: 'node20',
      outDir: FOLDER,
      rollupOptions: {
        input: {
          'journey-server': 'tests/journey-server.ts',
          'clean-pdf': 'server/attachments/clean-pdf.ts',
        },
        output: { entryFileNames: '[name].js' },
      },
    },
  });
}
