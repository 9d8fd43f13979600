import { type Equipment, onHand } from "../catalogue/equipment";
import { ruledAs, traitsOfRow } from "../catalogue/traits";
import type { Tags, Variation } from "../catalogue/variation";
import {
  type CeilingChannelId,
  type ChannelSide,
  type Demand,
  LOAD_CHANNELS,
  type NumberChannelId,
  type Side,
} from "../mechanics/channels";
import { isMeasuredSite, isSparedSite, type LimitedBy, type Site, SPEAKS_FOR } from "../limits/complaint";
import { bindingLimits, type LimitChannelId } from "../limits/limit";
import { LOADS_SITE } from "../limits/spared.data";
import { BACK_ACTION_N, backRailN, RAIL_CHANNELS, type RailChannelId, railOf } from "../limits/rails";
import { oncePer } from "../once";
import { leftOutBy } from "../school/school";
import { ask, type Asked, HEADLINE, WHOLE, type Wanted } from "../templates/ask";
import { isLoad, templateOf } from "../templates/form";
import type { LeverId, Setting } from "../templates/lever";
import type { Trait } from "../templates/template";
import { assembledFor } from "./assemble";
import { type BoundChannel, boundRead, isDrillOf } from "./bound-read";
import { asksLittle, rankOf, rankOn } from "./by-tags";
import type { FitContext } from "./context";
import { tightest, type Use, usesOf } from "./use";

/** Why a set-up stands where it stands; numbers in SI, sentences in src/ui/text. */
export type FitReason =
  | { code: "pose-impossible"; reason: string }
  | { code: "over-limit"; limitId: string; channel: LimitChannelId; side: ChannelSide; value: number; most: number }
  | { code: "room-short"; limitId: string; valueDeg: number; leastDeg: number }
  | { code: "never"; limitId: string; what: Trait }
  | { code: "limit-unread"; limitId: string }
  | { code: "spared"; complaintId: string; site: Site; side: ChannelSide }
  | { code: "not-for"; limitId: string; instead: readonly string[] }
  | { code: "school"; axisId: string; positionId: string; instead: readonly string[] }
  | { code: "retired" | "kept-out" }
  | { code: "equipment-missing"; equipment: readonly Equipment[] }
  | { code: "not-assembled"; lever: LeverId; value: number }
  | { code: "stand-in"; instead: Equipment; of: Equipment }
  | { code: "guard-rail"; channel: RailChannelId | "lowBackCompression"; value: number; most: number }
  | { code: "counterweight"; loadKg: number }
  | { code: "over-ceiling" | "straddles-ceiling" | "under-ceilings"; use: Use }
  | { code: "no-ceiling" }
  | { code: "not-in-the-model" | "calm-before" }
  | { code: "ladder-and-trial"; because: "asks-little" | "easier-was-calm" | "taken-instead" | "nothing-hurts" | "place-unknown" }
  | { code: "complaint-unmeasured"; complaintId: string; site: Site; side: ChannelSide }
  | { code: "condition-unmeasured"; condition: string; site: Site; side: ChannelSide }
  | { code: "ceiling-unread" | "ceiling-unusable"; ceilingId: string; channel: CeilingChannelId; side: ChannelSide }
  | { code: "kneecap-past-90" }
  | { code: "ankle-at-its-limit" }
  | { code: "back-over-action"; value: number }
  | { code: "own-words-limit"; limitId: string; text: string };

/**
 * Open: its whole range lies under every ceiling. Try: it straddles one. Closed: it lies over one, past a guard rail, or
 * a limit forbids it. Not measured: nothing has been measured yet that could say, and that is never open.
 */
export type CandidateState = "open" | "try" | "not-measured" | "closed";

/** What a set-up asks and what closes it whatever was measured: all that a search along a lever needs. */
export interface Glance {
  /** No such pose, or a hard limit forbids it: no ceiling and no reason given can open it. */
  blocked: boolean;
  isPossible: boolean;
  closing: readonly FitReason[];
  demands: Demand[];
  tightest: Use | null;
}
/** A variation in one set-up, judged for one client on one day. */
export interface Judgement extends Glance {
  state: CandidateState;
  reasons: readonly [FitReason, ...FitReason[]];
  uses: Use[];
}

const SLACK = 1e-6;

