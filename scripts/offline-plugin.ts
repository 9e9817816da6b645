import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { build, type Plugin } from 'vite';

const KEPT = /\.(js|css|html|svg|woff2)$/;
/** A file whose name has a digest of what is in it never changes. */
const IS_NAMED_BY_DIGEST = /^assets\//;

/** Builds the service worker beside the interface, with the list of all that was built: the whole app works without a network. */
export const offline = (): Plugin => {
  let outDir = '';
  return {
    name: 'offline',
    apply: 'build',
    configResolved: (config) => {
      outDir = config.build.outDir;
    },
    closeBundle: {
      order: 'post',
      sequential: true,
      handler: async () => {
        const root = `${import.meta.dirname}/../web/${outDir}`;
        await build({
          configFile: false,
          logLevel: 'warn',
          define: { __KEPT_FILES__: JSON.stringify(keptFiles(root)), 'process.env.NODE_ENV': '"production"' },
          build: {
            outDir: root,
            emptyOutDir: false,
            target: 'es2022',
            lib: {
              entry: `${import.meta.dirname}/../web/sw.ts`,
              formats: ['iife'],
              name: 'sw',
              fileName: () => 'sw.js',
            },
          },
        });
      },
    },
  };
};

/** What is kept on a device, as the worker fetches it. */
const keptFiles = (root: string): { url: string; revision: string | null }[] =>
  readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => KEPT.test(file) && file !== 'sw.js')
    .sort()
    .map((file) => ({
      url: file,
      revision: IS_NAMED_BY_DIGEST.test(file)
        ? null
        : createHash('sha256')
            .update(readFileSync(`${root}/${file}`))
            .digest('hex')
            .slice(0, 16),
    }));
