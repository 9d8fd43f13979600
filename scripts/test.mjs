// npm test: what every change must pass, from a fresh clone. Its own database cluster, which would not outlive a power cut.
// npm test -- paths: those alone, with what they need.   npm run proofs: what takes its time, and the other browser tests.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { bin, buildApp, checkMachine, fingerprint, installPackages, leave, root, run, show, startDatabase, step, Stop } from './steps.mjs'

const CHROMIUM = '/usr/bin/chromium-headless-shell'
const BROWSERS = 2 // at once, each with a server and a copy of the demo's database (tests/e2e/server.ts)
/** Where it is between nine and ten in the morning: no day turns in the studio while the tests run, whatever the hour here. */
const DEMO_TIME_ZONE = Intl.supportedValuesOf('timeZone').find((timeZone) =>
  new Date().toLocaleTimeString('en-GB', { timeZone }).startsWith('09'))
/** Tests of the database take turns in one; each of the demo's tests and browsers has a copy of it. */
const [EMPTY, DEMO] = ['ponderis_test', 'ponderis_e2e']

async function installChromium() {
  if (existsSync(CHROMIUM)) return 'already here'
  if (process.getuid() !== 0) throw new Stop('Chromium is not installed. Ask an administrator to run: apt-get install chromium-headless-shell')
  await run('apt-get', ['update', '-qq'])
  await run('apt-get', ['install', '-y', '-qq', '-o', 'DPkg::Lock::Timeout=300', '--no-install-recommends', 'chromium-headless-shell'], { DEBIAN_FRONTEND: 'noninteractive' })
}

const vitest = (projects, env, ...paths) => show(bin('vitest'), ['run', ...projects.flatMap((name) => ['--project', name]), ...paths], env)
const playwright = (env, ...words) => show(bin('playwright'), ['test', ...words], env)

async function checkSources() {
  await step('Route types', async () => { await run(bin('next'), ['typegen']) })
  await step('Format', async () => { await run(bin('oxfmt'), ['--check']) })
  await Promise.all([
    step('Types', async () => { await run(bin('tsc'), ['--noEmit']) }),
    step('Lint', async () => { await run('npm', ['run', '--silent', 'lint']) }),
  ])
}

/** The demo's database, made once for these sources and this morning; nothing is tried on it but on copies. */
async function demoData(database) {
  const note = join(root, '.data', 'test', 'demo-made-from')
  const madeFrom = `${fingerprint()} ${DEMO_TIME_ZONE} ${new Date().toLocaleDateString('en-CA', { timeZone: DEMO_TIME_ZONE })}`
  if (existsSync(note) && readFileSync(note, 'utf8') === madeFrom) return 'nothing changed'
  const env = { ...(await database.fresh(DEMO)), DEMO_TIME_ZONE }
  await run(bin('tsx'), ['src/data/migrate.ts'], env)
  await run(bin('tsx'), ['src/demo/seed.ts'], env)
  writeFileSync(note, madeFrom)
}
async function testDemo(database, ...paths) {
  await vitest(['demo'], { ...(await database.fresh(`${DEMO}_tried`, DEMO)), DEMO_TIME_ZONE }, ...paths)
}
async function testBrowser(database, ...words) {
  for (let i = 0; i < BROWSERS; i++) await database.fresh(`${DEMO}_${i}`, DEMO)
  await playwright({ ...(await database.urls(DEMO)), DEMO_TIME_ZONE }, ...words)
}

async function all(database) {
  await checkSources()
  await vitest(['unit', 'published'], {})
  // tests of the database go one by one: the other core makes the demo and builds meanwhile
  const demo = step('Demo data', () => demoData(database))
  await Promise.all([
    database.fresh(EMPTY).then((env) => vitest(['database'], env)).then(() => demo).then(() => testDemo(database)),
    demo.then(() => step('Build', buildApp)),
  ])
  await testBrowser(database, `--workers=${BROWSERS}`, '--project=alone', '--project=first')
}

async function proofs(database) {
  await vitest(['proofs'], {})
  await step('Build', buildApp)
  await step('Demo data', () => demoData(database))
  await testBrowser(database, `--workers=${BROWSERS}`, '--project=rest')
}

/** Each file by its place. Browser tests that are named run one after another, without those that others wait for. */
async function some(database, paths) {
  const PLACES = { browser: /\.spec(\.ts)?|e2e/, demo: /tests\/demo/, database: /src\/(data|steps|demo)\b/, core: /./ }
  const by = {}
  for (const path of paths) (by[Object.keys(PLACES).find((place) => PLACES[place].test(path))] ??= []).push(path)
  if (by.core) await vitest(['unit', 'published', 'proofs'], {}, ...by.core)
  if (by.database) await vitest(['database'], await database.fresh(EMPTY), ...by.database)
  if (by.demo || by.browser) await step('Demo data', () => demoData(database))
  if (by.demo) await testDemo(database, ...by.demo)
  if (!by.browser) return
  await step('Build', buildApp)
  await testBrowser(database, '--workers=1', '--no-deps', ...by.browser)
}

async function main() {
  const [first, ...others] = process.argv.slice(2)
  await step('Check this machine', async () => checkMachine())
  await Promise.all([step('Packages', installPackages), step('Browser', installChromium)])
  let database
  await step('Database', async () => { database = await startDatabase('test', { fast: true, port: 54429 }) })
  try {
    if (first === undefined) await all(database)
    else if (first === 'proofs') await proofs(database)
    else await some(database, [first, ...others])
  } finally {
    await database.stop()
  }
}

main().catch(leave)
