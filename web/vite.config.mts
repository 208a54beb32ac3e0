import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    VitePWA({
      registerType: 'autoUpdate',
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Yaylak',
        short_name: 'Yaylak',
        description: 'Stock book and judgement aid for a diversified smallholding',
        theme_color: '#2A2420',
        background_color: '#F4EEE2',
        display: 'standalone',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
      },
    }),
  ],
  resolve: { conditions: ['@yaylak/source', ...defaultClientConditions] },
  worker: { format: 'es' },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.PORT ?? '4870'}` } },
});
