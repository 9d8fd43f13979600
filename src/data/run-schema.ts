import { openOwnerOrm } from "./orm";

/** npm run schema: every migration, one after another, in an empty database; what they come to is then written down. */
const owner = await openOwnerOrm();
await owner.getMigrator().up();
await owner.close();
