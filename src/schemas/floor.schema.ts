import Joi from "joi";
import { type FloorEvent, SET_ENDS } from "../core/floor/events";
import { WARNING_SIGNS } from "../core/limits/clinician";
import { PAIN_SCALE } from "../core/progress/morning";
import { instant, lever, settingSchema, text, uuid, within } from "./fields";

const painScore = within(PAIN_SCALE);
const repetitions = Joi.number().integer().min(0).max(200);
const faults = Joi.array().max(20).items(text(60));
const leftInTank = Joi.number().integer().min(0).max(20);
const endedBy = Joi.string().valid(...SET_ENDS);
const kind = Joi.any();
const change = Joi.object({ repetitions, painScore, leftInTank, faults, endedBy });

/** What one event of each kind carries. */
const bodies = {
  "checked-in": Joi.object({
    kind,
    painScore: painScore.required(),
    newSwelling: Joi.boolean().required(),
    choice: Joi.string().valid("as-planned", "ease-all", "stop").required(),
    note: text(400),
    underRelief: Joi.boolean(),
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
    to: Joi.object({ variationId: text(80).required(), setting: settingSchema.required() }).required(),
    setCount: Joi.number().integer().min(1).max(20).allow(null).required(),
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
