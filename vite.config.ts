import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: folder('src/web'),
  plugins: [vue(), vuetify({ autoImport: true })],
  html: { cspNonce: '__FAWN_NONCE__' },
  build: { outDir: folder('dist/web'), emptyOutDir: true, target: 'es2022', modulePreload: { polyfill: false } },
  server: { host: '127.0.0.1', proxy: { '^/api/': { target: 'http://127.0.0.1:4310', changeOrigin: false } } },
});
