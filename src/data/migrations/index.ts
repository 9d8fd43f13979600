import type { MigrationObject } from "@mikro-orm/core";
import { Migration0001 } from "./migration-0001";
import { Migration0002 } from "./migration-0002";
import { Migration0003 } from "./migration-0003";
import { Migration0004 } from "./migration-0004";
import { Migration0005 } from "./migration-0005";
import { Migration0006 } from "./migration-0006";
import { Migration0007 } from "./migration-0007";
import { Migration0008 } from "./migration-0008";
import { Migration0009 } from "./migration-0009";
import { Migration0010 } from "./migration-0010";
import { Migration0011 } from "./migration-0011";
import { Migration0012 } from "./migration-0012";
import { Migration0013 } from "./migration-0013";
import { Migration0014 } from "./migration-0014";
import { Migration0015 } from "./migration-0015";
import { Migration0016 } from "./migration-0016";
import { Migration0017 } from "./migration-0017";

export const migrationsList: MigrationObject[] = [
  { name: "migration-0001", class: Migration0001 },
  { name: "migration-0002", class: Migration0002 },
  { name: "migration-0003", class: Migration0003 },
  { name: "migration-0004", class: Migration0004 },
  { name: "migration-0005", class: Migration0005 },
  { name: "migration-0006", class: Migration0006 },
  { name: "migration-0007", class: Migration0007 },
  { name: "migration-0008", class: Migration0008 },
  { name: "migration-0009", class: Migration0009 },
  { name: "migration-0010", class: Migration0010 },
  { name: "migration-0011", class: Migration0011 },
  { name: "migration-0012", class: Migration0012 },
  { name: "migration-0013", class: Migration0013 },
  { name: "migration-0014", class: Migration0014 },
  { name: "migration-0015", class: Migration0015 },
  { name: "migration-0016", class: Migration0016 },
  { name: "migration-0017", class: Migration0017 },
];
