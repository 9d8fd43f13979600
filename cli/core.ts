import { text } from "node:stream/consumers";
import { answerTo } from "./answer";

/** npm run --silent core -- <command>: one JSON document in, one out. */
const name = process.argv[2];
const { exitCode, value } = answerTo(name, name === "commands" ? "" : await text(process.stdin));
process.stdout.write(`${JSON.stringify(value)}\n`);
process.exitCode = exitCode;
