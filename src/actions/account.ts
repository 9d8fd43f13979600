"use server";
import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { revalidatePath } from "next/cache";
import { MemberRow } from "../data/entities";
import { inStudio } from "../data/orm";
import { auth } from "../server/auth";
import { changePassword, endDevice, type PasswordChange } from "../server/devices";
import { type SignInProblem, signInBy } from "../server/sign-in";
import { chooseStudio, requireSignedIn } from "../server/session";

export type { Device } from "../server/devices";
export type { SignInProblem } from "../server/sign-in";

/** Signs in and goes to the clients, or says why not. */
export async function signInAction(email: string, password: string): Promise<SignInProblem> {
  return (await signInBy(String(email), String(password))) ?? redirect("/");
}

export async function signOutAction(): Promise<void> {
  await auth().api.signOut({ headers: await headers() });
  redirect("/sign-in");
}

/** Signs another of this person's devices out. */
export async function endDeviceAction(id: string): Promise<void> {
  await requireSignedIn();
  await endDevice(String(id));
  revalidatePath("/account");
}

/** A new password, and every other device signed out, or why it was not taken. This device gets a new session with it. */
export async function changePasswordAction(current: string, next: string): Promise<Exclude<PasswordChange, "changed">> {
  const { scope } = await requireSignedIn();
  const change = await changePassword(scope.actorId, String(current), String(next));
  if (change === "changed") redirect("/account?changed=yes");
  return change;
}

/** This device in another of their studios from now on. */
export async function goToStudioAction(studioId: string): Promise<void> {
  const { elsewhere } = await requireSignedIn();
  if (elsewhere.some((each) => each.studioId === studioId)) await chooseStudio(studioId);
  redirect("/");
}
/** Metric or imperial, for this trainer on every device. */
export async function setUnitsAction(unitSystem: "metric" | "imperial"): Promise<void> {
  const { scope } = await requireSignedIn();
  const system = unitSystem === "imperial" ? "imperial" : "metric";
  await inStudio(scope.studioId, (em) =>
    em.nativeUpdate(MemberRow, { studioId: scope.studioId, userId: scope.actorId }, { unitSystem: system }),
  );
  revalidatePath("/", "layout");
}
