import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../core/day";
import { dayProblem, isScreenLimit, withPart, type ScreenAnswers } from "../core/screen/screen";
import { addScreen } from "../data/repos/client.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

export type AnsweredPart = Omit<ScreenAnswers, "setAside">;

/** One or more questions answered; what was answered before stays, and is kept as it was. */
export const answerScreen = (scope: Scope, em: EntityManager, clientId: string, part: AnsweredPart, day: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async ({ screen }) => {
    for (const condition of part.conditions ?? []) {
      const problem = dayProblem(condition, day);
      if (problem) return refuse({ code: "day-wrong", condition: condition.id, problem });
    }
    const { clearance, medicines } = part;
    if (medicines?.injectionDay && medicines.injectionDay > day)
      return refuse({ code: "day-wrong", condition: "injection", problem: "day.future" });
    if (clearance && clearance.kind !== "not-asked" && clearance.day > day)
      return refuse({ code: "day-wrong", condition: "clearance", problem: "day.future" });
    await addScreen(scope, em, clientId, withPart(screen, part), day);
    return { ok: true };
  });

/** A rule set aside by the trainer for this client, with the reason: never a warning, never what a clinician said. */
export const setRuleAside = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { limitId, by, reason }: { limitId: string; by: string; reason: string },
  day: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async ({ screen, limits }) => {
    const limit = limits.find((each) => each.id === limitId && isScreenLimit(each) && !each.lift);
    if (!limit) return refuse({ code: "no-such-limit" });
    const aside = { ruleId: limit.owner.name, side: limit.side, by, reason, day };
    await addScreen(scope, em, clientId, { ...screen, setAside: [...(screen.setAside ?? []), aside] }, day);
    return { ok: true };
  });
