import type { LeverId, Setting } from "../catalogue/variation";
import type { PerformedSet } from "../progress/decide";

/** What happened on the floor, made on the device first and never changed. The session is what they add up to. */
export type FloorEventBody =
  | { kind: "checked-in"; painScore: number; newSwelling: boolean; choice: "as-planned" | "ease-all" | "stop" }
  | {
      kind: "set-ended";
      setId: string;
      itemId: string;
      setting: Setting;
      repetitions: number;
      painScore: number | null;
      faults: string[];
      endedBy: PerformedSet["endedBy"];
    }
  | {
      kind: "set-corrected";
      setId: string;
      change: { repetitions?: number; painScore?: number; leftInTank?: number; faults?: string[]; endedBy?: PerformedSet["endedBy"] };
    }
  | { kind: "set-voided"; setId: string }
  | { kind: "eased"; itemId: string; lever: LeverId; from: number; to: number }
  | { kind: "ease-undone"; easedEventId: string }
  | { kind: "warning-sign"; sign: string }
  /** A mis-tap, said so at once: kept with the sign it takes back. */
  | { kind: "warning-withdrawn" }
  | { kind: "session-ended" };

export interface FloorEvent {
  id: string;
  deviceId: string;
  sessionId: string;
  /** ISO 8601, UTC, from the device's clock. */
  occurredAt: string;
  body: FloorEventBody;
}

export interface FloorSet extends PerformedSet {
  id: string;
  itemId: string;
  setting: Setting;
  endedAt: string;
}

export interface FloorState {
  checkIn: { painScore: number; newSwelling: boolean; choice: "as-planned" | "ease-all" | "stop" } | null;
  sets: FloorSet[];
  /** Eases in force, oldest first. */
  eases: { eventId: string; itemId: string; lever: LeverId; from: number; to: number }[];
  warningSigns: string[];
  endedAt: string | null;
}

/**
 * A session from its events, whatever order and however often they arrived: duplicates by id count once, and the
 * device's clock, then the id, orders them.
 */
export function floorState(events: readonly FloorEvent[]): FloorState {
  const unique = [...new Map(events.map((event) => [event.id, event])).values()];
  unique.sort((a, b) => a.occurredAt.localeCompare(b.occurredAt) || a.id.localeCompare(b.id));
  const sets = new Map<string, FloorSet>();
  const state: Omit<FloorState, "sets"> = { checkIn: null, eases: [], warningSigns: [], endedAt: null };
  for (const { id, occurredAt, body } of unique) {
    switch (body.kind) {
      case "checked-in": {
        const { painScore, newSwelling, choice } = body;
        state.checkIn = { painScore, newSwelling, choice };
        break;
      }
      case "set-ended": {
        const { setId, itemId, setting, repetitions, painScore, faults, endedBy } = body;
        sets.set(setId, { id: setId, itemId, setting, repetitions, painScore, leftInTank: null, faults, endedBy, endedAt: occurredAt });
        break;
      }
      case "set-corrected": {
        const set = sets.get(body.setId);
        if (set) sets.set(body.setId, { ...set, ...body.change });
        break;
      }
      case "set-voided":
        sets.delete(body.setId);
        break;
      case "eased":
        state.eases.push({ eventId: id, itemId: body.itemId, lever: body.lever, from: body.from, to: body.to });
        break;
      case "ease-undone":
        state.eases = state.eases.filter(({ eventId }) => eventId !== body.easedEventId);
        break;
      case "warning-sign":
        state.warningSigns.push(body.sign);
        break;
      case "warning-withdrawn":
        state.warningSigns = [];
        break;
      case "session-ended":
        state.endedAt = occurredAt;
    }
  }
  return { ...state, sets: [...sets.values()] };
}

/** The set-up an item is at after its eases. */
export const easedSetting = (planned: Setting, itemId: string, eases: FloorState["eases"]): Setting =>
  eases.filter((ease) => ease.itemId === itemId).reduce<Setting>((setting, { lever, to }) => ({ ...setting, [lever]: to }), planned);
