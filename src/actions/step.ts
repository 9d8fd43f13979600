import type Joi from "joi";
import { revalidatePath } from "next/cache";
import type { EntityManager } from "@mikro-orm/postgresql";
import type { Issue } from "../core";
import type { Refusal, Taken } from "../data/loop/load";
import { inTransaction } from "../data/orm";
import { parse } from "../schemas/parse";
import { log } from "../server/log";
import { requireSignedIn, type SignedIn } from "../server/session";

/** What every action answers: done, or why not, as data. */
export type StepResult<T = object> = ({ ok: true } & T) | { ok: false; issues: Issue[] } | { ok: false; refusal: Refusal };

/** A public endpoint in one shape: authorise, parse, take the step in one transaction, refresh what shows it. */
export async function takeStep<I, T extends object>(
  name: string,
  schema: Joi.Schema<I>,
  input: unknown,
  work: (by: SignedIn, em: EntityManager, value: I) => Promise<Taken<T>>,
): Promise<StepResult<T>> {
  const by = await requireSignedIn();
  const parsed = parse(schema, input);
  if (!parsed.ok) return parsed;
  const taken = await inTransaction((em) => work(by, em, parsed.value));
  log.info({ step: name, studio: by.scope.studioId, outcome: taken.ok ? "taken" : taken.refusal.code });
  if (taken.ok) revalidatePath("/", "layout");
  return taken;
}
