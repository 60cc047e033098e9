import { generateSW } from 'workbox-build';

// node scripts/serviceWorker.js OUT: the offline worker of an exported app, so that it opens without a connection.
const out = process.argv[2];
const { count, size, warnings } = await generateSW({
  globDirectory: out,
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
