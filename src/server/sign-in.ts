import "server-only";
import { APIError } from "better-auth/api";
import { headers } from "next/headers";
import { auth } from "./auth";

export type SignInProblem = "wrong" | "too-many";
/** Signs this device in, or says why not. */
export async function signInBy(email: string, password: string): Promise<SignInProblem | null> {
  try {
    await auth().api.signInEmail({ body: { email, password }, headers: await headers() });
    return null;
  } catch (error) {
    if (error instanceof APIError) return error.status === "TOO_MANY_REQUESTS" ? "too-many" : "wrong";
    throw error;
  }
}
