import "server-only";
import { createHmac, timingSafeEqual } from "node:crypto";
import { cookies } from "next/headers";
import type { Visitor } from "./private-door";

const nameOf = ({ linkHash }: Visitor): string => `ponderis-year-${linkHash.slice(0, 16)}`;
const valueOf = ({ linkHash }: Visitor): string =>
  createHmac("sha256", process.env["AUTH_SECRET"] ?? "")
    .update(`year ${linkHash}`)
    .digest("hex");
const YEAR_S = 365 * 24 * 3600;

/** Whether this phone has told the year of birth for this link before; a new link asks anew. */
export async function hasGivenYear(visitor: Visitor): Promise<boolean> {
  const given = Buffer.from((await cookies()).get(nameOf(visitor))?.value ?? "");
  const right = Buffer.from(valueOf(visitor));
  return given.length === right.length && timingSafeEqual(given, right);
}
/** For this phone alone, and no script of any page. */
export const yearCookie = (visitor: Visitor): string =>
  `${nameOf(visitor)}=${valueOf(visitor)}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Lax${(process.env["APP_URL"] ?? "").startsWith("https:") ? "; Secure" : ""}`;
