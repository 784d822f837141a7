import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { extractedStyles } from './extractedStyles.js';

const API = process.env['COMPAS_API'] ?? 'http://127.0.0.1:4600';

export default defineConfig({
  plugins: [
    react(),
    extractedStyles(),
    // the run screen opens without the network: the application itself is kept by the browser
    VitePWA({
      // a newer one is taken up from a desk screen: nobody is moved at the lathe
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Compas',
        short_name: 'Compas',
        display: 'standalone',
        background_color: '#16211e',
        theme_color: '#16211e',
        icons: [],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        clientsClaim: true,
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
  ],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  // the server compares Origin with Host: the browser's own host must reach it
  server: { proxy: { '/api': { target: API, changeOrigin: false } } },
  build: { chunkSizeWarningLimit: 1200 },
});
