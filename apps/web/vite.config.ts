import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

const core = fileURLToPath(new URL('../../packages/core/src/', import.meta.url));

const page = (file: string): string => fileURLToPath(new URL(file, import.meta.url));
const build = Date.now().toString(36);

/** Lists what the service worker has to keep, so that the whole application is there without the server. */
const precacheList: Plugin = {
  name: 'precache-list',
  generateBundle(_, bundle) {
    const files = Object.keys(bundle).filter((file) => file.startsWith('assets/') && !file.endsWith('.map'));
    this.emitFile({
      type: 'asset',
      fileName: 'precache.json',
      source: JSON.stringify(files.map((file) => `/${file}`)),
    });
  },
};

export default defineConfig({
  plugins: [react(), precacheList],
  define: { __BUILD__: JSON.stringify(build) },
  resolve: { alias: [{ find: /^@aftersquall\/core\/(\w+)$/, replacement: `${core}$1/index.ts` }] },
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import'] } } },
  worker: { format: 'es' },
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 2500,
    // What several places share comes in one file: twenty small ones wait for each other.
    rolldownOptions: {
      input: { index: page('index.html'), sw: page('src/sw.ts') },
      output: {
        advancedChunks: { groups: [{ name: 'shared', minShareCount: 2 }] },
        // Where it stands says what it may answer for: the whole.
        entryFileNames: ({ name }) => (name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js'),
      },
    },
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
