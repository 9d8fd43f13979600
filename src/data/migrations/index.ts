import type { MigrationObject } from "@mikro-orm/core";
import { Migration0001 } from "./migration-0001";
import { Migration0002 } from "./migration-0002";

export const migrationsList: MigrationObject[] = [
  { name: "migration-0001", class: Migration0001 },
  { name: "migration-0002", class: Migration0002 },
];
