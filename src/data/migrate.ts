import { upgrade } from "./upgrade";

const secret = await upgrade(process.env["SECRET_BEFORE"]);
if (process.env["TELL_SECRET"]) console.log(`secret ${secret}`); // for whoever starts the web process, and for nobody else
