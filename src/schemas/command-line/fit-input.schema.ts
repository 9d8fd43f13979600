import Joi from "joi";
import { EQUIPMENT, type Equipment, type Place, PLACES } from "../../core/kit/equipment";
import type { Finding } from "../../core/assess/finding";
import type { Day } from "../../core/day";
import type { ChannelSide, Side } from "../../core/mechanics/channels";
import { CONDITION_IDS } from "../../core/screen/conditions.data";
import { findingsSchema } from "../assess.schema";
import { PRESET_IDS, type PresetId, type SchoolNumbers } from "../../core/approach/approach";
import { schoolKeys } from "../school.schema";
import { kitItemKeys } from "../kit.schema";
import type { KitItem } from "../../core/kit/assemble";
import { channelSide, day, side, within } from "../fields";

/** Other words for a condition, as scripts write them. */
export const CONDITION_WORDS = {
  "inflammatory-arthritis": "knee-inflammatory",
  "knee-ligament-repair": "ligament-repair",
  "ankle-sprain": "sprains",
  "knee-sprain": "sprains",
  "hip-weak-side": "side-hip",
  "hip-tight": "tight-hip",
  "back-bending": "back-bend",
  "back-extension": "back-arch",
  "back-one-sided": "back-spasm",
  "shoulder-limit": "shoulder-or-grip",
  "grip-limit": "shoulder-or-grip",
} as const satisfies Readonly<Record<string, string>>;

/** What a script says of a client in short: conditions by kind, findings by joint, the things in the room. */
export interface ConditionInput {
  kind: string;
  side?: ChannelSide;
  day?: Day;
  dueDay?: Day;
}
type BySide = Partial<Record<Side, boolean>>;
export interface ShortFindings {
  range?: { joint: "knee" | "hip"; side: Side; straightLackDeg?: number; bendDeg?: number }[];
  pelvisTuckKneeBendDeg?: number;
  levelPelvis?: BySide;
  neutralHeelRaise?: BySide;
  kneels?: boolean;
}
/** A preset by name, or one with what is held otherwise. */
export type SchoolInput = PresetId | { preset: PresetId; positions?: Record<string, string>; numbers?: Partial<SchoolNumbers> };
export interface ToldInput {
  conditions?: ConditionInput[];
  activity?: { active: boolean; monthsActive: number };
  findings?: Finding[] | ShortFindings;
  place?: Place;
  equipment?: (Equipment | KitItem)[];
  school?: SchoolInput;
}

export const schoolInputSchema = Joi.alternatives(Joi.string().valid(...PRESET_IDS), Joi.object(schoolKeys));
const bySide = Joi.object({ left: Joi.boolean(), right: Joi.boolean() });
const kind = Joi.string().valid(...EQUIPMENT);
export const toldKeys = {
  conditions: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string()
          .valid(...CONDITION_IDS, ...Object.keys(CONDITION_WORDS))
          .required(),
        side: channelSide,
        day,
        dueDay: day,
      }),
    )
    .max(30),
  activity: Joi.object({ active: Joi.boolean().required(), monthsActive: within({ min: 0, max: 1200 }).required() }),
  findings: Joi.alternatives(
    findingsSchema,
    Joi.object({
      range: Joi.array()
        .items(
          Joi.object({
            joint: Joi.string().valid("knee", "hip").required(),
            side: side.required(),
            straightLackDeg: within({ min: 0, max: 90 }),
            bendDeg: within({ min: 0, max: 170 }),
          }),
        )
        .max(8),
      pelvisTuckKneeBendDeg: within({ min: 10, max: 150 }),
      levelPelvis: bySide,
      neutralHeelRaise: bySide,
      kneels: Joi.boolean(),
    }),
  ),
  school: schoolInputSchema,
  place: Joi.string().valid(...PLACES),
  equipment: Joi.array().items(kind, Joi.object(kitItemKeys)).max(200),
};
