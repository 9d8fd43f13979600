// What the demo and test commands share. Node alone: this runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync, statfsSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))
const DISK_NEEDED_BYTES = 2 * 1024 ** 3

/** Ends the command with a sentence for whoever typed it. */
export class Stop extends Error {}

/** Runs one step and prints how long it took. */
export async function step(name, work) {
  const startedMs = Date.now()
  if (process.stdout.isTTY) process.stdout.write(`  ${name} ...\r`)
  const note = await work()
  const seconds = ((Date.now() - startedMs) / 1000).toFixed(1)
  process.stdout.write(`  ${name.padEnd(34)} ${seconds.padStart(6)} s${note ? `  ${note}` : ''}\n`)
}

/** Runs a program to its end and returns what it printed. Its own words are shown when it fails. */
export function run(command, args, env = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] })
    let out = ''
    let all = ''
    child.stdout.on('data', (chunk) => { out += chunk; all += chunk })
    child.stderr.on('data', (chunk) => { all += chunk })
    child.on('error', reject)
    child.on('close', (code) => (code === 0 ? resolve(out) : reject(new Stop(`\n${all.trim()}\n`))))
  })
}

/** Runs a program on this terminal; rejects if it fails. */
export function show(command, args, env = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env }, stdio: 'inherit' })
    child.on('error', reject)
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Stop(`${[command, ...args].join(' ')} failed`))))
  })
}

export const bin = (name) => join(root, 'node_modules', '.bin', name)
const db = (args, env) => run('bash', ['scripts/db.sh', ...args], env)

export function checkMachine() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) throw new Stop(`Node.js 20.19 or newer is needed; this is ${process.versions.node}.`)
  const { bavail, bsize } = statfsSync(root)
  if (bavail * bsize < DISK_NEEDED_BYTES) throw new Stop('Less than 2 GB of disk is free here. Free some space and run this again.')
}

export async function installPackages() {
  const stamp = join(root, 'node_modules', '.package-lock.json')
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs) return 'already here'
  await run('npm', ['ci', '--no-audit', '--no-fund'])
}

/** Starts the cluster in `.data/<name>` and returns its settings for the application and for migrations. */
export async function startDatabase(name, { fast = false, reset = false, port }) {
  const env = { DB_DIR: join(root, '.data', name), DB_FAST: fast ? '1' : '0', DB_PORT: String(port) }
  await show('bash', ['scripts/db.sh', reset ? 'reset' : 'start'], env)
  const urls = async (database = 'ponderis') => ({
    DATABASE_URL: (await db(['url', database], env)).trim(),
    DATABASE_OWNER_URL: (await db(['owner-url', database], env)).trim(),
    DATABASE_SUPER_URL: (await db(['super-url', database], env)).trim(),
  })
  return {
    urls,
    fresh: async (database, ...like) => {
      await db(['dropdb', database], env)
      await db(['createdb', database, ...like], env)
      return urls(database)
    },
    schema: (database) => db(['schema', database], env),
    stop: () => db(['stop'], env),
    stopNow: () => spawnSync('bash', ['scripts/db.sh', 'stop'], { cwd: root, env: { ...process.env, ...env } }),
  }
}

/** The database of a real studio: the one that the environment names, else one of its own on loopback. */
export async function studioDatabase() {
  const { DATABASE_URL, DATABASE_OWNER_URL } = process.env
  if (DATABASE_URL && DATABASE_OWNER_URL) return { urls: { DATABASE_URL, DATABASE_OWNER_URL }, stop: async () => undefined, stopNow: () => undefined }
  if (DATABASE_URL) throw new Stop('DATABASE_URL is set and DATABASE_OWNER_URL is not: migrations run as the owner of the tables (docs/running.md).')
  const database = await startDatabase('studio', { port: 54330 })
  return { urls: await database.urls(), stop: database.stop, stopNow: database.stopNow }
}

/** Waits as long as the machine needs, and says so; a server that ends by itself ends the command. */
export async function untilHealthy(url) {
  for (let i = 1; ; i++) {
    if (await fetch(url).then((response) => response.ok, () => false)) return
    await new Promise((resolve) => setTimeout(resolve, 250))
    if (i % 40 === 0) console.log(`  still starting, ${i / 4} s`)
  }
}

/** Runs the web process until Ctrl-C, or until it ends by itself; the database stops with it. */
export function serve(env, database) {
  const server = spawn(process.execPath, ['scripts/serve.mjs'], { cwd: root, env, stdio: ['ignore', 'ignore', 'inherit'], detached: true })
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
}

/**
 * Brings the database to this build, and tells the secret that is kept with its data, so that nobody is signed out by a restart or
 * a restore. One that the first releases kept in a file goes on.
 */
export async function migrate(urls) {
  const file = join(root, '.data', 'auth-secret')
  const before = existsSync(file) ? { SECRET_BEFORE: readFileSync(file, 'utf8').trim() } : {}
  const said = await run(bin('tsx'), ['src/data/migrate.ts'], { ...urls, ...before, TELL_SECRET: '1' })
  return /^secret (\S+)$/m.exec(said)?.[1] ?? ''
}

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => a.name.localeCompare(b.name))) {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) yield* filesBelow(path)
    else yield path
  }
}

/** What the application is made from, in one word: another source, another word. */
export function fingerprint() {
  const hash = createHash('sha256')
  for (const path of [...filesBelow(join(root, 'src')), join(root, 'package-lock.json'), join(root, 'next.config.ts'), join(root, 'scripts', 'service-worker.mjs')])
    hash.update(path.slice(root.length)).update(readFileSync(path))
  return hash.digest('hex')
}

/** Builds unless the build here was made from exactly these sources. */
export async function buildApp() {
  const stamp = join(root, '.next', 'built-from')
  if (existsSync(stamp) && existsSync(join(root, 'public', 'floor-sw.js')) && readFileSync(stamp, 'utf8') === fingerprint()) return 'nothing changed'
  await run(bin('next'), ['build'], { NEXT_TELEMETRY_DISABLED: '1' })
  await run('node', ['scripts/service-worker.mjs'])
  writeFileSync(stamp, fingerprint())
}

export async function requireFreePort(port) {
  const free = await new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })
  if (!free) throw new Stop(`Port ${port} is taken by another program. Stop it, or choose another: PORT=${port + 1} npm run demo`)
  // some ports belong to other trades, and no browser opens them (Fetch standard, "bad port")
  const why = await fetch(`http://127.0.0.1:${port}`).then(() => '', (error) => error.cause?.message)
  if (why === 'bad port') throw new Stop(`No browser opens port ${port}. Choose another: PORT=${port + 1} npm run demo`)
}

/** Prints what stopped a command and leaves; anything unexpected keeps its stack. */
export function leave(error) {
  console.error(error instanceof Stop ? `\n${error.message}` : error)
  process.exit(1)
}
