"use server";
import { refuse, type StepResult } from "../core/outcome";
import { keepWords, sendMessage, setContact } from "../data/repos/message.repo";
import { contactSchema, messageSchema, wordsSchema } from "../schemas/message.schema";
import { messageDriver } from "../server/messages";
import { takeStep } from "./step";

export async function setContactAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("contact", stepId, contactSchema, input, ({ scope }, em, contact) => setContact(scope, em, clientId, contact));
}

/** How the studio words one of its messages. */
export async function keepWordsAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("words", stepId, wordsSchema, input, async ({ scope, role }, em, { template, words }) =>
    role === "lead" ? keepWords(scope, em, template, words) : refuse({ code: "only-a-lead" }),
  );
}

/** A message to one client. Its private link passes through and is not kept. */
export async function sendMessageAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("message", stepId, messageSchema, input, ({ scope }, em, message) =>
    sendMessage(scope, em, messageDriver, { ...message, clientId }),
  );
}
