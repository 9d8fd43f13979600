import { bindingLimits } from "../limits/limit";
import { type Demand, LOAD_CHANNELS, type NumberChannelId } from "../mechanics/channels";
import { unmeasured } from "./unmeasured";
import { onHand } from "../kit/equipment";
import { ruledAs, traitsOfRow, traitsOfSetting } from "../catalogue/traits";
import type { Tags, Variation } from "../catalogue/variation";
import { isSparedSite } from "../limits/complaint";
import { LOADS_SITE } from "../limits/spared.data";
import { BACK_ACTION_N, backRailN, RAIL_CHANNELS, railOf } from "../limits/rails";
import { oncePer } from "../once";
import { leftOutBy } from "../approach/approach";
import { ask, type Asked, HEADLINE, type Wanted, WHOLE } from "../templates/ask";
import { templateOf } from "../templates/form";
import type { Setting } from "../templates/lever";
import type { Trait } from "../templates/template";
import { assembledFor } from "../kit/assemble";
import type { FitContext } from "./context";
import { SLACK, tightest, type Use, usesOf } from "./use";
import { type CandidateState, type FitReason, stateOf } from "./fit-reason";
import { limitReasons } from "./limit-reasons";

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
  const limited = limitReasons(context, variation, setting, asked, () => [
    ...traitsOf(asked, variation, row.traits),
    ...traitsOfSetting(variation, setting),
  ]);
  const forbidden = limited.filter(({ code }) => code !== "limit-unread");
  const closing: FitReason[] = [
    ...forbidden,
    ...row.ofItself,
    ...railReasons(context, variation, asked.demands),
    ...(wanted.along ? counterweightReason(context, variation, setting) : []), // a pose more to solve: not at the first look
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

/** How closely a set-up is looked at: over its whole range, at the headline along the movement, or at the headline of its last pose. */
export type Look = "whole" | "headline" | "end";
const WANTED: Readonly<Record<Look, Omit<Wanted, "channels">>> = {
  whole: WHOLE,
  headline: HEADLINE,
  end: { range: false, along: false },
};

/**
 * What can close a set-up, over its whole range as in a full judgement. Looked at less closely, as a search does first, it
 * passes whatever the whole range passes, and sometimes more.
 */
export function glance(context: FitContext, variation: Variation, setting: Setting, look: Look = "whole"): Glance {
  const found = read(context, variation, setting, { channels: channelsThatClose(context), ...WANTED[look] });
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
