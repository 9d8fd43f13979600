import { refuse, type StepResult, type Taken } from "../core/outcome";
import { createHash } from "node:crypto";
import { UniqueConstraintViolationException } from "@mikro-orm/core";
import type { EntityManager } from "@mikro-orm/postgresql";
import type Joi from "joi";
import { revalidatePath } from "next/cache";
import { once } from "../steps/once";
import { inStudio } from "../data/orm";
import { uuid } from "../schemas/fields";
import { parse } from "../schemas/parse";
import { log } from "../server/log";
import { type SignedIn, signedInHere } from "../server/session";

/** Another tablet was there first: looked at again, the step finds what it made. */
async function onceMore<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof UniqueConstraintViolationException) return work();
    throw error;
  }
}

/**
 * A public endpoint in one shape: authorise, parse, take the step in one transaction of this studio. The step's id is
 * made where the form is: sent again, it gets the first answer and happens once.
 */
export async function take<I, T extends object>(
  name: string,
  stepId: unknown,
  schema: Joi.Schema<I>,
  input: unknown,
  work: (by: SignedIn, em: EntityManager, value: I) => Promise<Taken<T>>,
): Promise<StepResult<T>> {
  const by = await signedInHere();
  if (!by) return refuse({ code: "signed-out" });
  if (by.role === "reader") return refuse({ code: "read-only" });
  const [parsed, id] = [parse(schema, input), parse(uuid.required(), stepId)];
  if (!parsed.ok) return parsed;
  if (!id.ok) return id;
  const step = {
    id: id.value,
    digest: createHash("sha256")
      .update(JSON.stringify([name, input]))
      .digest("hex"),
  };
  const taken = await onceMore(() => inStudio(by.scope.studioId, (em) => once(by.scope, em, step, () => work(by, em, parsed.value))));
  log.info({ step: name, studio: by.scope.studioId, outcome: taken.ok ? "taken" : taken.refusal.code });
  return taken;
}

/** The same, and whatever shows it is refreshed. */
export async function takeStep<I, T extends object>(...step: Parameters<typeof take<I, T>>): Promise<StepResult<T>> {
  const taken = await take(...step);
  if (taken.ok) revalidatePath("/", "layout");
  return taken;
}
