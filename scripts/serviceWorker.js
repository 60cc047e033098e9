import { generateSW } from 'workbox-build';

// node scripts/serviceWorker.js OUT: the offline worker of an exported app, so that it opens without a connection.
const out = process.argv[2];
const { count, size, warnings } = await generateSW({
  globDirectory: out,
  // Kept under their own names, not under one with a query: only so does the browser keep them compiled at once,
  // and the second visit need not compile what the first has compiled.
  dontCacheBustURLsMatching: /-[0-9a-f]{32}\./,
  globPatterns: ['**/*.{html,js,css,woff2,png,svg,webmanifest}'],
  swDest: `${out}/sw.js`,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//],
  maximumFileSizeToCacheInBytes: 5 * 1024 * 1024,
  skipWaiting: true,
  clientsClaim: true,
  sourcemap: false,
  inlineWorkboxRuntime: true,
  runtimeCaching: [
    { urlPattern: /\/api\/photos\//, handler: 'CacheFirst', options: { cacheName: 'photos', expiration: { maxEntries: 200 } } },
  ],
});
for (const warning of warnings) console.warn(warning);
console.log(`offline worker: ${count} files, ${Math.round(size / 1024)} kB`);
