import react from '@vitejs/plugin-react';
import { VitePWA } from 'vite-plugin-pwa';
import { loadEnv } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [
    react(),
    // The worker keeps the pages, so that the bench opens without a line; what the server says is
    // kept by the page itself (app/keeping.ts). Its runtime ships with it.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: null,
      filename: 'worker.js',
      manifestFilename: 'dremsa.webmanifest',
      includeAssets: ['mark.svg', 'mark-due.svg', 'mark-192.png', 'mark-512.png'],
      manifest: {
        name: 'Dremsa',
        short_name: 'Dremsa',
        description: 'The workbench of a person who brews hair care at home',
        lang: 'en-GB',
        start_url: '/brew',
        scope: '/',
        display: 'standalone',
        background_color: '#F3EEE3',
        theme_color: '#F3EEE3',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/mark-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/mark-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
      workbox: {
        importScripts: ['/calls-worker.js'],
        inlineWorkboxRuntime: true,
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        globIgnores: ['calls-worker.js'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator/, /^\/schemas\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
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
