import { type Equipment, onHand } from "../catalogue/equipment";
import { ruledAs, traitsOfRow } from "../catalogue/traits";
import type { Tags, Variation } from "../catalogue/variation";
import { type CeilingChannelId, type ChannelSide, type Demand, LOAD_CHANNELS, type NumberChannelId } from "../mechanics/channels";
import { type Complaint, SPEAKS_FOR, type Site } from "../limits/complaint";
import { bindingLimits, type Limit, type LimitChannelId } from "../limits/limit";
import { BACK_ACTION_N, backRailN, RAIL_CHANNELS, type RailChannelId, railOf } from "../limits/rails";
import { oncePer } from "../once";
import { leftOutBy } from "../school/school";
import { ask, type Asked, HEADLINE, WHOLE, type Wanted } from "../templates/ask";
import { templateOf } from "../templates/form";
import type { LeverId, Setting } from "../templates/lever";
import type { Trait } from "../templates/template";
import { assembledFor } from "./assemble";
import { asksLittle, leavesAlone, rankOf, rankOn } from "./by-tags";
import type { FitContext } from "./context";
import { tightest, type Use, usesOf } from "./use";

/** Why a set-up stands where it stands; numbers in SI, sentences in src/ui/text. */
export type FitReason =
  | { code: "pose-impossible"; reason: string }
  | { code: "over-limit"; limitId: string; channel: LimitChannelId; side: ChannelSide; value: number; most: number }
  | { code: "room-short"; limitId: string; valueDeg: number; leastDeg: number }
  | { code: "never"; limitId: string; what: Trait }
  | { code: "limit-unread"; limitId: string }
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
  | { code: "ladder-and-trial"; because: "asks-little" | "easier-was-calm" | "taken-instead" }
  | { code: "complaint-unmeasured"; complaintId: string; site: Site; side: ChannelSide }
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
  asked: Extract<Asked, { ok: true }>,
  traitsOfIt: () => readonly Trait[],
): FitReason[] {
  return bindingLimits(limits, today).flatMap((limit): FitReason[] => {
    const { rule, id: limitId } = limit;
    switch (rule.kind) {
      case "most":
        return overLimit(limit, rule, variation, asked);
      case "room": {
        const room = asked.demands.find(({ channel }) => channel === "bellyRoom");
        if (!room) return asked.isUnmodelled && !leavesAlone(variation, "bellyRoom") ? [{ code: "limit-unread", limitId }] : [];
        return room.low >= rule.leastDeg - SLACK ? [] : [{ code: "room-short", limitId, valueDeg: room.low, leastDeg: rule.leastDeg }];
      }
      case "never":
        return traitsOfIt().includes(rule.what) ? [{ code: "never", limitId, what: rule.what }] : [];
      case "rows": {
        const isOthers = variation.tags.legs === "one" && limit.side !== "both" && limit.side !== subject.leadSide;
        return rule.codes.includes(ruledAs(variation)) && !isOthers ? [{ code: "not-for", limitId, instead: rule.instead }] : [];
      }
      case "own-words":
        return [];
    }
  });
}

/** A bound holds for the high end of what a channel may come to, on the side it names, the rear leg like the front. */
function overLimit(
  { id: limitId, side, owner }: Limit,
  { channel, most }: { channel: LimitChannelId; most: number },
  variation: Variation,
  asked: Extract<Asked, { ok: true }>,
): FitReason[] {
  // a drill goes to the end of the client's own range and stops there; what a person said has to be asked
  if (asked.isUnmodelled)
    return owner.kind === "measure" || leavesAlone(variation, channel, most) ? [] : [{ code: "limit-unread", limitId }];
  const bound = asked.demands.filter((d) => d.channel === channel && (side === "both" || d.side === "both" || d.side === side));
  const worst = bound.toSorted((a, b) => b.high - a.high)[0];
  if (!worst || worst.high <= most + SLACK) return [];
  return [{ code: "over-limit", limitId, channel, side: worst.side, value: worst.high, most }];
}

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

