import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const core = fileURLToPath(new URL('../../packages/core/src/index.ts', import.meta.url));

export default defineConfig({
  plugins: [react()],
  resolve: { alias: { '@aftersquall/core': core } },
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import'] } } },
  worker: { format: 'es' },
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 2500 },
  server: { port: 4701, proxy: { '/api': 'http://127.0.0.1:4700' } },
});
