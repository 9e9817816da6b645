import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const apiPort = process.env.NERVATO_API_PORT ?? '4310';

export default defineConfig(({ isSsrBuild }) => ({
  root: isSsrBuild ? '.' : 'web',
  plugins: isSsrBuild ? [] : [react(), tailwindcss()],
  build: isSsrBuild
    ? {
        target: 'node20',
        emptyOutDir: true,
        rollupOptions: {
          input: { main: 'server/main.ts', 'load-demo': 'demo/main.ts' },
          output: { entryFileNames: '[name].js' },
        },
      }
    : { outDir: '../dist/web', emptyOutDir: true, target: 'es2022', manifest: true },
  server: { proxy: { '/api': `http://127.0.0.1:${apiPort}` } },
}));
