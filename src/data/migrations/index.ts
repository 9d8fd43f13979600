import type { MigrationObject } from "@mikro-orm/core";
import { Migration0001 } from "./migration-0001";

export const migrationsList: MigrationObject[] = [{ name: "migration-0001", class: Migration0001 }];
