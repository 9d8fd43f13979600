import toJsonSchema from "joi-to-json";
import { ownRowsFileSchema } from "../../../../schemas/own-row.schema";

/** What a file of rows looks like, as JSON Schema: for whoever writes one by hand or by a script. */
export function GET(): Response {
  return Response.json({ ...toJsonSchema(ownRowsFileSchema), title: "Rows of a studio's own" });
}
