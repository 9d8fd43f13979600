import type { Finding } from "../src/core/assess/finding";
import { isMeasuredSo, rangeLimits } from "../src/core/assess/range-limits";
import { variationById } from "../src/core/catalogue/catalogue";
import type { Day } from "../src/core/day";
import { DEFAULT_KIT, type Kit, kitOf } from "../src/core/kit/kit";
import type { Limit } from "../src/core/limits/limit";
import type { ChannelSide, Side } from "../src/core/mechanics/channels";
import { ALWAYS, type OwnCondition, ruleLimits, type ScreenAnswers } from "../src/core/screen/screen";
import { ask, AT_THE_POSE } from "../src/core/templates/ask";
import type { Subject } from "../src/core/templates/template";
import { type School, schoolOf } from "../src/core/approach/approach";
import { CONDITION_WORDS, type SchoolInput, type ShortFindings, type ToldInput } from "../src/schemas/command-line/fit-input.schema";

/** What a script says of a client in short, as the record would hold it. */

const conditionFrom = ({ kind, side = "both", day, dueDay }: NonNullable<ToldInput["conditions"]>[number]): OwnCondition => ({
  id: CONDITION_WORDS[kind as keyof typeof CONDITION_WORDS] ?? kind,
  side,
  day: dueDay ?? day ?? null,
});
/** Activity left out is a client who trained on: a fit stands after clearance. */
export const answersFrom = ({ conditions = [], activity = { active: true, monthsActive: 12 } }: ToldInput): ScreenAnswers => ({
  conditions: conditions.map(conditionFrom),
  activity,
});

const SCORE = { yes: 0, no: 2 } as const;
const bySide = (protocol: string, sides: Partial<Record<Side, boolean>>): [string, ChannelSide, number][] =>
  (["left", "right"] as const).flatMap((side) =>
    sides[side] === undefined ? [] : [[protocol, side, sides[side] ? SCORE.yes : SCORE.no] as [string, ChannelSide, number]],
  );

/** Hip bend where the pelvis tucks, told by the knee bend of a free squat on this body; null where it does not get there. */
function hipAtTuckDeg(subject: Subject, kneeFlexionDeg: number): number | null {
  const asked = ask(subject, variationById("bodyweight-squat"), { kneeFlexionDeg }, { ...AT_THE_POSE, channels: ["hipFlexion"] });
  const found = asked.ok ? asked.demands.find(({ channel }) => channel === "hipFlexion") : undefined;
  return found ? found.head : null;
}

function valuesFrom(subject: Subject, { range = [], pelvisTuckKneeBendDeg, levelPelvis = {}, neutralHeelRaise = {} }: ShortFindings) {
  const tuck = pelvisTuckKneeBendDeg === undefined ? null : hipAtTuckDeg(subject, pelvisTuckKneeBendDeg);
  return [
    ...range.flatMap(({ joint, side, straightLackDeg, bendDeg }): [string, ChannelSide, number][] => [
      ...(straightLackDeg !== undefined && joint === "knee"
        ? [["knee-straight", side, straightLackDeg] as [string, ChannelSide, number]]
        : []),
      ...(bendDeg !== undefined ? [[`${joint}-bend`, side, bendDeg] as [string, ChannelSide, number]] : []),
    ]),
    ...(tuck === null ? [] : [["tuck", "both", tuck] as [string, ChannelSide, number]]),
    ...bySide("carry-early", levelPelvis),
    ...bySide("carry-late", levelPelvis),
    ...bySide("heel-line", neutralHeelRaise),
  ];
}
export function findingsFrom(subject: Subject, { findings = [] }: ToldInput, today: Day): Finding[] {
  if (Array.isArray(findings)) return findings;
  return valuesFrom(subject, findings).map(([protocol, side, value], i) => ({
    id: `finding-${i}`,
    day: today,
    protocol,
    side,
    value,
    setUp: {},
    note: "",
  }));
}

const NEVER_KNEELS: Limit = {
  id: "kneels",
  rule: { kind: "never", what: "kneeling" },
  side: "both",
  owner: { kind: "client", name: "client" },
  fromDay: ALWAYS,
  untilDay: null,
  lift: null,
};

/** What conditions and measures close. */
export function toldLimits(subject: Subject, told: ToldInput, today: Day): Limit[] {
  const findings = findingsFrom(subject, told, today);
  const kneels = Array.isArray(told.findings) ? undefined : told.findings?.kneels;
  return [
    ...ruleLimits(answersFrom(told), (gate, side) => isMeasuredSo(findings, gate, side)),
    ...rangeLimits(findings),
    ...(kneels === false ? [NEVER_KNEELS] : []),
  ];
}

/** The things in the room; where none are listed, what the place usually has. */
export const kitFrom = ({ equipment, place = "studio" }: ToldInput, increments?: Partial<Kit["increments"]>): Kit =>
  kitOf(
    { ...DEFAULT_KIT, increments: { ...DEFAULT_KIT.increments, ...increments } },
    place,
    equipment?.map((item) => (typeof item === "string" ? { kind: item } : item)) ?? null,
  );

export const schoolFrom = (school: SchoolInput = "mainstream"): School =>
  schoolOf(typeof school === "string" ? { preset: school } : school);
