import Joi from "joi";
import { type Frequency, TRAINED } from "../../core/catalogue/variation";
import type { Day } from "../../core/day";
import { type GoalLoad, GOAL_SHARES } from "../../core/dose/load";
import { type Purpose, PURPOSES } from "../../core/dose/purpose";
import { SIDE_RULES, type SideRule } from "../../core/dose/sides";
import type { Side } from "../../core/mechanics/channels";
import { PRESET_IDS, type PresetId } from "../../core/approach/approach";
import { SKELETONS } from "../../core/session/skeletons.data";
import type { CalendarAsked } from "../../formats/calendar";
import { type ForecastAsked } from "../../core/week/forecast";
import { type FitInput, fitKeys, type PlaceInput } from "./core-input.schema";
import { day, instant, settingSchema, text, timeZone, variationId, within } from "../fields";

/** What the commands of dose, session and week take. */
const often = Joi.string().valid("several-a-day", "daily", "three-a-week", "two-rest-days");
const weekday = Joi.number().integer().min(1).max(7);
const weakSide = Joi.string().valid("left", "right", "both").allow(null);

export interface DoseInput {
  variationId: string;
  purpose: Purpose;
  isFirst: boolean;
  school: PresetId;
  tempo?: string;
  repetitions?: number;
  setS?: number;
  massKg?: number;
  goal?: GoalLoad;
  loadKg?: number;
  assembledKg?: number[];
  dropLoadsKg?: number[];
  good?: { setCount: number; repetitions: number };
  weakSide?: Side | "both" | null;
  sideRule?: SideRule;
  bandsKg?: number[];
  bandUse?: "resists" | "supports";
}
export const doseInputSchema = Joi.object<DoseInput>({
  variationId: variationId.required(),
  purpose: Joi.string()
    .valid(...PURPOSES)
    .default("first-strength"),
  isFirst: Joi.boolean().default(true),
  school: Joi.string()
    .valid(...PRESET_IDS)
    .default("mainstream"),
  tempo: text(40),
  repetitions: within({ min: 1, max: 100 }).integer(),
  setS: within({ min: 1, max: 600 }),
  massKg: within({ min: 20, max: 400 }),
  goal: Joi.string().valid(...Object.keys(GOAL_SHARES)),
  loadKg: within({ min: 0, max: 500 }),
  assembledKg: Joi.array()
    .items(within({ min: 0, max: 500 }))
    .max(500),
  dropLoadsKg: Joi.array()
    .items(within({ min: 0.1, max: 500 }))
    .min(2)
    .max(6),
  good: Joi.object({
    setCount: within({ min: 1, max: 10 }).integer().required(),
    repetitions: within({ min: 1, max: 100 }).integer().required(),
  }),
  weakSide,
  sideRule: Joi.string().valid(...SIDE_RULES),
  bandsKg: Joi.array()
    .items(within({ min: 0.1, max: 100 }))
    .max(10),
  bandUse: Joi.string().valid("resists", "supports"),
})
  .with("goal", "massKg")
  .with("sideRule", "good")
  .with("bandUse", "bandsKg")
  .required();

export interface SessionInput extends FitInput {
  minutes: number;
  purpose: Purpose;
  skeleton?: string;
  weak: { muscle: (typeof TRAINED)[number] } | { joint: "knee" | "back" };
  weakSide?: Side | "both" | null;
  planned?: PlaceInput[];
  sessionNumber: number;
}
export const sessionInputSchema = Joi.object<SessionInput>({
  ...fitKeys,
  minutes: within({ min: 1, max: 240 }).required(),
  purpose: Joi.string()
    .valid(...PURPOSES)
    .default("first-strength"),
  skeleton: Joi.string().valid(...SKELETONS.map(({ id }) => id)),
  weak: Joi.alternatives(
    Joi.object({
      muscle: Joi.string()
        .valid(...TRAINED)
        .required(),
    }),
    Joi.object({ joint: Joi.string().valid("knee", "back").required() }),
  ).default({ joint: "knee" }),
  weakSide,
  planned: Joi.array()
    .items(Joi.object({ variationId: variationId.required(), setting: settingSchema.required() }))
    .max(12),
  sessionNumber: Joi.number().integer().min(0).max(10_000).default(0),
}).required();

