"use server";
import { hashPassword } from "better-auth/crypto";
import { redirect } from "next/navigation";
import { v4 as newUuid } from "uuid";
import { avoidedWords } from "../core/session/sheet";
import { refuse, type StepResult } from "../core/outcome";
import { getOrm } from "../data/orm";
import { dropAside } from "../data/repos/aside.repo";
import { setRetention } from "../data/repos/audit.repo";
import { askForCodes, changeStudio } from "../data/repos/studio.repo";
import { choosePassword, endCodes, makePasswordLink } from "../data/repos/door.repo";
import {
  acceptInvitation,
  changeMember,
  endInvitation,
  invitationBehind,
  invite,
  joinByInvitation,
  keepNote,
  userBy,
} from "../data/repos/team.repo";
import {
  acceptSchema,
  asideSchema,
  askForCodesSchema,
  endCodesSchema,
  invitationEndSchema,
  invitationSchema,
  memberSchema,
  newPasswordSchema,
  noteSchema,
  passwordLinkSchema,
  retentionSchema,
  studioSchema,
} from "../schemas/team.schema";
import { parse } from "../schemas/parse";
import { log } from "../server/log";
import { chooseStudio } from "../server/session";
import { signInBy } from "../server/sign-in";
import { takeStep } from "./step";

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

/** Whether everybody in the team signs in with a code; whoever asks for it has their own first. */
export async function askForCodesAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("ask-for-codes", stepId, askForCodesSchema, input, async ({ scope, role, hasCodes }, em, { asksForCodes }) => {
    if (role !== "lead") return refuse({ code: "only-a-lead" });
    if (asksForCodes && !hasCodes) return refuse({ code: "own-codes-first" });
    await askForCodes(scope, em, asksForCodes);
    return { ok: true };
  });
}
/** Codes of a member who has lost what makes them. */
export async function endCodesAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("end-codes", stepId, endCodesSchema, input, ({ scope }, em, { userId }) => endCodes(scope, em, userId));
}

/** How long the studio keeps those who were put away. */
export async function setRetentionAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("retention", stepId, retentionSchema, input, async ({ scope, role }, em, { months }) => {
    if (role !== "lead") return refuse({ code: "only-a-lead" });
    await setRetention(scope, em, months);
    return { ok: true };
  });
}

/** A fact that was kept aside when an archive was read in, gone for good. */
export async function dropAsideAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("drop-aside", stepId, asideSchema, input, async ({ scope, role }, em, { id }) =>
    role === "lead" ? dropAside(scope, em, id) : refuse({ code: "only-a-lead" }),
  );
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

export type JoinProblem = "ended" | "bad-input" | "not-yours" | "a-member-already" | "too-many";
/**
 * Somebody invited makes their own sign-in; whoever has the link may, once. Who signs in by that address already says so with
 * the password they have, works in both, and is in the new one on this device. Null when there is a sign-in to use.
 */
export async function joinAction(input: unknown): Promise<JoinProblem | null> {
  const parsed = parse(acceptSchema, input);
  if (!parsed.ok) return "bad-input";
  const { password, ...who } = parsed.value;
  const em = (await getOrm()).em.fork();
  const [known, invited] = [await userBy(em, who.email), await invitationBehind(em, who.secret)];
  if (!invited) return "ended";
  if (known !== null) {
    const signedIn = await signInBy(who.email, password);
    if (signedIn !== null && signedIn !== "code") return signedIn === "too-many" ? "too-many" : "not-yours";
  }
  const passwordHash = known === null ? await hashPassword(password) : "";
  const taken = await (
    await getOrm()
  ).em
    .fork()
    .transactional((em) =>
      known === null ? acceptInvitation(em, { ...who, userId: newUuid(), passwordHash }) : joinByInvitation(em, who.secret, known),
    );
  log.info({ step: "join", outcome: taken.ok ? "taken" : taken.refusal.code });
  if (taken.ok && known !== null) {
    await chooseStudio(invited.studioId);
    redirect("/");
  }
  if (taken.ok) return null;
  return taken.refusal.code === "a-member-already" ? "a-member-already" : "ended";
}

/** A one-time link by which a member chooses a new password: a lead's to give. */
export async function makePasswordLinkAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("password-link", stepId, passwordLinkSchema, input, ({ scope }, em, { userId, secret }) =>
    makePasswordLink(scope, em, userId, secret),
  );
}
/** A new password by such a link; whoever has it may, once. */
export async function choosePasswordAction(input: unknown): Promise<"ended" | "bad-input" | null> {
  const parsed = parse(newPasswordSchema, input);
  if (!parsed.ok) return "bad-input";
  const passwordHash = await hashPassword(parsed.value.password);
  const taken = await (await getOrm()).em.fork().transactional((em) => choosePassword(em, parsed.value.secret, passwordHash));
  log.info({ step: "choose-password", outcome: taken.ok ? "taken" : "ended" });
  return taken.ok ? null : "ended";
}
