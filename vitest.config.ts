import { defineConfig } from 'vitest/config'
import vue from '@vitejs/plugin-vue'

export default defineConfig({
  plugins: [vue()],
  // property tests take long on a machine that is busy
  test: {
    include: ['packages/*/test/**/*.test.ts'],
    setupFiles: ['scripts/test-setup.ts'],
    environment: 'node',
    testTimeout: 60_000,
    maxWorkers: 2,
  },
})
