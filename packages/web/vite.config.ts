import { defineConfig } from 'vite'
import vue from '@vitejs/plugin-vue'

export default defineConfig({
  plugins: [vue()],
  build: { target: 'es2022', chunkSizeWarningLimit: 700 },
  worker: { format: 'es' },
  server: {
    port: Number(process.env['PORT'] ?? 5173),
    proxy: { '/instruments': 'http://localhost:4180' },
  },
})
