import { parseDate } from "@internationalized/date";
import Joi from "joi";
import { isInCatalogue } from "../core/catalogue/catalogue";
import { OWN_ID } from "../core/catalogue/own";
import { LEVER_IDS, type LeverId, LEVERS, type Setting } from "../core/templates/lever";

/** Field checks that several schemas share. */
export const within = ({ min, max }: { min: number; max: number }) => Joi.number().min(min).max(max);

const YEARS = { min: "1900-01-01", max: "2100-12-31" } as const;
/** A day that exists. */
export const day = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/)
  .custom((text: string, helpers) => {
    try {
      return parseDate(text).toString() === text && text >= YEARS.min && text <= YEARS.max ? text : helpers.error("day.none");
    } catch {
      return helpers.error("day.none");
    }
  });
/** Upper case is taken, and made lower. */
export const uuid = Joi.string().uuid().lowercase().prefs({ convert: true });
/** Text that the database can keep: no NUL, no half of a character. */
export const text = (max: number) =>
  Joi.string()
    .max(max)
    .custom((value: string, helpers) => (value.includes("\0") || !value.isWellFormed() ? helpers.error("text.unkept") : value));
/** An instant between 1900 and 2100, and from here on in one form: the database reads fewer than a browser writes. */
export const instant = Joi.string()
  .isoDate()
  .custom((value: string, helpers) => {
    const at = Date.parse(value);
    return at >= Date.parse(YEARS.min) && at <= Date.parse(`${YEARS.max}T23:59:59Z`)
      ? new Date(at).toISOString()
      : helpers.error("day.none");
  });
/** A zone by its name, like Europe/Oslo, that this machine's clock knows. */
export const timeZone = Joi.string()
  .max(60)
  .pattern(/^[A-Za-z]/)
  .custom((zone: string, helpers) => {
    try {
      new Intl.DateTimeFormat("en", { timeZone: zone });
      return zone;
    } catch {
      return helpers.error("any.only");
    }
  });
export const side = Joi.string().valid("left", "right");
export const channelSide = Joi.string().valid("left", "right", "both");
/** Typed words: spaces around them are taken off, not complained about. Nothing else is ever converted. */
const typed = (max: number) => text(max).trim().prefs({ convert: true });
export const words = (max: number) => typed(max).min(1);
export const maybeWords = (max: number) => typed(max).allow("");

export const variationId = Joi.string().custom((id: string, helpers) =>
  isInCatalogue(id) || OWN_ID.test(id) ? id : helpers.error("variation.unknown"),
);

/** A lever's widest use anywhere; a variation's own range on a body is narrower and checked where a rung is kept. */
const widest = (lever: LeverId) => {
  switch (LEVERS[lever].unit) {
    case "m":
      return within({ min: -1, max: 4 });
    case "deg":
      return within({ min: -60, max: 180 });
    case "kg":
      return within({ min: 0, max: 300 });
    case "N":
      return within({ min: 0, max: 3000 });
    case "fraction":
      return within({ min: 0.05, max: 1 });
    case "s":
      return within({ min: 0, max: 600 });
  }
};
export const settingSchema = Joi.object<Setting>(Object.fromEntries(LEVER_IDS.map((lever) => [lever, widest(lever)])));
export const lever = Joi.string().valid(...LEVER_IDS);
