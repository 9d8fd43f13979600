"use server";
import { hashPassword } from "better-auth/crypto";
import { v4 as newUuid } from "uuid";
import { avoidedWords } from "../core/session/sheet";
import { refuse } from "../data/loop/load";
import { getOrm } from "../data/orm";
import { setRetention } from "../data/repos/audit.repo";
import { changeStudio } from "../data/repos/studio.repo";
import { acceptInvitation, changeMember, endInvitation, invite, keepNote } from "../data/repos/team.repo";
import {
  acceptSchema,
  invitationEndSchema,
  invitationSchema,
  memberSchema,
  noteSchema,
  retentionSchema,
  studioSchema,
} from "../schemas/team.schema";
import { parse } from "../schemas/parse";
import { log } from "../server/log";
import { type StepResult, takeStep } from "./step";

/** Another role for a member, or out of the team. */
export async function changeMemberAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("member", stepId, memberSchema, input, ({ scope }, em, { userId, role }) => changeMember(scope, em, userId, role));
}

export async function inviteAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("invite", stepId, invitationSchema, input, async ({ scope, role }, em, invited) =>
    role === "lead" ? invite(scope, em, invited) : refuse({ code: "only-a-lead" }),
  );
}
export async function endInvitationAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("end-invitation", stepId, invitationEndSchema, input, async ({ scope, role }, em, { id }) =>
    role === "lead" ? endInvitation(scope, em, id) : refuse({ code: "only-a-lead" }),
  );
}

/** The studio's name and the zone its days go by. */
export async function changeStudioAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("studio", stepId, studioSchema, input, async ({ scope, role }, em, studio) => {
    if (role !== "lead") return refuse({ code: "only-a-lead" });
    await changeStudio(scope, em, studio);
    return { ok: true };
  });
}

/** How long the studio keeps those who were put away. */
export async function setRetentionAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("retention", stepId, retentionSchema, input, async ({ scope, role }, em, { months }) => {
    if (role !== "lead") return refuse({ code: "only-a-lead" });
    await setRetention(scope, em, months);
    return { ok: true };
  });
}

/** A note for oneself, the team or the client: what a client reads neither judges nor promises. */
export async function keepNoteAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("note", stepId, noteSchema, input, async ({ scope }, em, note) => {
    const avoided = note.seenBy === "client" ? avoidedWords(note.words) : [];
    return avoided.length > 0
      ? refuse({ code: "message", wrong: { code: "avoided", words: avoided } })
      : keepNote(scope, em, clientId, note);
  });
}

export type JoinProblem = "ended" | "bad-input" | "address-taken";
/** Somebody invited makes their own sign-in; whoever has the link may, once. Null when it is done. */
export async function joinAction(input: unknown): Promise<JoinProblem | null> {
  const parsed = parse(acceptSchema, input);
  if (!parsed.ok) return "bad-input";
  const { password, ...who } = parsed.value;
  const passwordHash = await hashPassword(password);
  try {
    const isNew = await (await getOrm()).em.fork().transactional((em) => acceptInvitation(em, { ...who, userId: newUuid(), passwordHash }));
    return isNew ? null : "address-taken";
  } catch {
    log.info({ step: "join", outcome: "ended" }); // no such invitation, or used a moment before
    return "ended";
  }
}
