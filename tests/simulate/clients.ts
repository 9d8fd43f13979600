import { bodyFromMeasure } from "../../src/core/body/body";
import { BENDS } from "../../src/core/catalogue/bends.data";
import { CATALOGUE, variationById } from "../../src/core/catalogue/catalogue";
import type { Variation } from "../../src/core/catalogue/variation";
import type { FitContext } from "../../src/core/judge/context";
import { DEFAULT_KIT } from "../../src/core/kit/kit";
import { type Candidate, fitVariation } from "../../src/core/progressions/search";
import { type Ceiling, ceilingsFromCalmPose } from "../../src/core/limits/ceiling";
import { isMeasuredSite, MEASURED_SITES, SITES, SPEAKS_FOR } from "../../src/core/limits/complaint";
import { type Limit, LIMIT_BOUNDS, LIMIT_CHANNELS } from "../../src/core/limits/limit";
import { CHANNELS, type ChannelSide, type Side } from "../../src/core/mechanics/channels";
import { DEFAULT_POSTURE } from "../../src/core/mechanics/posture";
import { DEFAULT_SCHOOL } from "../../src/core/approach/approach";
import { namedJoints } from "../../src/core/screen/screen";
import { CONDITION_KINDS } from "../../src/core/screen/conditions.data";
import { ask, WHOLE } from "../../src/core/templates/ask";
import type { Chance } from "./chance";

/** Clients nobody invented by hand, and what must never be open to them. */

const SIDES: readonly ChannelSide[] = ["left", "right", "both"];
const limitOf = (chance: Chance, id: string): Limit => {
  const channel = chance.one(LIMIT_CHANNELS);
  const { min, max } = LIMIT_BOUNDS[channel];
  const part = chance.whole(0, 100) / 100;
  return {
    id,
    rule: { kind: "most", channel, most: min + part * (max - min) },
    side: CHANNELS[channel].sided ? chance.one(SIDES) : "both",
    owner: chance.in100(80) ? { kind: "clinician", name: "surgeon" } : { kind: "measure", name: "knee-bend" },
    fromDay: "2026-01-01",
    untilDay: null,
    lift: null,
  };
};

/** A client with complaints, conditions, calm poses and limits as chance has them; often with less measured than there is to measure. */
export function clientOf(chance: Chance): FitContext {
  const body = bodyFromMeasure({
    heightM: chance.whole(150, 195) / 100,
    massKg: chance.whole(48, 130),
    sex: chance.one(["female", "male"] as const),
  });
  const leadSide = chance.one(["left", "right"] as const);
  const complaints = Array.from({ length: chance.whole(0, 3) }, (_, i) => {
    const site = chance.one(SITES);
    return { id: `c${i}`, site, side: chance.one(SIDES), words: site, usualPainScore: chance.whole(0, 4), painLimitScore: 3 };
  });
  const conditions = Array.from({ length: chance.whole(0, 2) }, () => {
    const { id, isSided } = chance.one(CONDITION_KINDS);
    return { id, side: isSided ? chance.one(SIDES) : ("both" as const), day: null };
  });
  const ceilings = Array.from({ length: chance.whole(0, 2) }).flatMap((_, i): Ceiling[] => {
    const limitedBy = chance.one(MEASURED_SITES);
    const found = ceilingsFromCalmPose(
      { body, posture: DEFAULT_POSTURE },
      {
        id: `calm-${i}`,
        day: "2026-01-05",
        side: chance.one(["left", "right"] as const),
        limitedBy,
        form: variationById("raised-sit-to-stand"),
        setting: { seatHeightM: chance.whole(46, 70) / 100 },
        shareFraction: chance.in100(50) ? 0.5 : null,
      },
    );
    return found.ok ? found.ceilings.map((ceiling, n) => ({ ...ceiling, id: `ceiling-${i}-${n}` })) : [];
  });
  return {
    subject: { body, posture: DEFAULT_POSTURE, leadSide },
    complaints,
    conditions: namedJoints({ conditions }),
    nothingHurts: complaints.length === 0 && chance.in100(50),
    careful: complaints.some(({ site }) => site === "low-back" || site === "back-bend") ? ["back"] : [],
    limits: Array.from({ length: chance.whole(0, 4) }, (_, i) => limitOf(chance, `limit-${i}`)),
    ceilings,
    unusable: [],
    calmLoads: {},
    calmRows: [],
    ownRange: {},
    today: "2026-06-01",
    kit: DEFAULT_KIT,
    school: DEFAULT_SCHOOL,
    targetUseFraction: DEFAULT_SCHOOL.targetUseFraction,
  };
}

