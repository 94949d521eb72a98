import { defineConfig } from 'vitest/config'
import vue from '@vitejs/plugin-vue'

/** The core is pure: its tests share one set of modules. Stores and storages are new for every file. */
const project = (name: string, include: string[], isolate: boolean) => ({
  extends: true as const,
  test: { name, include, isolate },
})

export default defineConfig({
  plugins: [vue()],
  test: {
    projects: [
      project('core', ['packages/core/test/**/*.test.ts'], false),
      project('others', ['packages/{web,cli,server}/test/**/*.test.ts'], true),
    ],
    setupFiles: ['scripts/test-setup.ts'],
    environment: 'node',
    // property tests take long on a machine that is busy
    testTimeout: 60_000,
    maxWorkers: 2,
  },
})
