import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

/** The client's page as one script and one style, to be written into a file that needs no server: `dist/file`. */
export default defineConfig({
  plugins: [react(), tailwindcss()],
  publicDir: false,
  build: {
    target: 'es2022',
    outDir: 'dist/file',
    emptyOutDir: true,
    cssCodeSplit: false,
    chunkSizeWarningLimit: 900,
    // Its font comes along: a file loads none.
    assetsInlineLimit: (file) => /\.woff2$/.test(file),
    rolldownOptions: {
      input: 'src/client/file.tsx',
      // A file has no address of its own to load from.
      transform: { define: { 'import.meta': '{}' } },
      output: { format: 'iife', entryFileNames: 'page.js', assetFileNames: 'page[extname]', codeSplitting: false },
    },
  },
})
