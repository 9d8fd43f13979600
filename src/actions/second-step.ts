"use server";
import type {
  AuthenticationResponseJSON,
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
  RegistrationResponseJSON,
} from "@simplewebauthn/browser";
import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import type { Guess } from "../server/devices";
import {
  confirmCodes,
  endPasskey,
  keepPasskey,
  newRecoveryCodes,
  passkeyToMake,
  passkeyToShow,
  signInByPasskey,
  startCodes,
  type StartedCodes,
  stopCodes,
} from "../server/second-step";
import { requireAtTheDoor } from "../server/session";

export type { Guess } from "../server/devices";
export type { Passkey, StartedCodes } from "../server/second-step";

export async function startCodesAction(password: string): Promise<Guess<StartedCodes>> {
  const { scope } = await requireAtTheDoor();
  return startCodes(scope.actorId, String(password));
}
/** Whether the code fits; from then on one is asked for at every sign-in. */
export async function confirmCodesAction(code: string): Promise<boolean> {
  const { scope } = await requireAtTheDoor();
  return confirmCodes(scope.actorId, String(code));
}
export async function stopCodesAction(password: string): Promise<Guess<unknown>> {
  const { scope } = await requireAtTheDoor();
  const stopped = await stopCodes(scope.actorId, String(password));
  return stopped.ok ? { ok: true, value: null } : stopped;
}
export async function newRecoveryCodesAction(password: string): Promise<Guess<readonly string[]>> {
  const { scope } = await requireAtTheDoor();
  return newRecoveryCodes(scope.actorId, String(password));
}

export type PasskeyToMake = PublicKeyCredentialCreationOptionsJSON;
export async function passkeyToMakeAction(password: string): Promise<Guess<PasskeyToMake | null>> {
  const { scope } = await requireAtTheDoor();
  return passkeyToMake(scope.actorId, String(password)) as Promise<Guess<PasskeyToMake | null>>;
}
export async function keepPasskeyAction(name: string, response: RegistrationResponseJSON): Promise<boolean> {
  const { scope } = await requireAtTheDoor();
  const isKept = await keepPasskey(scope.actorId, String(name).slice(0, 80), response);
  revalidatePath("/account");
  return isKept;
}
export async function endPasskeyAction(id: string): Promise<void> {
  const { scope } = await requireAtTheDoor();
  await endPasskey(scope.actorId, String(id));
  revalidatePath("/account");
}
export const passkeyToShowAction = async (): Promise<PublicKeyCredentialRequestOptionsJSON> =>
  (await passkeyToShow()) as PublicKeyCredentialRequestOptionsJSON;
/** Signs this device in by a passkey, or says that it does not. */
export async function signInByPasskeyAction(response: AuthenticationResponseJSON): Promise<"no-passkey"> {
  return (await signInByPasskey(response)) ? redirect("/") : "no-passkey";
}
/** The same over a page that stands. */
export const signInByPasskeyHereAction = async (response: AuthenticationResponseJSON): Promise<"no-passkey" | null> =>
  (await signInByPasskey(response)) ? null : "no-passkey";
