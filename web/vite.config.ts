import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin, runnerImport } from 'vite'

/** Of a route the page needs where it is and how it is asked; what it takes and gives is checked by the server, and by types. */
function waysOnly(): Plugin {
  return {
    name: 'ways-only',
    apply: 'build',
    async load(id) {
      if (!id.endsWith('/core/src/api/all.ts')) return undefined
      const { module } = await runnerImport<{ API: Record<string, { method: string; path: string }> }>(id)
      const ways = Object.entries(module.API).map(([name, { method, path }]) => [name, { method, path }])
      return `export const API = ${JSON.stringify(Object.fromEntries(ways))}`
    },
  }
}

export default defineConfig({
  // The package's module build has no default export, which Node's build has; both sides import the latter.
  plugins: [react(), tailwindcss(), waysOnly()],
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
