// After next build: the service worker, with the build's name and its files written in, so that every build installs anew.
import { build } from 'esbuild'
import { readdirSync, readFileSync } from 'node:fs'

const files = readdirSync('.next/static', { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && !entry.name.endsWith('.map'))
  .map((entry) => `/_next/${entry.parentPath.slice('.next/'.length)}/${entry.name}`)
await build({
  entryPoints: ['src/workers/floor.sw.ts'],
  outfile: 'public/floor-sw.js',
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: { BUILD: JSON.stringify(readFileSync('.next/BUILD_ID', 'utf8')), FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
})
