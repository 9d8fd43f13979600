import { upgrade } from "./upgrade";

// the last line is for whoever starts the web process, and for nobody else
const secret = await upgrade(process.env["SECRET_BEFORE"]);
console.log(`secret ${secret}`);
