import { archiveSchema } from "../../../../formats/archive";

/** What an archive looks like, for whoever reads one. */
export const GET = (): Response => Response.json(archiveSchema, { headers: { "content-type": "application/schema+json" } });
