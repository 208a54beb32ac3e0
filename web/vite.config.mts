import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    VitePWA({
      registerType: 'autoUpdate',
      includeAssets: ['icon.svg', 'apple-touch-icon.png'],
      manifest: {
        name: 'Yaylak',
        short_name: 'Yaylak',
        description: 'Stock book and judgement aid for a diversified smallholding',
        theme_color: '#2A2420',
        background_color: '#F4EEE2',
        display: 'standalone',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        // Held down, the icon leads straight to where there is no time to look for it.
        shortcuts: [
          {
            name: 'At the race',
            short_name: 'Race',
            url: '/race',
            icons: [{ src: '/icon-192.png', sizes: '192x192' }],
          },
          { name: 'Births', url: '/births', icons: [{ src: '/icon-192.png', sizes: '192x192' }] },
        ],
      },
      workbox: {
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // A picture under an id is never another: one that was seen is there without a network.
        runtimeCaching: [
          {
            urlPattern: ({ url }) => url.pathname.startsWith('/api/photos/'),
            handler: 'CacheFirst',
            options: {
              cacheName: 'photos',
              expiration: { maxEntries: 500, purgeOnQuotaError: true },
              cacheableResponse: { statuses: [200] },
            },
          },
        ],
      },
    }),
  ],
  resolve: { conditions: ['@yaylak/source', ...defaultClientConditions] },
  worker: { format: 'es' },
  // A list of all that a place wants, in the first file, costs each start 6 kB; here they are asked for as they come.
  build: { modulePreload: false },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.PORT ?? '4870'}` } },
});
