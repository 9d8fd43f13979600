import type { EntityManager } from "@mikro-orm/postgresql";
import { isInCatalogue, variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import { fitContextOf, openWarningsOf } from "../../core/record/derive";
import { judge } from "../../core/fit/judge";
import { rulesOf } from "../../core/session/plan";
import { trainedDays } from "../../core/record/programme";
import { schoolIn } from "../../core/record/school";
import { refusalOn } from "../../core/week/week";
import type { NewTrainingPlan } from "../../schemas/training-plan.schema";
import { TrainingPlanRow } from "../entities";
import { loadRecord } from "../repos/record.repo";
import { audit, type Scope, stamp } from "../scope";
import { refuse, type Taken } from "./load";

/** A programme kept: never one that breaks a rest rule, or holds what a limit forbids. */
export async function keepTrainingPlan(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  plan: NewTrainingPlan,
  today: Day,
): Promise<Taken> {
  const record = await loadRecord(scope, em, clientId);
  if (!record) return refuse({ code: "no-such-client" });
  const [warning] = openWarningsOf(record);
  if (warning) return refuse({ code: "warning-open", day: warning.day });
  const context = fitContextOf(record, today);
  if (!context) return refuse({ code: "no-body" });
  for (const { variationId, setting } of plan.items) {
    const row = variationById(variationId);
    if (!isInCatalogue(variationId)) return refuse({ code: "retired" });
    if (judge(context, row, setting, "closing").blocked) return refuse({ code: "plan-forbidden", name: row.name });
  }
  const doneDays = trainedDays(record);
  const rules = rulesOf(plan, schoolIn(record), doneDays);
  const coming = plan.laid.filter(({ day }) => day >= today && !doneDays.includes(day));
  const wrong = coming.find((each) => refusalOn(each.day, each, coming, rules) !== null);
  if (wrong) return refuse({ code: "rest-broken", day: wrong.day });
  const row = { ...stamp(scope), clientId, plan: { ...plan, day: today, sequence: (record.trainingPlan?.sequence ?? -1) + 1 } };
  await em.insert(TrainingPlanRow, row);
  await audit(scope, em, "kept", "training_plan", row.id);
  return { ok: true };
}