/** What nobody has measured that this set-up asks about. */
function unmeasured(
  context: FitContext,
  variation: Variation,
  uses: readonly Use[],
  unread: FitContext["ceilings"],
  asked: Extract<Asked, { ok: true }>,
): FitReason[] {
  const { ceilings, complaints, unusable } = context;
  if (asked.isUnmodelled) return [outsideTheModel(context, variation)];
  if (ceilings.length === 0 && unusable.length === 0) return [{ code: "no-ceiling" }];
  return [
    ...unusable.map(({ ceiling: { id, channel, side } }): FitReason => ({ code: "ceiling-unusable", ceilingId: id, channel, side })),
    ...unread.map(({ id, channel, side }): FitReason =>
      rankOn(variation.tags, channel) === 0
        ? { code: "ladder-and-trial", because: "asks-little" }
        : { code: "ceiling-unread", ceilingId: id, channel, side },
    ),
    ...complaints
      .filter((complaint) => !speaksFor(complaint, variation.tags, uses, ceilings))
      .map(({ id, site, side }): FitReason => ({
        code: "complaint-unmeasured",
        complaintId: id,
        site,
        side,
      })),
  ];
}
/** Where the model is silent the handbook's ladder and a trial dose choose: what was calm, what follows it, what asks little. */
function outsideTheModel({ complaints, calmRows, limits, today }: FitContext, { id, code, easier, tags }: Variation): FitReason {
  if (calmRows.includes(id)) return { code: "calm-before" };
  if (easier.some((below) => calmRows.includes(below))) return { code: "ladder-and-trial", because: "easier-was-calm" };
  if (asksLittle(complaints, tags)) return { code: "ladder-and-trial", because: "asks-little" };
  const isInstead = bindingLimits(limits, today).some(({ rule }) => rule.kind === "rows" && rule.instead.includes(code));
  return isInstead ? { code: "ladder-and-trial", because: "taken-instead" } : { code: "not-in-the-model" };
}

/** Something measured on that site and side: read here, or of a row that asks nothing of it. A trunk's lean means nothing lying down. */
function speaksFor({ site, side }: Complaint, tags: Tags, uses: readonly Use[], ceilings: FitContext["ceilings"]): boolean {
  const channels: readonly NumberChannelId[] = SPEAKS_FOR[site];
  if (channels.length === 0) return true;
  const isOf = (each: { channel: NumberChannelId; side: ChannelSide }): boolean =>
    channels.includes(each.channel) && (side === "both" || each.side === "both" || each.side === side);
  if (uses.some(isOf)) return true;
  return ceilings.some((ceiling) => isOf(ceiling) && (ceiling.channel === "trunkLean" || rankOf(tags, site) === 0));
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
  const limited = limitReasons(context, variation, asked, () => traitsOf(asked, variation, row.traits));
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

/** What can close a set-up, at its headline: what a search asks, many times over. */
export function glance(context: FitContext, variation: Variation, setting: Setting): Glance {
  const found = read(context, variation, setting, { channels: channelsThatClose(context), ...HEADLINE });
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
    ...unmeasured(context, variation, uses, unread, asked),
    ...(byCeiling && byCeiling.code !== "over-ceiling" ? [byCeiling] : []),
  ];
  const reasons = [...glanced.closing, ...open, ...found.standIns, ...notesOf(context, asked, uses)] as [FitReason, ...FitReason[]];
  return { ...glanced, state: stateOf(reasons[0]), reasons, uses };
}

function stateOf({ code }: FitReason): CandidateState {
  switch (code) {
    case "under-ceilings":
    case "calm-before":
      return "open";
    case "straddles-ceiling":
    case "ladder-and-trial":
      return "try";
    case "no-ceiling":
    case "not-in-the-model":
    case "limit-unread":
    case "complaint-unmeasured":
    case "ceiling-unread":
    case "ceiling-unusable":
      return "not-measured";
    default:
      return "closed";
  }
}
