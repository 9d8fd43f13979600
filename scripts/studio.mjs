// npm run studio -- create: a studio and its lead, asked for one by one or given as --name, --lead, --email, --zone; the
// password is read from the terminal or from standard input, never from the command line.
import { createInterface } from 'node:readline/promises'
import { parseArgs } from 'node:util'
import { bin, leave, run, Stop, studioDatabase } from './steps.mjs'

const USAGE = 'npm run studio -- create [--name "Studio"] [--lead "Name"] [--email name@place] [--zone Europe/Oslo]'

async function main() {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { name: { type: 'string' }, lead: { type: 'string' }, email: { type: 'string' }, zone: { type: 'string' } },
  })
  if (positionals[0] !== 'create') throw new Stop(USAGE)
  const asking = createInterface({ input: process.stdin, output: process.stdout, terminal: process.stdin.isTTY })
  const lines = asking[Symbol.asyncIterator]()
  const ask = async (question, given) => {
    if (given) return given
    process.stdout.write(`${question}: `)
    const { value } = await lines.next()
    return (value ?? '').trim()
  }
  const asked = {
    name: await ask('Name of the studio', values.name),
    lead: await ask('Your name', values.lead),
    email: await ask('Your mail address', values.email),
    timeZone: await ask(`Time zone (empty: ${Intl.DateTimeFormat().resolvedOptions().timeZone})`, values.zone) || Intl.DateTimeFormat().resolvedOptions().timeZone,
    password: await ask('Password, at least ten characters'),
  }
  asking.close()
  const { urls } = await studioDatabase()
  console.log((await run(bin('tsx'), ['src/data/create-studio.ts'], { ...urls, STUDIO: JSON.stringify(asked) })).trim())
}

main().catch(leave)
