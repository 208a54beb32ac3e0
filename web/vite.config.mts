import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** What the faces every page is set in are called; other letters than Latin's plain ones come when a word has one. */
const FACES = /-latin-wght-normal-[^/]*\.woff2$/;

/**
 * Asks for the faces with the page itself: those that came after the first words were drawn set them again, and what
 * was about to be pressed moved away under the finger.
 */
const facesFirst: Plugin = {
  name: 'faces-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((name) => FACES.test(name))
        .map((name) => ({
          tag: 'link',
          injectTo: 'head' as const,
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${name}`, crossorigin: '' },
        })),
  },
};

export default defineConfig({
  plugins: [
    react(),
    facesFirst,
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
