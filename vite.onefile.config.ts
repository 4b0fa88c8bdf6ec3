import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

/** The step view as one script and one style sheet, to be put in a file of its own with everything it shows. */
export default defineConfig({
  plugins: [react(), tailwindcss()],
  publicDir: false,
  define: { 'process.env.NODE_ENV': '"production"' },
  resolve: {
    alias: [
      // The file carries the sentences it needs.
      { find: './languages', replacement: fileURLToPath(new URL('./resources/js/languages.none.ts', import.meta.url)) },
      {
        find: '../../lang/en.json',
        replacement: fileURLToPath(new URL('./resources/js/sentences.none.ts', import.meta.url)),
      },
      { find: '@', replacement: fileURLToPath(new URL('./resources/js', import.meta.url)) },
    ],
  },
  build: {
    outDir: 'public/build/onefile',
    assetsInlineLimit: Number.MAX_SAFE_INTEGER,
    cssCodeSplit: false,
    lib: {
      entry: 'resources/js/onefile.tsx',
      formats: ['iife'],
      name: 'gimbo',
      fileName: () => 'onefile.js',
      cssFileName: 'onefile',
    },
  },
})
