// npm run demo: from a fresh clone to a running studio. `--reset` starts its data over.
import { spawn } from 'node:child_process'
import { authSecret, bin, buildApp, checkMachine, installPackages, leave, requireFreePort, root, run, startDatabase, step } from './steps.mjs'

const port = Number(process.env.PORT ?? 4180)
const address = `http://127.0.0.1:${port}`
const reset = process.argv.includes('--reset')

async function main() {
  console.log('Ponderis demo')
  let database
  let env
  await step('Check this machine', async () => {
    checkMachine()
    await requireFreePort(port)
  })
  await step('Packages', installPackages)
  await step('Database', async () => {
    database = await startDatabase('demo', { reset, port: 54329 })
    env = { ...(await database.urls()), APP_URL: address, AUTH_SECRET: authSecret(), NODE_ENV: 'production' }
  })
  await step('Schema', async () => { await run(bin('tsx'), ['src/data/migrate.ts'], env) })
  await step('Demo data', async () => (await run(bin('tsx'), ['src/data/demo/seed.ts'], env)).trim())
  await step('Build', buildApp)
  await requireFreePort(port)
  const server = spawn(bin('next'), ['start', '-H', '127.0.0.1', '-p', String(port)], { cwd: root, env: { ...process.env, ...env }, stdio: ['ignore', 'ignore', 'inherit'], detached: true })

  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    console.log('\nStopping ...')
    server.once('close', async () => {
      await database.stop()
      process.exit(0)
    })
    process.kill(-server.pid, 'SIGTERM')
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  server.on('close', (code) => {
    if (stopping) return
    database.stopNow()
    leave(new Error(`the server ended by itself (${code})`))
  })
  await step('Serve', () => untilHealthy(`${address}/api/health`))
  console.log(`\n  Open      ${address}\n  E-mail    trainer@ponderis.example\n  Password  harbour-scale\n\n  Ctrl-C stops it. npm run demo -- --reset starts the data over.`)
}

async function untilHealthy(url) {
  for (let i = 0; i < 120; i++) {
    if (await fetch(url).then((response) => response.ok, () => false)) return
    await new Promise((resolve) => setTimeout(resolve, 250))
  }
  throw new Error(`${url} did not answer within 30 s`)
}

main().catch(leave)
