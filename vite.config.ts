import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url));

const FRAME = new RegExp(
  [
    'node_modules/(vue|@vue|vue-router|pinia)/',
    'vuetify/lib/(util|composables|directives)/',
    'vuetify/lib/components/(VApp|VAppBar|VAvatar|VBtn|VDefaultsProvider|VDivider|VIcon|VImg|VInput|VLayout|VList|VMain|VOverlay|VProgressCircular|VProgressLinear|VToolbar|transitions)/',
  ].join('|'),
);

export default defineConfig({
  root: folder('src/web'),
  plugins: [vue(), vuetify({ autoImport: true })],
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
