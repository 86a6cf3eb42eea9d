import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { basicFace } from './plugins/basicFace.ts';
import { tellThePages } from './plugins/tellThePages.ts';

/** What more than a third of the pages use comes in one file with the rest of its kind. */
const USED_BY_MANY = 15;
/** The checks of forms are large and stay out of that file: a page without a form goes without them. */
const CHECKS = /node_modules\/(joi|@hapi|@standard-schema|@hookform|react-hook-form)\/|contract\/src\//;

/** The program as a phone installs it, and all of its files for when there is no network. */
const installable = () =>
  VitePWA({
    strategies: 'injectManifest',
    srcDir: 'src',
    filename: 'sw.ts',
    // Only a browser that keeps things here has it (`kept/serviceWorker.ts`).
    injectRegister: false,
    injectManifest: {
      globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
      // What is named by its content needs no second name.
      dontCacheBustURLsMatching: /^assets\//,
      maximumFileSizeToCacheInBytes: 4_000_000,
    },
    manifest: {
      id: '/',
      name: 'Bright Keeper',
      short_name: 'Bright Keeper',
      description: 'Keeps lenses, bodies and optics.',
      start_url: '/',
      display: 'standalone',
      background_color: '#fdfdfc',
      theme_color: '#17383a',
      icons: [
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
      shortcuts: [
        { name: 'Out in the field', url: '/field' },
        { name: 'Things', url: '/gear' },
      ],
    },
  });

const SERVER = 'http://localhost:4870';

export default defineConfig(({ mode }) => ({
  plugins: [react(), tailwindcss(), basicFace(), tellThePages(), installable()],
  resolve: { conditions: ['source', 'module', 'browser', mode === 'production' ? 'production' : 'development'] },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    // Small images and fonts stay files of their own, so that the page's styles are not held up by them.
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            {
              name: 'framework',
              test: /node_modules\/(react|react-dom|scheduler|react-router|@tanstack\/(query-core|react-query))\//,
              priority: 3,
            },
            { name: 'entry', tags: ['$initial'], priority: 2 },
            { name: 'common', test: (id) => !CHECKS.test(id), minShareCount: USED_BY_MANY, priority: 1 },
          ],
        },
      },
    },
  },
  // The server takes changes from pages of its own address only: while one works on them they come as such.
  server: { proxy: { '/api': { target: SERVER, changeOrigin: true, headers: { origin: SERVER } } } },
}));
