import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: { chunkSizeWarningLimit: 1200 },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': 'http://127.0.0.1:8080' },
    // The catalogue of core, which a test holds against a published table.
    fs: { allow: ['..'] },
  },
  test: { environment: 'jsdom', globals: true, setupFiles: ['src/test/setup.ts'] },
});
