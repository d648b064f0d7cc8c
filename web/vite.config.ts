import react from '@vitejs/plugin-react';
import { loadEnv } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: { chunkSizeWarningLimit: 1200, manifest: true },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': `http://127.0.0.1:${loadEnv('', '.', 'DREMSA_').DREMSA_PORT ?? 8080}` },
    // The catalogue of core, which a test holds against a published table.
    fs: { allow: ['..'] },
  },
  test: {
    environment: 'jsdom',
    globals: true,
    setupFiles: ['src/test/setup.ts'],
    testTimeout: 40_000,
    // A test holds the classes that screens name against the style sheets.
    css: true,
  },
});
