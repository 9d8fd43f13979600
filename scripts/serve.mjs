// The web process: the application behind a door of our own. Started by npm start, the demo, the browser tests, and unbuilt by npm run dev.
import cluster from 'node:cluster'
import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import next from 'next'
import { errorLine } from '../src/server/error-line.mjs'
import { root } from './steps.mjs'

// more than one pays only where the database has cores of its own (docs/reliability.md); a lost one is replaced
const processes = Number(process.env.WEB_PROCESSES ?? 1)
const port = Number(process.env.PORT ?? 4180)
const hostname = '127.0.0.1'
const isDev = process.env.NODE_ENV === 'development'
// addresses of the operator's own proxies; nobody else is believed about where a request comes from
const proxies = (process.env.TRUSTED_PROXIES ?? '').split(',').filter(Boolean)
const { mostBytes, mostSignInBytes, mostLetterBytes, mostImportBytes } = JSON.parse(readFileSync(new URL('../src/server/body-sizes.json', import.meta.url), 'utf8'))
const MOST_POURED_BYTES = 32 * 1024 * 1024

// so that a tablet tells a page of another build from its own
const build = isDev ? '' : readFileSync(new URL('../.next/BUILD_ID', import.meta.url), 'utf8').trim()

const plain = (address = '') => address.replace(/^::ffff:/, '')
function addressOf({ socket, headers }) {
  const hops = [...String(headers['x-forwarded-for'] ?? '').split(','), socket.remoteAddress].map((hop) => plain(hop.trim())).filter(Boolean)
  return hops.findLast((hop) => !proxies.includes(hop)) ?? plain(socket.remoteAddress)
}

/** Why a request is turned away before anything reads it, or nothing. */
function refusalOf({ method, headers, url }) {
  if (method === 'GET' || method === 'HEAD') return null
  if (method !== 'POST' && !url.startsWith('/api/')) return 405 // a page is looked at, or takes a form
  const most = /^\/(api\/auth\/|sign-in)/.test(url) ? mostSignInBytes : /^\/api\/(letters|pictures)\//.test(url) ? mostLetterBytes : /^\/api\/import(\?|$)/.test(url) ? mostImportBytes : mostBytes
  if (headers['content-length'] === undefined) return method === 'DELETE' && headers['transfer-encoding'] === undefined ? null : 411 // one that brings nothing
  return Number(headers['content-length']) <= most ? null : 413
}

process.setSourceMapsEnabled(true) // so that the log names our files and not the build's
const say = console.error.bind(console)
console.error = console.warn = (...parts) => say(errorLine(parts))

const REFUSALS = { 405: 'method-not-allowed', 411: 'length-required', 413: 'too-large' }

/** What is turned away is poured off unread before it is answered, so that the answer gets through; only so much of it. */
function turnAway(request, response, status) {
  let size = 0
  request.on('data', (part) => {
    size += part.length
    if (size > MOST_POURED_BYTES) request.destroy()
  })
  request.on('end', () => {
    response.writeHead(status, { 'content-type': 'application/json', connection: 'close' })
    response.end(JSON.stringify({ code: REFUSALS[status] }))
  })
}

/** What a page may load and run: its own, by a nonce that Next finds in the request and puts on its scripts. */
const policyOf = (nonce) => [
  `default-src 'self'; script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDev ? " 'unsafe-eval'" : ''}`,
  isDev ? `style-src 'self' 'unsafe-inline'` : `style-src 'self' 'nonce-${nonce}'`,
  `style-src-attr 'unsafe-inline'`, // style="" in the server's HTML (React Aria, Recharts) cannot carry a nonce
  `img-src 'self' data: blob:; media-src 'self' blob:; font-src 'self'; connect-src 'self'${isDev ? ' ws:' : ''}; worker-src 'self'`,
  `object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'`,
].join('; ')
const WITHOUT_POLICY = /^\/(_next\/(static|image)\/|icon\.svg|floor-sw\.js)/

function setPolicy(request, response) {
  delete request.headers['x-nonce']
  delete request.headers['content-security-policy']
  if (WITHOUT_POLICY.test(request.url)) return
  if (request.url.startsWith('/api/')) return response.setHeader('content-security-policy', "default-src 'none'; frame-ancestors 'none'")
  response.setHeader('x-build', build)
  const nonce = randomBytes(16).toString('base64')
  request.headers['x-nonce'] = nonce
  request.headers['content-security-policy'] = policyOf(nonce)
  response.setHeader('content-security-policy', policyOf(nonce))
}

// documents this process is answering now: past a few it leaves a station's drawing to the device that asked (src/server/crowd.ts)
let documentsNow = 0
function countDocument(request, response) {
  delete request.headers['x-documents-now']
  if (request.method !== 'GET' || request.headers.rsc || !/^\/clients\/./.test(request.url)) return
  request.headers['x-documents-now'] = String(++documentsNow)
  response.once('close', () => documentsNow--)
}

/** A page typed by the machine's number where it goes by its name: cookies and passkeys belong to the name. Next's own asking stays as it is. */
const own = process.env.APP_URL ? new URL(process.env.APP_URL) : null
const isByNumber = ({ headers }) =>
  own?.hostname === 'localhost' && headers.host === `127.0.0.1:${own.port}` && headers['sec-fetch-mode'] === 'navigate'

async function serve() {
  const server = createServer()
  const app = next({ dev: isDev, dir: root, hostname, port, httpServer: server })
  await app.prepare()
  const handle = app.getRequestHandler()
  const isSecure = (process.env.APP_URL ?? '').startsWith('https:')
  server.on('request', (request, response) => {
    request.headers['x-forwarded-for'] = addressOf(request)
    setPolicy(request, response)
    countDocument(request, response)
    response.setHeader('x-content-type-options', 'nosniff')
    response.setHeader('referrer-policy', 'same-origin')
    response.setHeader('permissions-policy', 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), browsing-topics=()')
    if (isSecure) response.setHeader('strict-transport-security', 'max-age=31536000; includeSubDomains')
    if (isByNumber(request)) return response.writeHead(307, { location: `${own.origin}${request.url}` }).end()
    const refusal = refusalOf(request)
    if (refusal === null) return handle(request, response)
    turnAway(request, response, refusal)
  })
  if (!isDev) server.on('upgrade', (_request, socket) => socket.destroy()) // nothing here is anything but http; left alone it would stay open
  server.headersTimeout = 15_000
  server.requestTimeout = 30_000
  server.listen(port, hostname)
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.close(() => process.exit(0)).closeAllConnections())
}

if (cluster.isPrimary && processes > 1) {
  let isStopping = false
  for (let i = 0; i < processes; i++) cluster.fork()
  cluster.on('exit', () => { if (!isStopping) cluster.fork() })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => {
    isStopping = true
    cluster.disconnect(() => process.exit(0))
    for (const worker of Object.values(cluster.workers)) worker.process.kill('SIGTERM')
  })
} else await serve()
