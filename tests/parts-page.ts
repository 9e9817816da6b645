import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import getPort from 'get-port';
import { build, preview } from 'vite';
import { linguiMacros } from '../scripts/lingui-macros';

/** Builds the page of parts into a folder of its own and serves it; it is no part of what ships. @returns its address, and how it ends */
export async function servePartsPage(): Promise<{ address: string; end: () => Promise<void> }> {
  const outDir = mkdtempSync(join(tmpdir(), 'nervato-parts-'));
  const common = { configFile: false, root: 'web', logLevel: 'warn' } as const;
  await build({
    ...common,
    plugins: [linguiMacros(), react(), tailwindcss()],
    build: { outDir, emptyOutDir: true, rollupOptions: { input: 'web/parts-page/index.html' } },
  });
  const server = await preview({ ...common, build: { outDir }, preview: { port: await getPort() } });
  return {
    address: `${server.resolvedUrls?.local[0] ?? ''}parts-page/`,
    end: () => server.close(),
  };
}