function limitReasons(
  { limits, today, subject }: FitContext,
  variation: Variation,
  setting: Setting,
  asked: Extract<Asked, { ok: true }>,
  traitsOfIt: () => readonly Trait[],
): FitReason[] {
  const read = (channel: BoundChannel, side: ChannelSide) => boundRead(variation, setting, asked, channel, side, subject.body.massKg);
  return bindingLimits(limits, today).flatMap((limit): FitReason[] => {
    const { rule, id: limitId, side, owner } = limit;
    switch (rule.kind) {
      case "most": {
        const { channel, most } = rule;
        if (owner.kind === "measure" && owner.name === "tuck" && !ON_FEET.includes(variation.tags.position)) return [];
        const found = read(channel, side);
        if (found.known && found.high <= most + SLACK) return [];
        // a drill goes to the end of the client's own range and stops there; what a person said has to be asked
        if (isDrillOf(variation, channel)) return owner.kind === "measure" ? [] : [{ code: "limit-unread", limitId }];
        if (!found.known) return [{ code: "limit-unread", limitId }];
        return [{ code: "over-limit", limitId, channel, side: found.side, value: found.high, most }];
      }
      case "room": {
        const found = read("bellyRoom", "both");
        if (!found.known) return [{ code: "limit-unread", limitId }];
        return found.low >= rule.leastDeg - SLACK ? [] : [{ code: "room-short", limitId, valueDeg: found.low, leastDeg: rule.leastDeg }];
      }
      case "never":
        return traitsOfIt().includes(rule.what) ? [{ code: "never", limitId, what: rule.what }] : [];
      case "rows": {
        const isOthers = variation.tags.legs === "one" && side !== "both" && side !== subject.leadSide;
        return rule.codes.includes(ruledAs(variation)) && !isOthers ? [{ code: "not-for", limitId, instead: rule.instead }] : [];
      }
      case "own-words":
        return [];
    }
  });
}

/** A pelvis tucks at the bottom of a squat: sitting, lying and on hands and knees that measure says nothing. */
const ON_FEET: readonly Tags["position"][] = ["standing", "any"];

/** Rows that load what hurts where no ceiling could say how much: closed until one was calm. */
const sparedReasons = ({ complaints, calmRows }: FitContext, variation: Variation): FitReason[] =>
  complaints.flatMap(({ id: complaintId, site, side }): FitReason[] =>
    isSparedSite(site) && LOADS_SITE[site].includes(ruledAs(variation)) && !calmRows.includes(variation.id)
      ? [{ code: "spared", complaintId, site, side }]
      : [],
  );

/** A foot that lands is impact, whatever the row says, unless the row sets it down slowly. */
const LANDS_FROM_RANK = 2;
/** How the body lies is the row's to say: a straight-leg lift sitting is not lying. */
const LYING: readonly Tags["position"][] = ["on-the-back", "any"];
const traitsOf = ({ traits, ranks }: Extract<Asked, { ok: true }>, variation: Variation, ofRow: readonly Trait[]): Trait[] => [
  ...traits.filter((trait) => trait !== "lying" || LYING.includes(variation.tags.position)),
  ...ofRow,
  ...((ranks.impact ?? 0) >= LANDS_FROM_RANK && variation.lowering !== "slow" ? (["impact"] as const) : []),
];

function railReasons({ careful, ownRange }: FitContext, { template }: Variation, demands: readonly Demand[]): FitReason[] {
  const reasons: FitReason[] = [];
  for (const channel of RAIL_CHANNELS) {
    const most = railOf(template, channel, ownRange);
    const value = demands.reduce((worst, demand) => (demand.channel === channel ? Math.max(worst, demand.head) : worst), -Infinity);
    if (value > most + SLACK) reasons.push({ code: "guard-rail", channel, value, most });
  }
  const back = demands.find(({ channel }) => channel === "lowBackCompression")?.high ?? 0;
  if (back > backRailN(careful)) reasons.push({ code: "guard-rail", channel: "lowBackCompression", value: back, most: backRailN(careful) });
  return reasons;
}

/** What the school leaves out: the trainer may take it all the same, with a reason. */
const schoolReasons = ({ school, careful }: FitContext, variation: Variation): FitReason[] =>
  leftOutBy(school, ruledAs(variation), careful.includes("back")).map(({ axisId, positionId, instead }) => ({
    code: "school",
    axisId,
    positionId,
    instead,
  }));

