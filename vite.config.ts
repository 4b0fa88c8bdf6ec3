import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { defineConfig, type Plugin } from 'vite'

/** Packs each built text file beside itself, so that PHP's own web server can send it compressed. */
function packed(): Plugin {
  return {
    name: 'packed',
    apply: 'build',
    writeBundle({ dir }) {
      if (!dir) return
      for (const file of readdirSync(join(dir, 'assets'))) {
        if (!/\.(js|css)$/.test(file)) continue
        const path = join(dir, 'assets', file)
        writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 }))
      }
    },
  }
}

/** A font that comes late is used from the next page on: nothing moves while it is read. */
function steadyFonts(): Plugin {
  return {
    name: 'steady-fonts',
    generateBundle(_, bundle) {
      for (const file of Object.values(bundle))
        if (file.type === 'asset' && file.fileName.endsWith('.css'))
          file.source = String(file.source).replaceAll(/font-display:\s*swap/g, 'font-display:optional')
    },
  }
}

export default defineConfig({
  plugins: [
    laravel({
      input: ['resources/js/main.tsx', 'resources/js/handout.ts', 'resources/css/handout.css'],
      refresh: false,
    }),
    react(),
    tailwindcss(),
    steadyFonts(),
    packed(),
  ],
  resolve: { alias: { '@': '/resources/js' } },
})
