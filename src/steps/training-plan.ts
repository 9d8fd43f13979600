import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../core/day";
import { programmeRefusal } from "../core/record/gate/keep";
import type { NewTrainingPlan } from "../schemas/training-plan.schema";
import { TrainingPlanRow } from "../data/tables/entities";
import { loadRecord } from "../data/repos/record.repo";
import { audit, type Scope, stamp } from "../data/scope";
import { refuse, type Taken } from "../core/outcome";

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
  const refusal = programmeRefusal(record, plan, today);
  if (refusal) return refuse(refusal);
  const row = { ...stamp(scope), clientId, plan: { ...plan, day: today, sequence: (record.trainingPlan?.sequence ?? -1) + 1 } };
  await em.insert(TrainingPlanRow, row);
  await audit(scope, em, "kept", "training_plan", row.id);
  return { ok: true };
}
