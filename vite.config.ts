import { createHash } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import vuetify from 'vite-plugin-vuetify';

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Components that every page shows. */
const FRAME_COMPONENTS = [
  ...['VApp', 'VAppBar', 'VAvatar', 'VBtn', 'VDefaultsProvider', 'VDivider', 'VIcon', 'VImg', 'VInput', 'VLayout'],
  ...['VList', 'VMain', 'VOverlay', 'VProgressCircular', 'VProgressLinear', 'VToolbar', 'transitions'],
].join('|');

const FRAME = new RegExp(
  [
    'node_modules/(vue|@vue|vue-router|pinia)/',
    'vuetify/lib/(util|composables|directives)/',
    `vuetify/lib/components/(${FRAME_COMPONENTS})/`,
  ].join('|'),
);

/** Keeps the page in the browser, so that it opens with the server away, and lets it be installed. */
const heldPage = VitePWA({
  // Asked before it takes the place of the page that is open.
  registerType: 'prompt',
  injectRegister: null,
  manifest: {
    name: 'Fawn Table',
    short_name: 'Fawn Table',
    description: "The slab potter's table: from the finished piece to the flat pattern.",
    lang: 'en',
    display: 'standalone',
    theme_color: '#3b2a22',
    background_color: '#f4ecdf',
    icons: [{ src: 'mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,woff2,svg}'],
    maximumFileSizeToCacheInBytes: 6_000_000,
    inlineWorkboxRuntime: true,
    cleanupOutdatedCaches: true,
    // The one page for every place, as the server sends it: a new one whenever any file is.
    navigateFallback: '/',
    navigateFallbackDenylist: [/^\/api\//],
    manifestTransforms: [
      (entries) => {
        const all = createHash('sha256').update(JSON.stringify(entries)).digest('hex');
        return { manifest: [...entries, { url: '/', revision: all, size: 0 }] };
      },
    ],
  },
});

export default defineConfig({
  root: folder('src/web'),
  plugins: [vue(), vuetify({ autoImport: true }), heldPage],
  html: { cspNonce: '__FAWN_NONCE__' },
  build: {
    outDir: folder('dist/web'),
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: { polyfill: false },
    // What every page needs comes in one file instead of thirty.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'frame', test: FRAME }] } } },
  },
  server: { host: '127.0.0.1', proxy: { '^/api/': { target: 'http://127.0.0.1:4310', changeOrigin: false } } },
});
