// npm run studio -- create | reset: on the database that npm start uses (src/data/run-studio.ts asks and answers).
import { bin, leave, show, studioDatabase } from './steps.mjs'

async function main() {
  const { urls } = await studioDatabase()
  await show(bin('tsx'), ['src/data/run-studio.ts', ...process.argv.slice(2)], urls).catch(() => { process.exitCode = 1 })
}

main().catch(leave)