const isOpen = ({ state }: Pick<Candidate, "state">): boolean => state === "open" || state === "try";
const meets = (side: ChannelSide, other: ChannelSide): boolean => side === "both" || other === "both" || side === other;
const EPSILON = 1e-4;

/** What is wrong with one row as it stands open to a client: read anew from the model and the set-ups, not from the judge. */
export function wrongWith(context: FitContext, row: Variation, fitted: Candidate): string[] {
  if (!isOpen(fitted)) return [];
  const { subject, limits, ceilings, complaints, conditions, nothingHurts } = context;
  const asked = ask(subject, row, fitted.setting, WHOLE);
  if (!asked.ok) return ["impossible"];
  const wrong: string[] = [];
  for (const { rule, side, owner } of limits) {
    if (rule.kind !== "most") continue;
    const read = asked.demands.filter((each) => each.channel === rule.channel && meets(side, each.side));
    if (read.some(({ high }) => high > rule.most + EPSILON)) wrong.push(`${rule.channel} over its limit`);
    const bends = BENDS[row.code];
    const span = { kneeFlexion: bends?.kneeDeg, hipFlexion: bends?.hipDeg, trunkLean: bends?.trunkDeg, shankLean: bends?.shinDeg }[
      rule.channel as "kneeFlexion"
    ];
    const isOwn = owner.kind === "measure";
    if (read.length === 0 && span && span[1] > rule.most + EPSILON && !isOwn) wrong.push(`${rule.channel} of the set-up over its limit`);
    if (
      read.length === 0 &&
      !span &&
      row.template === "no-model" &&
      !isOwn &&
      !["legWeight", "spineLoad", "handWeight"].includes(rule.channel)
    )
      wrong.push(`${rule.channel} unread`);
  }
  if (fitted.state === "open")
    for (const { channel, side, value } of ceilings)
      if (asked.demands.some((each) => each.channel === channel && each.side === side && each.high > value * (1 + EPSILON)))
        wrong.push(`${channel} over its ceiling`);
  // a joint that hurts or is named has something measured on each of its sides, where the row asks something of it
  const sore = [...complaints, ...conditions].filter(({ site }) => isMeasuredSite(site));
  if (fitted.state === "open" && row.tags.knee >= 2)
    for (const { site, side } of sore) {
      if (site !== "knee" && site !== "kneecap") continue;
      const sides: Side[] = side === "both" ? ["left", "right"] : [side];
      if (sides.some((own) => !ceilings.some((ceiling) => SPEAKS_FOR[site].includes(ceiling.channel) && ceiling.side === own)))
        wrong.push(`${site} open and not measured`);
    }
  if (ceilings.length === 0 && fitted.state === "open") wrong.push("open with nothing measured");
  if (ceilings.length === 0 && complaints.length === 0 && !nothingHurts && row.template !== "no-model")
    wrong.push("open though nobody was asked");
  return wrong;
}

/** Every row fitted to one client, and what is wrong with any of them. */
export function wrongFor(context: FitContext): { rowCount: number; openCount: number; wrong: string[] } {
  const fitted = CATALOGUE.map((row) => ({ row, found: fitVariation(context, row) }));
  return {
    rowCount: fitted.length,
    openCount: fitted.filter(({ found }) => isOpen(found)).length,
    wrong: fitted.flatMap(({ row, found }) => wrongWith(context, row, found).map((what) => `${row.code}: ${what}`)),
  };
}

/** One limit or ceiling made tighter: whether a row that was closed or not measured comes open by it. */
export function opensByTightening(chance: Chance): { row: string; opened: boolean } {
  const client = clientOf(chance);
  const row = chance.one(CATALOGUE);
  const limit = limitOf(chance, "moved");
  if (limit.rule.kind !== "most") throw new TypeError("a bound");
  const { min } = LIMIT_BOUNDS[limit.rule.channel];
  const tighter: Limit = { ...limit, rule: { ...limit.rule, most: min + (limit.rule.most - min) * (chance.whole(0, 95) / 100) } };
  const under = (own: Limit): Candidate => fitVariation({ ...client, limits: [...client.limits, own] }, row);
  const [before, after] = [under(limit), under(tighter)];
  return { row: row.code, opened: !isOpen(before) && isOpen(after) };
}
