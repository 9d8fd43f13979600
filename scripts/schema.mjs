// npm run schema: what all migrations come to, as one text for a new database. After each new migration; a test says when it is due.
import { writeFileSync } from 'node:fs'
import { bin, leave, run, startDatabase } from './steps.mjs'

async function main() {
  const database = await startDatabase('test', { fast: true, port: 54429 })
  try {
    await run(bin('tsx'), ['src/data/run-schema.ts'], await database.fresh('ponderis_schema'))
    writeFileSync('src/data/migrations/schema.sql', await database.schema('ponderis_schema'))
  } finally {
    await database.stop()
  }
}

main().catch(leave)
