import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  publicDir: '.cache/public',
  build: {
    target: 'es2022',
    outDir: 'dist/app',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
  },
  worker: { format: 'es' },
  optimizeDeps: { exclude: ['harfbuzzjs'] },
});
