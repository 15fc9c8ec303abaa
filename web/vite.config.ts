import { svelte } from '@sveltejs/vite-plugin-svelte';
import { optimizeCss } from 'carbon-preprocess-svelte';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

/** Carbon's style names fonts on a foreign host; ours ship with the application. */
const noForeignFonts: Plugin = {
  name: 'no-foreign-fonts',
  enforce: 'pre',
  transform: (code, id) =>
    id.includes('carbon-components-svelte/css') ? code.replace(/@font-face\s*\{[^}]*\}/g, '') : undefined,
};

export default defineConfig(({ mode }) => ({
  plugins: [noForeignFonts, svelte(), optimizeCss()],
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022' },
  server: { proxy: { '/api': 'http://127.0.0.1:7370', '/actuator': 'http://127.0.0.1:7370' } },
  resolve: mode === 'test' ? { conditions: ['browser'] } : {},
  test: { include: ['src/**/*.test.ts'], setupFiles: ['src/test-setup.ts'], testTimeout: 30_000 },
}));
