// npm run demo: from a fresh clone to a running studio. `--reset` starts its data over.
// npm run dev: the same, not built but compiled as it is asked for, and again after each change.
import { bin, buildApp, checkMachine, installPackages, leave, migrate, requireFreePort, run, serve, startDatabase, step, untilHealthy } from './steps.mjs'

const port = Number(process.env.PORT ?? 4180)
const address = `http://localhost:${port}` // by name, since passkeys belong to one
const reset = process.argv.includes('--reset')
const isDev = process.argv.includes('--dev')

async function main() {
  console.log('Ponderis demo')
  let database
  let urls
  let env // what the web process knows: not the owner of the tables
  await step('Check this machine', async () => {
    checkMachine()
    await requireFreePort(port)
  })
  await step('Packages', installPackages)
  await step('Database', async () => {
    database = await startDatabase('demo', { reset, port: 54329 })
    urls = await database.urls()
    env = { DATABASE_URL: urls.DATABASE_URL, APP_URL: address, NODE_ENV: isDev ? 'development' : 'production' }
  })
  await step('Schema', async () => { env = { ...env, AUTH_SECRET: await migrate(urls) } })
  let ownPage = ''
  const fill = step('Demo data', async () => {
    const [note, page] = (await run(bin('tsx'), ['src/demo/seed.ts'], { ...env, ...urls })).trim().split('\n')
    ownPage = page
    return note
  })
  await Promise.all([fill, ...(isDev ? [] : [step('Build', buildApp)])])
  await requireFreePort(port)
  serve({ ...process.env, ...env, PORT: String(port) }, database)
  await step('Serve', () => untilHealthy(`http://127.0.0.1:${port}/api/health`))
  console.log(`\n  Open      ${address}\n  E-mail    trainer@ponderis.example\n  Password  harbour-scale\n\n  A colleague    part-timer@ponderis.example, the same password\n  A client's own page, as on a phone\n            ${address}${ownPage}\n\n  Ctrl-C stops it. npm run demo -- --reset starts the data over.`)
}

main().catch(leave)
