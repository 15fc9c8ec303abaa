import { svelte } from '@sveltejs/vite-plugin-svelte';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [svelte(), optimizeCss()],
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022' },
  server: { proxy: { '/api': 'http://127.0.0.1:7370', '/actuator': 'http://127.0.0.1:7370' } },
  resolve: mode === 'test' ? { conditions: ['browser'] } : {},
  test: { include: ['src/**/*.test.ts'] },
}));
