import type { OwnProblem } from "./catalogue/own";
import type { CeilingChannelId } from "./mechanics/channels";
import type { Issue } from "./reasons";
import type { KeepRefusal } from "./record/gate/keep";
import type { MessageProblem } from "./studio/message";

/** A step of the loop that could not be taken, as data; sentences in src/words. */
export type Refusal =
  | {
      code:
        | "no-such-client"
        | "no-such-visit"
        | "no-contact"
        | "read-only"
        | "signed-out"
        | "no-such-note"
        | "only-a-lead"
        | "the-last-lead"
        | "no-such-member"
        | "no-such-link"
        | "no-such-fact"
        | "a-member-already"
        | "in-another-studio"
        | "own-codes-first"
        | "no-such-set"
        | "no-such-warning"
        | "no-such-limit"
        | "no-such-complaint"
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
        | "another-is-open"
        | "taken-before";
    }
  | KeepRefusal
  | { code: "school-barred"; axisId: string; positionId: string }
  | { code: "value-out-of-range"; min: number; max: number }
  | { code: "day-wrong"; condition: string; problem: string }
  | { code: "nothing-asked"; channel: CeilingChannelId }
  | { code: "message"; wrong: MessageProblem }
  | { code: "import-refused"; why: "no-client" | "another-client" | "column" | "fact" | "unread"; where: string }
  | { code: "own-row"; name: string; ownProblem: OwnProblem };
export type Taken<T = object> = ({ ok: true } & T) | { ok: false; refusal: Refusal };

export const refuse = (refusal: Refusal): { ok: false; refusal: Refusal } => ({ ok: false, refusal });

/** What every action answers: done, or why not, as data. */
export type StepResult<T = object> = ({ ok: true } & T) | { ok: false; issues: Issue[] } | { ok: false; refusal: Refusal };
