"use server";
import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import { revalidatePath } from "next/cache";
import { MemberRow } from "../data/tables/entities";
import { inStudio } from "../data/orm";
import { auth } from "../server/auth";
import { changePassword, endDevice } from "../server/devices";
import { DEVICE_COOKIE, devicesAreMine } from "../server/known-device";
import { type SignInProblem, signInBy, signInByCode } from "../server/sign-in";
import { chooseStudio, requireAtTheDoor, requireSignedIn, signedIn } from "../server/session";

export type { Device } from "../server/devices";
export type { SignInProblem } from "../server/sign-in";

/** Signs in and goes to the clients, or says why not. */
export async function signInAction(email: string, password: string): Promise<SignInProblem> {
  return (await signInBy(String(email), String(password))) ?? redirect("/");
}

/** The second step, where the first asked for it. */
export async function signInByCodeAction(code: string): Promise<SignInProblem> {
  return (await signInByCode(String(code))) ?? redirect("/");
}

/** The same over a page that stands: nobody is sent anywhere. */
export const signInHereAction = async (email: string, password: string): Promise<SignInProblem | null> =>
  signInBy(String(email), String(password));
export const signInByCodeHereAction = async (code: string): Promise<SignInProblem | null> => signInByCode(String(code));
/** Who is signed in on this device now. */
export const whoIsHereAction = async (): Promise<string | null> => (await signedIn())?.scope.actorId ?? null;

export async function signOutAction(): Promise<void> {
  await auth().api.signOut({ headers: await headers() });
  redirect("/sign-in");
}

/** Signs another of this person's devices out. */
export async function endDeviceAction(id: string): Promise<void> {
  await requireAtTheDoor();
  await endDevice(String(id));
  revalidatePath("/account");
}

/** A new password, and every other device signed out, or why it was not taken. This device gets a new session with it. */
export async function changePasswordAction(current: string, next: string): Promise<"wrong" | "too-many"> {
  const { scope } = await requireAtTheDoor();
  const change = await changePassword(scope.actorId, String(current), String(next));
  if (change.ok) redirect("/account?changed=yes");
  return change.why;
}

/** New devices were this person's own. */
export async function devicesAreMineAction(): Promise<void> {
  const { scope } = await requireSignedIn();
  await devicesAreMine(scope.actorId, (await cookies()).get(DEVICE_COOKIE)?.value);
  revalidatePath("/");
}

/** This device in another of their studios from now on. */
export async function goToStudioAction(studioId: string): Promise<void> {
  const { elsewhere } = await requireAtTheDoor();
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
