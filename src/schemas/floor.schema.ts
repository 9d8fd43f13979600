import Joi from "joi";
import { TRAINED } from "../core/catalogue/variation";
import { type FloorEvent, MOVES_BY, SET_ENDS } from "../core/floor/events";
import { BELLIES, BODY_PLACES, MOMENTS, PAIN_KINDS } from "../core/floor/told";
import { WARNING_SIGNS } from "../core/limits/clinician";
import { PAIN_SCALE } from "../core/progress/morning";
import { PARTS } from "../core/dose/part";
import { channelSide, day, instant, lever, maybeWords, settingSchema, side, text, uuid, variationId, within } from "./fields";
import { sessionDose } from "./training-plan.schema";

const painScore = within(PAIN_SCALE);
const repetitions = Joi.number().integer().min(0).max(200);
const faults = Joi.array().max(20).items(text(60));
const leftInTank = Joi.number().integer().min(0).max(20);
const endedBy = Joi.string().valid(...SET_ENDS);
const kind = Joi.any();
const oneOf = (names: readonly string[]) => Joi.string().valid(...names);
/** What may be told of a set beside its number. */
const told = {
  painKind: oneOf(PAIN_KINDS).allow(null),
  painPlace: Joi.object({ place: oneOf(BODY_PLACES).required(), side: channelSide.required() }).allow(null),
  hurtsAt: oneOf(MOMENTS).allow(null),
  feltIn: oneOf([...TRAINED, "elsewhere"]).allow(null),
  belly: oneOf(BELLIES).allow(null),
  lateFaults: faults,
  foot: Joi.object({
    shareFraction: within({ min: 0, max: 1 }).required(),
    handsKg: within({ min: 0, max: 200 }).required(),
    isStandIn: Joi.boolean().valid(true),
  }).allow(null),
};
const change = Joi.object({ repetitions, painScore, leftInTank, faults, endedBy, ...told });
const knownPlace = Joi.object({ variationId: variationId.required(), setting: settingSchema.required() });
const place = Joi.object({ variationId: text(80).required(), setting: settingSchema.required() });

/** What one event of each kind carries. */
const bodies = {
  "checked-in": Joi.object({
    kind,
    painScore: painScore.required(),
    newSwelling: Joi.boolean().required(),
    choice: Joi.string().valid("as-planned", "ease-all", "stop").required(),
    note: text(400),
    underRelief: Joi.boolean(),
    satLong: Joi.boolean(),
    reason: maybeWords(400),
  }),
  "set-ended": Joi.object({
    kind,
    setId: uuid.required(),
    itemId: uuid.required(),
    setting: settingSchema.required(),
    repetitions: repetitions.required(),
    painScore: painScore.allow(null).required(),
    faults: faults.required(),
    endedBy: endedBy.required(),
    workedS: Joi.number().min(0).max(7200),
    told: Joi.object(told),
  }),
  "set-corrected": Joi.object({ kind, setId: uuid.required(), change: change.required() }),
  "set-voided": Joi.object({ kind, setId: uuid.required() }),
  eased: Joi.object({
    kind,
    itemId: uuid.required(),
    levers: Joi.array()
      .items(Joi.object({ lever: lever.required(), from: Joi.number().required(), to: Joi.number().required() }))
      .max(10)
      .required(),
    to: place.required(),
    setCount: Joi.number().integer().min(1).max(20).allow(null).required(),
    by: oneOf(MOVES_BY),
    dose: sessionDose,
    reason: maybeWords(400),
  }),
  "ease-undone": Joi.object({ kind, easedEventId: uuid.required() }),
  "warning-sign": Joi.object({
    kind,
    sign: Joi.string()
      .valid(...WARNING_SIGNS)
      .required(),
  }),
  "item-skipped": Joi.object({ kind, itemId: uuid.required() }),
  "item-resumed": Joi.object({ kind, itemId: uuid.required() }),
  "item-stopped": Joi.object({ kind, itemId: uuid.required() }),
  "went-on": Joi.object({ kind, itemId: uuid.required() }),
  "item-added": Joi.object({
    kind,
    itemId: uuid.required(),
    place: knownPlace.required(),
    side: side.required(),
    dose: sessionDose.required(),
    reason: maybeWords(400),
  }),
  "session-opened": Joi.object({
    kind,
    clientId: uuid.required(),
    day: day.required(),
    isLight: Joi.boolean().required(),
    items: Joi.array()
      .items(
        Joi.object({
          itemId: uuid.required(),
          place: knownPlace.required(),
          side: side.required(),
          dose: sessionDose.required(),
          line: text(80).min(1).allow(null).required(),
          part: oneOf(PARTS).allow(null).required(),
          inTurn: Joi.boolean().required(),
        }),
      )
      .unique("itemId")
      .min(1)
      .max(60)
      .required(),
  }),
  "items-ordered": Joi.object({ kind, itemIds: Joi.array().items(uuid).max(60).unique().required() }),
  compared: Joi.object({
    kind,
    itemId: uuid.required(),
    cues: Joi.array().items(text(200)).length(2).required(),
    lighter: Joi.number().valid(0, 1).allow(null).required(),
  }),
  "session-ended": Joi.object({ kind }),
  "session-continued": Joi.object({ kind }),
  "effort-told": Joi.object({ kind, effortScore: within(PAIN_SCALE).integer().required() }),
} satisfies Record<FloorEvent["body"]["kind"], Joi.ObjectSchema>;

const bodySchema = Joi.alternatives().conditional(".kind", {
  switch: Object.entries(bodies).map(([name, schema], i, all) =>
    i === all.length - 1 ? { is: name, then: schema, otherwise: Joi.forbidden() } : { is: name, then: schema },
  ),
});

/** One event as its device sends it. Each is judged by itself, so that a bad one spoils no other. */
export const floorEventSchema = Joi.object<FloorEvent>({
  id: uuid.required(),
  deviceId: text(60).required(),
  sessionId: uuid.required(),
  sequence: Joi.number().integer().min(0).max(Number.MAX_SAFE_INTEGER).required(),
  occurredAt: instant.required(),
  body: bodySchema.required(),
});
export const MOST_EVENTS = 200;
/** A batch: whose it is, when it was sent by the device's clock, and its events as they are. Pages of the release before do not say whose. */
export const floorBatchSchema = Joi.object<{ by?: string; sentAt: string; events: unknown[] }, true>({
  by: text(60),
  sentAt: instant.required(),
  events: Joi.array().max(MOST_EVENTS).required(),
});

/** What may be put right about a session of any day, from Review. */
export const sessionCorrectionSchema = Joi.object<
  { sessionId: string; body: Extract<FloorEvent["body"], { kind: "set-corrected" | "set-voided" | "session-continued" }> },
  true
>({
  sessionId: uuid.required(),
  body: Joi.alternatives()
    .try(
      Joi.object({ kind: Joi.string().valid("set-corrected").required(), setId: uuid.required(), change: change.required() }),
      Joi.object({ kind: Joi.string().valid("set-voided").required(), setId: uuid.required() }),
      Joi.object({ kind: Joi.string().valid("session-continued").required() }),
    )
    .required(),
});
