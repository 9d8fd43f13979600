import { openOwnerOrm } from "./orm";

const orm = await openOwnerOrm();
await orm.getMigrator().up();
await orm.close();
