import type { Variation } from "../catalogue/variation";
import type { ChannelSide, NumberChannelId, Side } from "../mechanics/channels";
import { isMeasuredSite, type LimitedBy, SPEAKS_FOR } from "../limits/complaint";
import { bindingLimits } from "../limits/limit";
import type { Asked } from "../templates/ask";
import { isLoad } from "../templates/form";
import type { LeverId, Setting } from "../templates/lever";
import { asksLittle, asksNothing, rankOf, rankOn } from "./by-tags";
import type { FitContext } from "./context";
import { SLACK, type Use } from "./use";
import type { FitReason } from "./fit-reason";

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
export function unmeasured(
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
      asksNothing(rankOn(variation, channel))
        ? { code: "ladder-and-trial", because: "asks-little" }
        : { code: "ceiling-unread", ceilingId: id, channel, side },
    ),
    ...sore.filter((each) => !speaksFor(each, variation, uses, ceilings)).map((each) => each.unmeasured),
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
function outsideTheModel({ complaints, calmRows, limits, today }: FitContext, sore: readonly Sore[], variation: Variation): FitReason {
  const { id, code, easier } = variation;
  const sites = [...complaints, ...sore].map(({ site }) => site);
  if (calmRows.includes(id)) return { code: "calm-before" };
  if (easier.some((below) => calmRows.includes(below))) return { code: "ladder-and-trial", because: "easier-was-calm" };
  const named = sites.filter((site) => site !== "other");
  if (asksLittle(variation, named))
    return { code: "ladder-and-trial", because: named.length < sites.length ? "place-unknown" : "asks-little" };
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
  variation: Variation,
  uses: readonly Use[],
  ceilings: FitContext["ceilings"],
): boolean {
  const channels: readonly NumberChannelId[] = SPEAKS_FOR[site];
  const isRead = (each: { channel: NumberChannelId; side: ChannelSide }, own: ChannelSide): boolean =>
    channels.includes(each.channel) && (each.side === "both" || each.side === own);
  return (side === "both" ? BOTH : [side]).every(
    (own) =>
      uses.some((use) => isRead(use, own)) ||
      ceilings.some((ceiling) => isRead(ceiling, own) && (ceiling.channel === "trunkLean" || asksNothing(rankOf(variation, site)))),
  );
}
