import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../core/day";
import { barredFor, type SchoolChoice, schoolOf } from "../core/approach/approach";
import { conditionsOf } from "../core/screen/screen";
import { addSchool } from "../data/repos/client.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

/** The school a client is trained by from today. A position that is barred for rehabilitation is refused, and says which. */
export const chooseSchool = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  choice: Omit<SchoolChoice, "id" | "day" | "by">,
  by: string,
  today: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async ({ complaints, screen }) => {
    const [barred] = barredFor(schoolOf(choice), complaints.length > 0 || conditionsOf(screen).length > 0);
    if (barred) return refuse({ code: "school-barred", ...barred });
    await addSchool(scope, em, clientId, { ...choice, by, day: today });
    return { ok: true };
  });
