"use server";
import { sendMessage, setContact } from "../data/repos/message.repo";
import { contactSchema, messageSchema } from "../schemas/message.schema";
import { messageDriver } from "../server/messages";
import { type StepResult, takeStep } from "./step";

export async function setContactAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("contact", stepId, contactSchema, input, ({ scope }, em, contact) => setContact(scope, em, clientId, contact));
}

/** A message to one client. Its private link passes through and is not kept. */
export async function sendMessageAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("message", stepId, messageSchema, input, ({ scope }, em, message) =>
    sendMessage(scope, em, messageDriver, { ...message, clientId }),
  );
}
