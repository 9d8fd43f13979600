import Joi from "joi";

/** 32 random bytes as the page made them: the studio keeps only their hash. Null stops the link. */
export const calendarSecretSchema = Joi.object<{ secret: string | null }, true>({
  secret: Joi.string()
    .pattern(/^[A-Za-z0-9_-]{43}$/)
    .allow(null)
    .required(),
});