export interface WeekInput {
  from: Day;
  weeks: number;
  weekdays: number[];
  sessions: { often: Frequency; perWeek: number }[];
  done?: { day: Day; often: Frequency }[];
  loads?: { day: Day; name: string; isHeavy: boolean }[];
  missed?: { day: Day; often: Frequency };
  school: PresetId;
  /** Whether one day would do for one class. */
  ask?: { day: Day; often: Frequency };
}
export const weekInputSchema = Joi.object<WeekInput>({
  from: day.required(),
  weeks: within({ min: 1, max: 26 }).integer().default(1),
  weekdays: Joi.array().items(weekday).unique().min(1).max(7).required(),
  sessions: Joi.array()
    .items(Joi.object({ often: often.required(), perWeek: within({ min: 1, max: 7 }).integer().required() }))
    .max(8)
    .default([]),
  done: Joi.array()
    .items(Joi.object({ day: day.required(), often: often.required() }))
    .max(400),
  loads: Joi.array()
    .items(Joi.object({ day: day.required(), name: text(80).required(), isHeavy: Joi.boolean().required() }))
    .max(60),
  missed: Joi.object({ day: day.required(), often: often.required() }),
  ask: Joi.object({ day: day.required(), often: often.required() }),
  school: Joi.string()
    .valid(...PRESET_IDS)
    .default("mainstream"),
}).required();

export interface ForecastInput extends Omit<ForecastAsked, "sessionsToBuild"> {
  school: PresetId;
  fade?: { startFraction: number; weeks: number; painfulWeeks?: number[] };
  kneeForwardStep?: { heightM: number; loadKg: number; massKg: number };
}
const count = Joi.number().integer().min(0).max(10_000);
export const forecastInputSchema = Joi.object<ForecastInput>({
  stepCount: count.max(500).required(),
  sessionsPerWeek: within({ min: 1, max: 7 }).integer().required(),
  mornings: Joi.object({ calm: count.required(), noticed: count.required(), flare: count.required() }).required(),
  missedPercent: within({ min: 0, max: 90 }).default(10),
  climbSessions: within({ min: 0, max: 20 }).integer(),
  seed: Joi.number().integer().min(0).max(2_147_483_647).default(1),
  school: Joi.string()
    .valid(...PRESET_IDS)
    .default("mainstream"),
  fade: Joi.object({
    startFraction: within({ min: 0.01, max: 1 }).required(),
    weeks: within({ min: 1, max: 52 }).integer().required(),
    painfulWeeks: Joi.array()
      .items(within({ min: 1, max: 104 }).integer())
      .max(52),
  }),
  kneeForwardStep: Joi.object({
    heightM: within({ min: 0, max: 1 }).required(),
    loadKg: within({ min: 0, max: 500 }).required(),
    massKg: within({ min: 20, max: 400 }).required(),
  }),
}).required();

const clock = Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/);
export const calendarInputSchema = Joi.object<CalendarAsked>({
  timeZone: timeZone.required(),
  madeAt: instant.required(),
  sessions: Joi.array()
    .items(
      Joi.object({
        id: text(80).min(1).required(),
        sequence: count.required(),
        title: text(200).min(1).required(),
        note: text(4000).allow("").default(""),
        startDay: day.required(),
        at: clock.required(),
        minutes: within({ min: 5, max: 600 }).required(),
        repeats: Joi.object({ weekdays: Joi.array().items(weekday).unique().min(1).max(7).required(), untilDay: day.required() })
          .allow(null)
          .default(null),
        exceptDays: Joi.array().items(day).max(400).default([]),
      }),
    )
    .max(400)
    .required(),
}).required();
