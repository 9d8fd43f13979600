import Joi from "joi";
import { type FloorEvent, LEVERS, PAIN_SCALE } from "../core";
import { settingSchema, uuid, within } from "./fields";

const painScore = within(PAIN_SCALE);
const repetitions = Joi.number().integer().min(0).max(200);
const faults = Joi.array().items(Joi.string().max(60)).max(20);
const leftInTank = Joi.number().integer().min(0).max(20);
const endedBy = Joi.string().valid("pain-tap", "sharp", "spreading", "warning-sign");
const kind = Joi.any();

/** What one event of each kind carries. */
const bodies = {
  "checked-in": Joi.object({
    kind,
    painScore: painScore.required(),
    newSwelling: Joi.boolean().required(),
    choice: Joi.string().valid("as-planned", "ease-all", "stop").required(),
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
  }),
  "set-corrected": Joi.object({
    kind,
    setId: uuid.required(),
    change: Joi.object({ repetitions, painScore, leftInTank, faults, endedBy }).required(),
  }),
  "set-voided": Joi.object({ kind, setId: uuid.required() }),
  eased: Joi.object({
    kind,
    itemId: uuid.required(),
    lever: Joi.string()
      .valid(...Object.keys(LEVERS))
      .required(),
    from: Joi.number().required(),
    to: Joi.number().required(),
  }),
  "ease-undone": Joi.object({ kind, easedEventId: uuid.required() }),
  "warning-sign": Joi.object({ kind, sign: Joi.string().max(40).required() }),
  "warning-withdrawn": Joi.object({ kind }),
  "session-ended": Joi.object({ kind }),
} satisfies Record<FloorEvent["body"]["kind"], Joi.ObjectSchema>;

const bodySchema = Joi.alternatives().conditional(".kind", {
  switch: Object.entries(bodies).map(([name, schema], i, all) =>
    i === all.length - 1 ? { is: name, then: schema, otherwise: Joi.forbidden() } : { is: name, then: schema },
  ),
});

/** One batch from a device. */
export const floorBatchSchema = Joi.array<FloorEvent[]>()
  .items(
    Joi.object({
      id: uuid.required(),
      deviceId: Joi.string().max(60).required(),
      sessionId: uuid.required(),
      occurredAt: Joi.string().isoDate().required(),
      body: bodySchema.required(),
    }),
  )
  .min(1)
  .max(200)
  .required();
