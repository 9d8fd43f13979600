import { createInterface } from "node:readline/promises";
import { Writable } from "node:stream";
import { parseArgs } from "node:util";
import { parse } from "../schemas/parse";
import { type NewStudio, newStudioKeys } from "../schemas/team.schema";
import { createStudio, endSecondStepOf, passwordLinkFor } from "./studios";

/** npm run studio: what is done from the command line, for a person at a terminal or for a script. */
const USAGE = `npm run studio -- create [--name "Studio"] [--lead "Name"] [--email name@place] [--zone Europe/Oslo]
npm run studio -- reset --email name@place              a link for a new password
npm run studio -- reset --email name@place --codes      ends their codes and passkeys, where telephone and recovery codes are lost

A password is read from the terminal, or as the next line of standard input; never from the command line.`;

const NO_DATABASE = `The database does not answer. With one of your own: is it running, do DATABASE_URL and DATABASE_OWNER_URL lead to it, and has npm start
made its tables? Without: npm start makes one.`;

const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const QUESTIONS: readonly { key: keyof NewStudio; flag: string; asks: string; needs: string; fallback?: string }[] = [
  { key: "name", flag: "name", asks: "Name of the studio", needs: "A name for the studio is needed." },
  { key: "lead", flag: "lead", asks: "Your name", needs: "Your name is needed." },
  { key: "email", flag: "email", asks: "Your mail address", needs: "A mail address is needed, like name@place.example." },
  { key: "timeZone", flag: "zone", asks: `Time zone (empty: ${ZONE})`, needs: "A time zone is needed, like Europe/Oslo.", fallback: ZONE },
  { key: "password", flag: "", asks: "Password, at least ten characters", needs: "A password of at least ten characters is needed." },
];

/** Asks line by line; what is typed for a password is not shown. */
function terminal() {
  let isHidden = false;
  const output = new Writable({
    write(chunk: Buffer, _encoding, done) {
      if (!isHidden) process.stdout.write(chunk);
      done();
    },
  });
  const reader = createInterface({ input: process.stdin, output, terminal: process.stdin.isTTY });
  const lines = reader[Symbol.asyncIterator]();
  return {
    ask: async (question: string, hidden: boolean): Promise<string | null> => {
      process.stdout.write(`${question}: `);
      isHidden = hidden && process.stdin.isTTY;
      const { value, done } = await lines.next();
      if (isHidden) process.stdout.write("\n");
      isHidden = false;
      return done ? null : String(value).trim();
    },
    close: () => reader.close(),
  };
}

/** Each answer is looked at when it is given: a wrong one is asked for again where somebody sits there, and ends a script. */
async function create(given: Readonly<Record<string, string | undefined>>): Promise<string | null> {
  const { ask, close } = terminal();
  const told: Partial<Record<keyof NewStudio, string>> = {};
  try {
    for (const { key, flag, asks, needs, fallback } of QUESTIONS) {
      let answer = given[flag];
      for (;;) {
        answer ??= await ask(asks, key === "password").then((said) => (said === "" && fallback ? fallback : (said ?? undefined)));
        const parsed = parse<string>(newStudioKeys[key], answer);
        if (parsed.ok) {
          told[key] = parsed.value;
          break;
        }
        console.error(needs);
        if (answer === undefined || given[flag] !== undefined || !process.stdin.isTTY) return null;
        answer = undefined;
      }
    }
  } finally {
    close();
  }
  const studio = told as NewStudio;
  if (await createStudio(studio))
    return `${studio.name} is there. Sign in as ${studio.email}; first say what stands in the room under Equipment, then add a client.`;
  console.error(`Nothing was made: ${studio.email} signs somebody in already.`);
  return null;
}

async function reset(email: string | undefined, isCodes: boolean): Promise<string | null> {
  const parsed = parse<string>(newStudioKeys.email, email);
  if (parsed.ok && isCodes && (await endSecondStepOf(parsed.value)))
    return `${parsed.value} signs in with the password alone, and is signed out everywhere.`;
  const secret = parsed.ok && !isCodes ? await passwordLinkFor(parsed.value) : null;
  if (secret)
    return `${process.env["APP_URL"] ?? "http://127.0.0.1:4181"}/password/${secret}\nShown this once, good for 24 hours and one new password.`;
  console.error(parsed.ok ? `Nobody signs in as ${parsed.value}.` : "Whose? npm run studio -- reset --email name@place");
  return null;
}

async function main(): Promise<string | null> {
  const option = { type: "string" } as const;
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { name: option, lead: option, email: option, zone: option, codes: { type: "boolean", default: false } },
  });
  if (positionals[0] === "create") return create({ ...values, codes: undefined });
  if (positionals[0] === "reset") return reset(values.email, values.codes);
  console.error(USAGE);
  return null;
}

/** No server, no such database or role, no tables yet, a wrong password. */
const ABSENT = ["ECONNREFUSED", "ENOTFOUND", "3D000", "28000", "28P01", "42P01"];
const said = await main().catch((error: unknown) => {
  const { code = "", message } = error as { code?: string; message: string };
  if (code.startsWith("ERR_PARSE_ARGS")) console.error(`${message}\n\n${USAGE}`);
  else if (ABSENT.includes(code)) console.error(NO_DATABASE);
  else throw error;
  return null;
});
if (said === null) process.exitCode = 1;
else console.log(said);
