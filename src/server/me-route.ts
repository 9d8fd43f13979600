import "server-only";
import { openPrivate, type Visitor } from "./private-door";
import { hasGivenYear } from "./year-cookie";

/** Whoever calls a route of a client's page, or the answer that turns them away; the year is asked unless it is what is being told. */
export async function visitorOf(
  request: Request,
  token: string,
  isTellingYear = false,
): Promise<{ ok: true; visitor: Visitor } | { ok: false; answer: Response }> {
  const visitor = await openPrivate(token, "page", request.headers.get("x-forwarded-for") ?? "");
  if (visitor === "too-many")
    return { ok: false, answer: Response.json({ code: "too-many" }, { status: 429, headers: { "retry-after": "900" } }) };
  if (visitor === "unknown") return { ok: false, answer: Response.json({ code: "link-ended" }, { status: 404 }) };
  if (visitor.asksYear && !isTellingYear && !(await hasGivenYear(visitor)))
    return { ok: false, answer: Response.json({ code: "year-missing" }, { status: 401 }) };
  return { ok: true, visitor };
}
