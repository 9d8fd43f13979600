import Joi from "joi";
import {
  type Channel,
  CHANNELS,
  type Contact,
  MESSAGE_TEMPLATES,
  type MessageTemplate,
  MOST_WORDS,
  WORDED_TEMPLATES,
  type WordedTemplate,
} from "../core/studio/message";
import { maybeWords, text, uuid } from "./fields";

export const contactSchema = Joi.object<Contact>({
  channel: Joi.string()
    .valid(...CHANNELS)
    .required(),
  address: maybeWords(200)
    .required()
    .when("channel", {
      is: "text" satisfies Channel,
      then: Joi.string().pattern(/^$|^\+?[0-9 ()-]{5,30}$/),
      otherwise: Joi.string().pattern(/^$|^[^\s@]+@[^\s@]+$/),
    }),
  remindAt: Joi.string()
    .pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
    .allow(null)
    .required(),
});
export const messageSchema = Joi.object<{ id: string; template: MessageTemplate; words: string; link: string | null }>({
  id: uuid.required(),
  template: Joi.string()
    .valid(...MESSAGE_TEMPLATES)
    .required(),
  words: text(4000).allow("").required(),
  link: text(400).allow(null).required(),
});
export const wordsSchema = Joi.object<{ template: WordedTemplate; words: string }>({
  template: Joi.string()
    .valid(...WORDED_TEMPLATES)
    .required(),
  words: maybeWords(MOST_WORDS.text).required(),
});
