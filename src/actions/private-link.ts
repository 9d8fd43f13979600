"use server";
import { lookAtHome } from "../steps/home";
import { setPrivateLink } from "../data/repos/private-link.repo";
import { homeLookSchema } from "../schemas/home.schema";
import { privateLinkSchema } from "../schemas/private-link.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

/** A private link to a client's calendar or own page: a new one ends the one before, none ends it. */
export async function setPrivateLinkAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("private-link", stepId, privateLinkSchema, input, ({ scope }, em, { opens, link }) =>
    setPrivateLink(scope, em, clientId, opens, link),
  );
}

/** Sets at home that the trainer has looked at. */
export async function lookAtHomeAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("home-look", stepId, homeLookSchema, input, ({ scope, today }, em, { entryIds }) =>
    lookAtHome(scope, em, clientId, entryIds, today),
  );
}
