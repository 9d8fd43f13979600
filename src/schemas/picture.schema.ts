import Joi from "joi";
import { type PictureSaid, VIEWS } from "../core/floor/picture";
import { day, maybeWords, uuid } from "./fields";

export const pictureSchema = Joi.object<PictureSaid, true>({
  id: uuid.required(),
  sessionId: uuid.required(),
  itemId: uuid.required(),
  day: day.required(),
  view: Joi.string()
    .valid(...VIEWS)
    .required(),
  words: maybeWords(200).required(),
});
