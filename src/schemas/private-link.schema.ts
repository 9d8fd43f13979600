import Joi from "joi";
import type { NewLink, Opens } from "../core/studio/private-link";
import { day } from "./fields";

/** 32 random bytes as the page made them: the studio keeps only their hash. No link stops the one before. */
export const privateLinkSchema = Joi.object<{ opens: Opens; link: NewLink | null }>({
  opens: Joi.string().valid("calendar", "page").required(),
  link: Joi.object({
    secret: Joi.string()
      .pattern(/^[A-Za-z0-9_-]{43}$/)
      .required(),
    untilDay: day.allow(null).required(),
    asksYear: Joi.boolean().required(),
  })
    .allow(null)
    .required(),
});
