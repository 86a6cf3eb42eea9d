import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** The face every page is set in is asked for with the page, and not when its styles have come. */
const FACE = /atkinson-hyperlegible-next-latin-wght-normal-[\w-]+\.woff2$/;
const preloadFace: Plugin = {
  name: 'preload-face',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => FACE.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: '' },
          injectTo: 'head-prepend',
        })),
  },
};

export default defineConfig(({ mode }) => ({
  plugins: [react(), tailwindcss(), preloadFace],
  resolve: { conditions: ['source', 'module', 'browser', mode === 'production' ? 'production' : 'development'] },
  worker: { format: 'es' },
  // Small images and fonts stay files of their own, so that the page's styles are not held up by them.
  build: { target: 'es2022', sourcemap: false, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:4870' } },
}));
