// npm start: a studio for real, without demo data. Its own PostgreSQL on loopback, or the one that DATABASE_URL names.
import { buildApp, checkMachine, installPackages, leave, migrate, requireFreePort, serve, studioDatabase, step, untilHealthy } from './steps.mjs'

const port = Number(process.env.PORT ?? 4181)
const address = process.env.APP_URL ?? `http://127.0.0.1:${port}`

async function main() {
  console.log('Ponderis')
  let database
  await step('Check this machine', async () => {
    checkMachine()
    await requireFreePort(port)
  })
  await step('Packages', installPackages)
  await step('Database', async () => { database = await studioDatabase() })
  const { urls } = database
  let secret = ''
  await step('Schema', async () => { secret = await migrate(urls) })
  await step('Build', buildApp)
  // what the web process knows: not the owner of the tables
  const { DATABASE_OWNER_URL: _owner, DATABASE_SUPER_URL: _super, ...own } = process.env
  const env = { ...own, DATABASE_URL: urls.DATABASE_URL, APP_URL: address, AUTH_SECRET: process.env.AUTH_SECRET ?? secret, NODE_ENV: 'production', PORT: String(port) }
  serve(env, database)
  await step('Serve', () => untilHealthy(`http://127.0.0.1:${port}/api/health`))
  console.log(`\n  Open      ${address}\n  The first studio and its lead: npm run studio -- create (in another window)\n\n  Ctrl-C stops it. docs/running.md says how to run it for real.`)
}

main().catch(leave)
