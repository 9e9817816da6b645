import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { directImports } from './scripts/direct-imports.ts';
import { fewFiles } from './scripts/few-files.ts';
import { linguiMacros } from './scripts/lingui-macros.ts';
import { offline } from './scripts/offline-plugin.ts';
import { serverBuild } from './scripts/server-build.ts';

const GROUND = /node_modules\/(react|react-dom|scheduler|react-router|@tanstack\/(query-core|react-query))\//;
const BEFORE_ALL = 9;
const files = fewFiles();
const apiPort = process.env.NERVATO_API_PORT ?? '4310';

/** Asks for the fonts of the first view with the page, so that its words are set once and not again when they come. */
const fontsFirst = (): Plugin => ({
  name: 'fonts-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => /-latin-wght-normal-.*\.woff2$/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: '' },
          injectTo: 'head-prepend',
        })),
  },
});

/** Where packages write styles into an inline element, which the page's policy refuses; ours come as a file instead. */
const INSERTS_STYLES = {
  sonner: /^__insertCSS\(".*"\);?$/m,
  '@radix-ui/react-select':
    /\/\* @__PURE__ \*\/ jsx\(\s*"style",\s*\{[^`]*`\[data-radix-select-viewport\][^`]*`[^)]*\),/,
};

const stylesAsFiles = (): Plugin[] =>
  Object.entries(INSERTS_STYLES).map(([from, inserts]) => ({
    name: `styles-as-files ${from}`,
    transform: {
      filter: { id: new RegExp(`node_modules/${from}/dist/index\\.mjs`) },
      handler: (code) => {
        if (!inserts.test(code)) throw new Error(`${from} no longer inserts its styles: take this out.`);
        return code.replace(inserts, '');
      },
    },
  }));

export default defineConfig(({ isSsrBuild }) => ({
  root: isSsrBuild ? '.' : 'web',
  plugins: isSsrBuild
    ? []
    : [
        directImports(),
        linguiMacros(),
        react(),
        tailwindcss(),
        fontsFirst(),
        stylesAsFiles(),
        files.plugin,
        offline(),
      ],
  resolve: isSsrBuild
    ? {}
    : { alias: { 'react-style-singleton': `${import.meta.dirname}/web/parts/paper/style-singleton.ts` } },
  build: isSsrBuild
    ? serverBuild({
        main: 'server/main.ts',
        demo: 'demo/serve.ts',
        'load-demo': 'demo/load-only.ts',
        backup: 'scripts/backup.ts',
      })
    : {
        outDir: '../dist/web',
        emptyOutDir: true,
        target: 'es2022',
        manifest: true,
        // The sheet of a person is one file, read when idle.
        chunkSizeWarningLimit: 700,
        rollupOptions: {
          output: {
            codeSplitting: {
              // The packages that change least have a file of their own, so that a browser keeps it over a release.
              groups: [{ name: 'ground', test: GROUND, priority: BEFORE_ALL }, ...files.groups],
            },
          },
        },
      },
  worker: { plugins: () => [directImports()] },
  server: { proxy: { '/api': `http://127.0.0.1:${apiPort}` } },
}));
