import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const core = fileURLToPath(new URL('../../packages/core/src/index.ts', import.meta.url));

export default defineConfig({
  plugins: [react()],
  resolve: { alias: { '@aftersquall/core': core } },
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import'] } } },
  worker: { format: 'es' },
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 2500,
    // What several places share comes in one file: twenty small ones wait for each other.
    rolldownOptions: { output: { advancedChunks: { groups: [{ name: 'shared', minShareCount: 2 }] } } },
  },
  server: {
    port: 4701,
    // The server refuses writes of pages of another address than its own.
    proxy: {
      '/api': {
        target: 'http://127.0.0.1:4700',
        changeOrigin: true,
        headers: { origin: 'http://127.0.0.1:4700' },
      },
    },
  },
});
