import "server-only";
import { isAPIError } from "better-auth/api";
import { headers } from "next/headers";
import { auth } from "./auth";

export type SignInProblem = "wrong" | "too-many" | "code" | "wrong-code" | "code-ended" | "no-passkey";
const isTooMany = ({ status }: { status: unknown }): boolean => status === "TOO_MANY_REQUESTS";

/** Signs this device in, or says why not: "code" where the password was right and a code is asked for. */
export async function signInBy(email: string, password: string): Promise<SignInProblem | null> {
  try {
    const answer = await auth().api.signInEmail({ body: { email, password }, headers: await headers() });
    return "twoFactorRedirect" in answer ? "code" : null;
  } catch (error) {
    if (isAPIError(error)) return isTooMany(error) ? "too-many" : "wrong";
    throw error;
  }
}

const [TIME_CODE, ENDED] = [/^\d{6}$/, ["INVALID_TWO_FACTOR_COOKIE", "TOO_MANY_ATTEMPTS_REQUEST_NEW_CODE"]];
/** The second step: six digits by the clock, or a recovery code. */
export async function signInByCode(told: string): Promise<SignInProblem | null> {
  const code = told.replaceAll(/\s/g, "");
  const call = { body: { code }, headers: await headers() };
  try {
    await (TIME_CODE.test(code) ? auth().api.verifyTOTP(call) : auth().api.verifyBackupCode(call));
    return null;
  } catch (error) {
    if (!isAPIError(error)) throw error;
    if (isTooMany(error)) return "too-many";
    return ENDED.includes(String(error.body?.code)) ? "code-ended" : "wrong-code";
  }
}
