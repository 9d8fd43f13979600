import type { EntityManager } from "@mikro-orm/postgresql";
import type { OwnProblem } from "../../core/catalogue/own";
import type { CeilingChannelId } from "../../core/mechanics/channels";
import type { ScreenQuestion } from "../../core/screen/screen";
import type { MessageProblem } from "../../core/record/message";
import type { ClientRecord } from "../../core/record/record";
import { loadRecord } from "../repos/record.repo";
import type { Scope } from "../scope";

/** A step of the loop that could not be taken, as data; sentences in src/ui/text. */
export type Refusal =
  | {
      code:
        | "no-such-client"
        | "no-such-visit"
        | "no-contact"
        | "read-only"
        | "no-such-note"
        | "only-a-lead"
        | "the-last-lead"
        | "no-such-member"
        | "no-body"
        | "no-plan"
        | "no-such-session"
        | "no-such-set"
        | "no-such-warning"
        | "no-such-limit"
        | "no-such-complaint"
        | "already-decided"
        | "newer-first"
        | "already-there"
        | "closed-needs-note"
        | "gate-needs-note"
        | "loosening-needs-reason"
        | "no-such-ceiling"
        | "no-such-protocol"
        | "screen-before-effort"
        | "value-unlikely"
        | "too-early-for-one-leg"
        | "too-many-letters"
        | "too-many-pictures"
        | "not-measured-needs-note"
        | "morning-too-early"
        | "pain-missing"
        | "no-proposal"
        | "measure-again"
        | "seat-out-of-reach"
        | "blocked-by-limit"
        | "retired"
        | "another-is-open"
        | "taken-before";
    }
  | { code: "setting-out-of-range"; lever: string; min: number; max: number }
  | { code: "unknown-lever"; lever: string }
  | { code: "warning-open"; day: string }
  | { code: "plan-forbidden"; name: string }
  | { code: "school-barred"; axisId: string; positionId: string }
  | { code: "value-out-of-range"; min: number; max: number }
  | { code: "day-wrong"; condition: string; problem: string }
  | { code: "screen-missing"; missing: readonly ScreenQuestion[] }
  | { code: "refer-first"; because: readonly string[] }
  | { code: "nothing-asked"; channel: CeilingChannelId }
  | { code: "pose-impossible"; reason: string }
  | { code: "rest-broken"; day: string }
  | { code: "overrule-refused"; reason: string }
  | { code: "message"; wrong: MessageProblem }
  | { code: "import-refused"; why: "no-client" | "another-client" | "column" | "fact" | "unread"; where: string }
  | { code: "own-row"; name: string; ownProblem: OwnProblem };
export type Taken<T = object> = ({ ok: true } & T) | { ok: false; refusal: Refusal };

export const refuse = (refusal: Refusal): { ok: false; refusal: Refusal } => ({ ok: false, refusal });

export async function withRecord<T>(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  work: (record: ClientRecord) => Promise<Taken<T>>,
  sessionCount?: number,
): Promise<Taken<T>> {
  const record = await loadRecord(scope, em, clientId, sessionCount);
  return record ? work(record) : refuse({ code: "no-such-client" });
}