/** Levers that stand where nothing at hand comes to. */
const unassembled = ({ kit: { assembled } }: FitContext, variation: Variation, setting: Setting): FitReason[] =>
  assembled === undefined
    ? []
    : variation.levers.flatMap(({ lever }): FitReason[] => {
        const [value, values] = [setting[lever], assembledFor(assembled, variation, lever)];
        return value === undefined || !values || values.some((each) => Math.abs(each.value - value) < 1e-6)
          ? []
          : [{ code: "not-assembled", lever, value }];
      });

/** A load without which this pose would fall over is a counterweight, and no proposal leans on one. */
function counterweightReason({ subject }: FitContext, variation: Variation, setting: Setting): FitReason[] {
  const { loadKg = 0 } = setting;
  if (!(loadKg > 0) || templateOf(variation).kind !== "standing") return [];
  const without = ask(subject, variation, { ...setting, loadKg: 0 }, { channels: [], range: false, along: false });
  return without.ok ? [] : [{ code: "counterweight", loadKg }];
}

/** A joint that must be measured before anything that asks something of it is open: it hurts, or a condition names it. */
interface Sore {
  site: LimitedBy;
  side: ChannelSide;
  unmeasured: FitReason;
}
const soreOf = ({ complaints, conditions }: FitContext): Sore[] => [
  ...complaints.flatMap(({ id: complaintId, site, side }): Sore[] =>
    isMeasuredSite(site) ? [{ site, side, unmeasured: { code: "complaint-unmeasured", complaintId, site, side } }] : [],
  ),
  ...conditions.map(({ condition, site, side }): Sore => ({
    site,
    side,
    unmeasured: { code: "condition-unmeasured", condition, site, side },
  })),
];

/** What nobody has measured that this set-up asks about. */
function unmeasured(
  context: FitContext,
  variation: Variation,
  setting: Setting,
  uses: readonly Use[],
  unread: FitContext["ceilings"],
  asked: Extract<Asked, { ok: true }>,
): FitReason[] {
  const { ceilings, complaints, unusable, nothingHurts, calmRows } = context;
  const sore = soreOf(context);
  // of a place that nobody named it is not known what loads it
  const ofOther: FitReason[] =
    complaints.some(({ site }) => site === "other") && !calmRows.includes(variation.id)
      ? [{ code: "ladder-and-trial", because: "place-unknown" }]
      : [];
  if (asked.isUnmodelled) return [outsideTheModel(context, sore, variation)];
  if (ceilings.length === 0 && unusable.length === 0) {
    if (sore.length > 0 || (complaints.length === 0 && !nothingHurts)) return [{ code: "no-ceiling" }];
    return [byCalmSets(context, variation, setting)];
  }
  const found = [
    ...unusable.map(({ ceiling: { id, channel, side } }): FitReason => ({ code: "ceiling-unusable", ceilingId: id, channel, side })),
    ...unread.map(({ id, channel, side }): FitReason =>
      rankOn(variation.tags, channel) === 0
        ? { code: "ladder-and-trial", because: "asks-little" }
        : { code: "ceiling-unread", ceilingId: id, channel, side },
    ),
    ...sore.filter((each) => !speaksFor(each, variation.tags, uses, ceilings)).map((each) => each.unmeasured),
    ...ofOther,
  ];
  return found.length > 0 || uses.length > 0 ? found : [{ code: "no-ceiling" }];
}
/** Nothing to measure on: one light set that stayed calm stands where a calm pose would, and no load beyond it. */
function byCalmSets({ calmRows, calmLoads }: FitContext, { id, pattern }: Variation, setting: Setting): FitReason {
  const isNewLoad = (Object.entries(setting) as [LeverId, number][]).some(
    ([lever, value]) => isLoad(lever) && value > (calmLoads[pattern]?.[lever] ?? 0) + SLACK,
  );
  return calmRows.includes(id) && !isNewLoad ? { code: "calm-before" } : { code: "ladder-and-trial", because: "nothing-hurts" };
}
/** Where the model is silent the handbook's ladder and a trial dose choose: what was calm, what follows it, what asks little. */
function outsideTheModel(
  { complaints, calmRows, limits, today }: FitContext,
  sore: readonly Sore[],
  { id, code, easier, tags }: Variation,
): FitReason {
  if (calmRows.includes(id)) return { code: "calm-before" };
  if (easier.some((below) => calmRows.includes(below))) return { code: "ladder-and-trial", because: "easier-was-calm" };
  if (asksLittle([...complaints, ...sore], tags)) return { code: "ladder-and-trial", because: "asks-little" };
  const isInstead = bindingLimits(limits, today).some(({ rule }) => rule.kind === "rows" && rule.instead.includes(code));
  return isInstead ? { code: "ladder-and-trial", because: "taken-instead" } : { code: "not-in-the-model" };
}

