import { upgrade } from "./upgrade";

await upgrade();
