// npm test: everything, from a fresh clone. Its own database cluster, which would not outlive a power cut.
// test.mjs browser [specs]: the browser tests alone.
import { existsSync } from 'node:fs'
import { bin, buildApp, checkMachine, installPackages, leave, run, show, startDatabase, step, Stop } from './steps.mjs'

const CHROMIUM = '/usr/bin/chromium-headless-shell'
const BROWSERS = 2 // at once, each with a server and a copy of the demo's database (tests/e2e/server.ts)
/** Where it is between nine and ten in the morning: no day turns in the studio while the tests run, whatever the hour here. */
const DEMO_TIME_ZONE = Intl.supportedValuesOf('timeZone').find((timeZone) =>
  new Date().toLocaleTimeString('en-GB', { timeZone }).startsWith('09'))
const browserOnly = process.argv[2] === 'browser'
const specs = browserOnly ? process.argv.slice(3) : []

async function installChromium() {
  if (existsSync(CHROMIUM)) return 'already here'
  if (process.getuid() !== 0) throw new Stop('Chromium is not installed. Ask an administrator to run: apt-get install chromium-headless-shell')
  await run('apt-get', ['update', '-qq'])
  await run('apt-get', ['install', '-y', '-qq', '-o', 'DPkg::Lock::Timeout=300', '--no-install-recommends', 'chromium-headless-shell'], { DEBIAN_FRONTEND: 'noninteractive' })
}

async function checkSources(database) {
  await step('Route types', async () => { await run(bin('next'), ['typegen']) })
  await step('Format', async () => { await run(bin('oxfmt'), ['--check']) })
  await Promise.all([
    step('Types', async () => { await run(bin('tsc'), ['--noEmit']) }),
    step('Lint', async () => { await run('npm', ['run', '--silent', 'lint']) }),
  ])
  const env = await database.fresh('ponderis_test')
  await show(bin('vitest'), ['run', '--project', 'unit', '--project', 'published'], env)
  // tests of the database go one by one and leave a core to the build
  await Promise.all([show(bin('vitest'), ['run', '--project', 'database'], env), step('Build', buildApp)])
}

async function main() {
  let database
  await step('Check this machine', async () => checkMachine())
  await Promise.all([step('Packages', installPackages), step('Browser', installChromium)])
  await step('Database', async () => { database = await startDatabase('test', { fast: true, port: 54429 }) })
  try {
    if (browserOnly) await step('Build', buildApp)
    else await checkSources(database)
    const env = { ...(await database.fresh('ponderis_e2e')), DEMO_TIME_ZONE }
    await step('Schema', async () => { await run(bin('tsx'), ['src/data/migrate.ts'], env) })
    await step('Demo data', async () => {
      await run(bin('tsx'), ['src/demo/seed.ts'], env)
      for (let i = 0; i < BROWSERS; i++) await database.fresh(`ponderis_e2e_${i}`, 'ponderis_e2e')
    })
    await show(bin('vitest'), ['run', '--project', 'demo'], env)
    // named ones run one after another: what must be alone does not wait for all the others first
    const how = specs.length > 0 ? ['--workers=1', '--no-deps', ...specs] : [`--workers=${BROWSERS}`]
    await show(bin('playwright'), ['test', ...how], env)
  } finally {
    await database.stop()
  }
}

main().catch(leave)
