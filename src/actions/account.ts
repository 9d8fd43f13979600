"use server";
import { APIError } from "better-auth/api";
import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { revalidatePath } from "next/cache";
import { MemberRow } from "../data/entities";
import { inStudio } from "../data/orm";
import { auth } from "../server/auth";
import { changePassword, endDevice } from "../server/devices";
import { requireSignedIn } from "../server/session";

export type { Device } from "../server/devices";
export type SignInProblem = "wrong" | "too-many";

/** Signs in and goes to the clients, or says why not. */
export async function signInAction(email: string, password: string): Promise<SignInProblem> {
  try {
    await auth().api.signInEmail({ body: { email: String(email), password: String(password) }, headers: await headers() });
  } catch (error) {
    if (error instanceof APIError) return error.status === "TOO_MANY_REQUESTS" ? "too-many" : "wrong";
    throw error;
  }
  redirect("/");
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

/** A new password, and every other device signed out; false where it was not taken. This device gets a new session with it. */
export async function changePasswordAction(current: string, next: string): Promise<false> {
  await requireSignedIn();
  if (await changePassword(String(current), String(next))) redirect("/account?changed=yes");
  return false;
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
