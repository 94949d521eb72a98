import { readFileSync } from 'node:fs'
import { defineConfig, type Plugin } from 'vite'
import vue from '@vitejs/plugin-vue'
import { VitePWA } from 'vite-plugin-pwa'

const FONTS = [
  '@fontsource-variable/atkinson-hyperlegible-next',
  '@fontsource-variable/atkinson-hyperlegible-mono',
  'primeicons',
]

/** The licences of what comes in by a style sheet, beside those of the scripts. */
const fontLicences = (): Plugin => ({
  name: 'omblet-font-licences',
  generateBundle() {
    const texts = FONTS.map(
      (name) =>
        `# ${name}\n\n${readFileSync(new URL(`../../node_modules/${name}/LICENSE`, import.meta.url), 'utf8')}`,
    )
    this.emitFile({ type: 'asset', fileName: 'licences-fonts.md', source: texts.join('\n\n') })
  },
})

export default defineConfig({
  plugins: [
    vue(),
    fontLicences(),
    VitePWA({
      // A new version is offered and never forced, so the application registers and updates by itself.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        id: '/',
        name: 'Omblet',
        short_name: 'Omblet',
        description: 'Design skin and hair products by phases, see what is wrong, make them step by step.',
        start_url: '/formulas',
        display: 'standalone',
        theme_color: '#10254a',
        background_color: '#ebeff3',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        file_handlers: [
          { action: '/formulas', accept: { 'application/json': ['.json'], 'application/zip': ['.zip'] } },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/instruments/],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 700,
    license: { fileName: 'licences.md' },
  },
  worker: { format: 'es' },
  server: {
    port: Number(process.env['PORT'] ?? 5173),
    proxy: { '/instruments': 'http://localhost:4180' },
  },
})