const BOTH: readonly Side[] = ["left", "right"];
/**
 * Something measured on that site and on each of its sides: read here, or of a row that asks nothing of it. One leg says
 * nothing about the other. A trunk's lean means nothing lying down.
 */
function speaksFor(
  { site, side }: Pick<Sore, "site" | "side">,
  tags: Tags,
  uses: readonly Use[],
  ceilings: FitContext["ceilings"],
): boolean {
  const channels: readonly NumberChannelId[] = SPEAKS_FOR[site];
  const isRead = (each: { channel: NumberChannelId; side: ChannelSide }, own: ChannelSide): boolean =>
    channels.includes(each.channel) && (each.side === "both" || each.side === own);
  return (side === "both" ? BOTH : [side]).every(
    (own) =>
      uses.some((use) => isRead(use, own)) ||
      ceilings.some((ceiling) => isRead(ceiling, own) && (ceiling.channel === "trunkLean" || rankOf(tags, site) === 0)),
  );
}

function ceilingReason(uses: readonly Use[]): FitReason | null {
  const by = (pick: (use: Use) => number): Use | undefined => uses.toSorted((a, b) => pick(b) - pick(a))[0];
  const [worstLow, worstHigh, worstHead] = [by((use) => use.low), by((use) => use.high), tightest(uses)];
  if (!worstHead || !worstLow || !worstHigh) return null;
  if (!(worstLow.low <= 1 + SLACK)) return { code: "over-ceiling", use: worstLow };
  return worstHigh.high <= 1 + SLACK ? { code: "under-ceilings", use: worstHead } : { code: "straddles-ceiling", use: worstHigh };
}

function notesOf({ limits, today }: FitContext, asked: Extract<Asked, { ok: true }>, uses: readonly Use[]): FitReason[] {
  const back = asked.demands.find(({ channel }) => channel === "lowBackCompression")?.high ?? 0;
  return [
    ...(uses.some(({ standsIn }) => standsIn) ? [{ code: "kneecap-past-90" as const }] : []),
    ...(asked.isAnkleLimited ? [{ code: "ankle-at-its-limit" as const }] : []),
    ...(back > BACK_ACTION_N ? [{ code: "back-over-action" as const, value: back }] : []),
    ...bindingLimits(limits, today).flatMap(({ rule, id }) =>
      rule.kind === "own-words" ? [{ code: "own-words-limit" as const, limitId: id, text: rule.text }] : [],
    ),
  ];
}

/** Channels that a search needs: those a ceiling, a limit or a rail may close by, and those a riser is measured on. */
const channelsThatClose = oncePer(({ ceilings, limits }: FitContext): NumberChannelId[] => {
  const limited = limits.flatMap(({ rule }): NumberChannelId[] =>
    rule.kind === "most" ? [rule.channel] : rule.kind === "room" ? ["bellyRoom"] : [],
  );
  return [...new Set<NumberChannelId>([...ceilings.map(({ channel }) => channel), ...limited, ...RAIL_CHANNELS, ...LOAD_CHANNELS])];
});

/** What a row says of itself on one client's day, whatever its levers. */
const ofRow = oncePer((context: FitContext) =>
  oncePer((variation: Variation) => {
    const { missing, standIns } = onHand(variation.equipment, context.kit.equipment);
    return {
      traits: traitsOfRow(variation),
      ofItself: [
        ...(variation.isRetired ? [{ code: "retired" as const }] : []),
        ...(variation.isKeptOut ? [{ code: "kept-out" as const }] : []),
        ...schoolReasons(context, variation),
        ...sparedReasons(context, variation),
      ] satisfies FitReason[],
      missing: (missing.length > 0 ? [{ code: "equipment-missing" as const, equipment: missing }] : []) satisfies FitReason[],
      standIns: standIns.map((each): FitReason => ({ code: "stand-in", ...each })),
    };
  }),
);

