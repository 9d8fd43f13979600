import type { EntityManager } from "@mikro-orm/postgresql";
import { type Finding, isUnlikely, protocolOf, sidesOf } from "../../core/assess/finding";
import { closedBy } from "../../core/assess/pick";
import type { Day } from "../../core/day";
import { openWarningsOf } from "../../core/record/derive";
import { screenGate } from "../../core/screen/screen";
import { addFinding } from "../repos/client.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

const WHOLE_NUMBERS = ["count", "score", "choice"];

/**
 * One result kept. A value that cannot be is refused; one that is hardly believed is kept once it is confirmed; nothing
 * that tires is taken before the questions on Screen are answered, and nothing that a limit forbids.
 */
export const keepFinding = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  finding: Finding,
  isConfirmed: boolean,
  today: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const protocol = protocolOf(finding.protocol);
    if (!protocol || !sidesOf(protocol).includes(finding.side)) return refuse({ code: "no-such-protocol" });
    const { min, max, quantity } = protocol;
    const { value, day } = finding;
    if (!(value >= min && value <= max) || (WHOLE_NUMBERS.includes(quantity) && !Number.isInteger(value)))
      return refuse({ code: "value-out-of-range", min, max });
    if (day > today) return refuse({ code: "day-wrong", condition: "finding", problem: "day.future" });
    const signs = openWarningsOf(record).map(({ sign }) => sign);
    const closed = closedBy(protocol, { gate: screenGate(record.screen, today, signs).state, limits: record.limits, today });
    if (closed) return refuse({ code: closed.by === "gate" ? "screen-before-effort" : "blocked-by-limit" });
    if (!isConfirmed && isUnlikely(protocol, value)) return refuse({ code: "value-unlikely" });
    if (!record.findings.some(({ id }) => id === finding.id)) await addFinding(scope, em, clientId, finding);
    return { ok: true };
  });
