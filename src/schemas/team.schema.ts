import Joi from "joi";
import { PASSWORD_LENGTH, ROLES, type Role, SEEN_BY, type SeenBy } from "../core/studio/team";
import { day, maybeWords, text, timeZone, uuid, within, words } from "./fields";

const password = text(PASSWORD_LENGTH.max).min(PASSWORD_LENGTH.min);
const role = Joi.string().valid(...ROLES);
const secret = Joi.string().pattern(/^[A-Za-z0-9_-]{43}$/);
const email = text(200)
  .pattern(/^[^\s@]+@[^\s@]+$/)
  .lowercase()
  .prefs({ convert: true });

/** A studio of one's own and its lead, as the command line asks for them. */
export interface NewStudio {
  name: string;
  lead: string;
  email: string;
  timeZone: string;
  password: string;
}
export const newStudioKeys = {
  name: words(120).required(),
  lead: words(80).required(),
  email: email.required(),
  timeZone: timeZone.required(),
  password: password.required(),
} satisfies Record<keyof NewStudio, Joi.Schema>;

export const memberSchema = Joi.object<{ userId: string; role: Role | "gone" }>({
  userId: text(80).min(1).required(),
  role: role.valid("gone").required(),
});
export const invitationSchema = Joi.object<{ secret: string; name: string; email: string; role: Role; untilDay: string }>({
  secret: secret.required(),
  name: words(80).required(),
  email: email.required(),
  role: role.required(),
  untilDay: day.required(),
});
export const invitationEndSchema = Joi.object<{ id: string }>({ id: uuid.required() });
export const acceptSchema = Joi.object<{ secret: string; name: string; email: string; password: string }>({
  secret: secret.required(),
  name: words(80).required(),
  email: email.required(),
  password: password.required(),
});
/** Who is to choose a new password, and the secret of the link that lets them. */
export const passwordLinkSchema = Joi.object<{ userId: string; secret: string }>({
  userId: text(80).min(1).required(),
  secret: secret.required(),
});
/** Whose codes end. */
export const endCodesSchema = Joi.object<{ userId: string }>({ userId: text(80).min(1).required() });
export const askForCodesSchema = Joi.object<{ asksForCodes: boolean }>({ asksForCodes: Joi.boolean().required() });
export const newPasswordSchema = Joi.object<{ secret: string; password: string }>({
  secret: secret.required(),
  password: password.required(),
});
/** One fact that stands aside. */
export const asideSchema = Joi.object<{ id: string }>({ id: uuid.required() });
export const noteSchema = Joi.object<{ id: string; seenBy: SeenBy; words: string; endedDay: string | null }>({
  id: uuid.required(),
  seenBy: Joi.string()
    .valid(...SEEN_BY)
    .required(),
  words: maybeWords(2000).required(),
  endedDay: day.allow(null).required(),
});
export const RETENTION_MONTHS = { min: 1, max: 600 } as const;
export const retentionSchema = Joi.object<{ months: number }>({ months: within(RETENTION_MONTHS).integer().required() });
/** A studio's own name and the zone its days go by. */
export const studioSchema = Joi.object<{ name: string; timeZone: string }>({ name: words(120).required(), timeZone: timeZone.required() });
