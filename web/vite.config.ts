import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  // The package's module build has no default export, which Node's build has; both sides import the latter.
  plugins: [react(), tailwindcss()],
  build: {
    target: 'es2022',
    sourcemap: false,
    manifest: true,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        // What nearly every screen of the bench needs comes in one piece: fifty small ones are packed worse.
        codeSplitting: { groups: [{ name: 'common', minShareCount: 24 }] },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4310' } },
})
