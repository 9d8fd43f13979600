import type { EntityManager } from "@mikro-orm/postgresql";
import type { ClientRecord } from "../../core";
import { loadRecord } from "../repos/record.repo";
import type { Scope } from "../scope";

/** A step of the loop that could not be taken, as data; sentences in src/ui/text. */
export type Refusal =
  | {
      code:
        | "no-such-client"
        | "no-body"
        | "no-plan"
        | "no-such-session"
        | "already-decided"
        | "closed-needs-note"
        | "setting-out-of-range"
        | "morning-too-early";
    }
  | { code: "warning-open"; day: string }
  | { code: "blocked-by-limit" }
  | { code: "measure-again" | "seat-out-of-reach" }
  | { code: "pose-impossible"; reason: string }
  | { code: "overrule-refused"; reason: string };
export type Taken<T = object> = ({ ok: true } & T) | { ok: false; refusal: Refusal };

export const refuse = (refusal: Refusal): { ok: false; refusal: Refusal } => ({ ok: false, refusal });

export async function withRecord<T>(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  work: (record: ClientRecord) => Promise<Taken<T>>,
): Promise<Taken<T>> {
  const record = await loadRecord(scope, em, clientId);
  return record ? work(record) : refuse({ code: "no-such-client" });
}