/** One set-up read: what it asks, and what closes it whatever was measured. */
function read(context: FitContext, variation: Variation, setting: Setting, wanted: Wanted) {
  const asked = ask(context.subject, variation, setting, wanted);
  if (!asked.ok) return asked;
  const row = ofRow(context)(variation);
  const limited = limitReasons(context, variation, setting, asked, () => traitsOf(asked, variation, row.traits));
  const forbidden = limited.filter(({ code }) => code !== "limit-unread");
  const closing: FitReason[] = [
    ...forbidden,
    ...row.ofItself,
    ...railReasons(context, variation, asked.demands),
    ...counterweightReason(context, variation, setting),
    ...row.missing,
    ...unassembled(context, variation, setting),
  ];
  const { uses, unread } = usesOf(asked.demands, context.ceilings, templateOf(variation).kind);
  const glanced: Glance = {
    blocked: forbidden.length > 0 || variation.isRetired === true || variation.isKeptOut === true,
    isPossible: true,
    closing,
    demands: asked.demands,
    tightest: tightest(uses),
  };
  return { ok: true as const, asked, glanced, limited, uses, unread, standIns: row.standIns };
}
function impossible(reason: string) {
  const reasons: readonly [FitReason] = [{ code: "pose-impossible", reason }];
  return { blocked: true, isPossible: false, closing: reasons, reasons, demands: [], tightest: null };
}

/**
 * What can close a set-up, over its whole range as in a full judgement. At the headline alone, as a search looks first, it
 * passes whatever the whole range passes, and sometimes more.
 */
export function glance(context: FitContext, variation: Variation, setting: Setting, at: "whole" | "headline" = "whole"): Glance {
  const found = read(context, variation, setting, { channels: channelsThatClose(context), ...(at === "whole" ? WHOLE : HEADLINE) });
  return found.ok ? found.glanced : impossible(found.reason);
}

/**
 * Where a set-up stands for this client today, with every reason. Limits and reach close outright, along the whole
 * movement and over its whole range; guard rails and missing equipment close what is proposed; ceilings by where the
 * range lies; and what nobody measured is never open. A list reads only the channels that can close.
 */
export function judge(context: FitContext, variation: Variation, setting: Setting, channels: "all" | "closing" = "all"): Judgement {
  const found = read(context, variation, setting, channels === "all" ? WHOLE : { channels: channelsThatClose(context), ...WHOLE });
  if (!found.ok) return { ...impossible(found.reason), state: "closed", uses: [] };
  const { asked, glanced, limited, uses, unread } = found;
  const byCeiling = ceilingReason(uses);
  const open: FitReason[] = [
    ...(byCeiling?.code === "over-ceiling" ? [byCeiling] : []),
    ...limited.filter(({ code }) => code === "limit-unread"),
    ...unmeasured(context, variation, setting, uses, unread, asked),
    ...(byCeiling && byCeiling.code !== "over-ceiling" ? [byCeiling] : []),
  ];
  const reasons = [...glanced.closing, ...open, ...found.standIns, ...notesOf(context, asked, uses)] as [FitReason, ...FitReason[]];
  return { ...glanced, state: stateOf(reasons[0]), reasons, uses };
}

/** What a reason makes of a set-up, were it the only one. */
export function stateOf({ code }: FitReason): CandidateState {
  switch (code) {
    case "under-ceilings":
    case "calm-before":
    // said beside what decides
    case "stand-in":
    case "kneecap-past-90":
    case "ankle-at-its-limit":
    case "back-over-action":
    case "own-words-limit":
      return "open";
    case "straddles-ceiling":
    case "ladder-and-trial":
      return "try";
    case "no-ceiling":
    case "not-in-the-model":
    case "limit-unread":
    case "complaint-unmeasured":
    case "condition-unmeasured":
    case "ceiling-unread":
    case "ceiling-unusable":
      return "not-measured";
    default:
      return "closed";
  }
}
