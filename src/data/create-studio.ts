import { hashPassword } from "better-auth/crypto";
import Joi from "joi";
import { v4 as newUuid } from "uuid";
import { text, timeZone, words } from "../schemas/fields";
import { parse } from "../schemas/parse";
import { MemberRow, StudioRow } from "./entities";
import { openOwnerOrm } from "./orm";

/** A studio and its lead, made by the owner of the tables from the command line: no page of the application can. */
const schema = Joi.object<{ name: string; lead: string; email: string; timeZone: string; password: string }>({
  name: words(120).required(),
  lead: words(80).required(),
  email: text(200)
    .pattern(/^[^\s@]+@[^\s@]+$/)
    .lowercase()
    .prefs({ convert: true })
    .required(),
  timeZone: timeZone.required(),
  password: text(128).min(10).required(),
});
const SAID: Readonly<Record<string, string>> = {
  name: "a name for the studio",
  lead: "your name",
  email: "a mail address",
  timeZone: "a time zone like Europe/Oslo",
  password: "a password of at least ten characters",
};

async function create(): Promise<string> {
  const parsed = parse(schema, JSON.parse(process.env["STUDIO"] ?? "{}"));
  if (!parsed.ok) return `Nothing was made. What is needed: ${parsed.issues.map(({ path }) => SAID[path] ?? path).join(", ")}.`;
  const { name, lead, email, timeZone, password } = parsed.value;
  const owner = await openOwnerOrm();
  try {
    return await owner.em.fork().transactional(async (em) => {
      const [taken] = await em.execute<{ id: string }[]>(`select id from "user" where email = ?`, [email]);
      if (taken) return `Nothing was made: ${email} signs somebody in already.`;
      const [studioId, userId] = [newUuid(), newUuid()];
      await em.insert(StudioRow, { id: studioId, name, timeZone });
      await em.execute(`insert into "user" (id, name, email, "emailVerified", "updatedAt") values (?, ?, ?, false, now())`, [
        userId,
        lead,
        email,
      ]);
      await em.execute(
        `insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (?, ?, 'credential', ?, ?, now())`,
        [`${userId}-password`, userId, userId, await hashPassword(password)],
      );
      await em.insert(MemberRow, { studioId, userId, name: lead, role: "lead", unitSystem: "metric" });
      return `${name} is there. Sign in as ${email}; first say what stands in the room under Equipment, then add a client.`;
    });
  } finally {
    await owner.close();
  }
}

console.log(await create());
