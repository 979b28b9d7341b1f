import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { antdStyles } from './antd-styles';

/** Each build is told from every other: what a device kept of another may have another shape. */
const build = Date.now().toString(36);

export default defineConfig({
  define: { __BUILD__: JSON.stringify(build) },
  plugins: [
    laravel({ input: 'web/src/main.tsx', refresh: false }),
    react(),
    antdStyles(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'web/src/worker',
      filename: 'sw.ts',
      outDir: 'public',
      base: '/',
      buildBase: '/build/',
      scope: '/',
      injectRegister: null,
      includeManifestIcons: false,
      manifest: {
        name: 'Jolly Penny',
        short_name: 'Jolly Penny',
        description: 'What one finished seedling costs, against buying it.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4f7f5',
        theme_color: '#14231c',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        ],
      },
      injectManifest: {
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css,woff2}'],
        modifyURLPrefix: { '': '/build/' },
        // The page without anybody's garden in it, and small things; anew with each build.
        additionalManifestEntries: ['/shell', '/icon.svg'].map((url) => ({ url, revision: build })),
      },
    }),
  ],
  build: {
    target: 'es2022',
    rolldownOptions: {
      checks: { circularDependency: true },
      onLog(level, log, show) {
        // No two files of ours use each other, by however many others between; packages have circles of their own.
        if (log.code === 'CIRCULAR_DEPENDENCY') {
          if (!log.message.includes('node_modules')) throw new Error(log.message);
        } else show(level, log);
      },
      output: {
        // Chunks that change only with their packages, and whose names say what is in them; screens are chunks of their own.
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules\/(react|react-dom|scheduler)\//, priority: 3 },
            {
              name: 'router-and-query',
              test: /node_modules\/(react-router|@tanstack\/(react-query|query-[a-z-]+))\//,
              priority: 2,
            },
            {
              name: 'antd-shared',
              test: /node_modules\/(antd|@rc-component|@ant-design|stylis)\//,
              minShareCount: 12,
              priority: 1,
            },
          ],
        },
      },
    },
  },
  css: { modules: { localsConvention: 'camelCase' } },
});
