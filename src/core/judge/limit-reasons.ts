import { ruledAs } from "../catalogue/traits";
import type { Tags, Variation } from "../catalogue/variation";
import type { ChannelSide } from "../mechanics/channels";
import { bindingLimits } from "../limits/limit";
import { isKnownTo } from "../known";
import type { Asked } from "../templates/ask";
import type { Setting } from "../templates/lever";
import type { Trait } from "../templates/template";
import { type BoundChannel, boundRead, isDrillOf } from "./bound-read";
import type { FitContext } from "./context";
import { SLACK } from "./use";
import type { FitReason } from "./fit-reason";

export function limitReasons(
  { limits, today, subject }: Pick<FitContext, "limits" | "today" | "subject">,
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
        if (isKnownTo(found, ({ high }) => high <= most + SLACK)) return [];
        // a drill goes to the end of the client's own range and stops there; what a person said has to be asked
        if (isDrillOf(variation, channel)) return owner.kind === "measure" ? [] : [{ code: "limit-unread", limitId }];
        if (!found.isKnown) return [{ code: "limit-unread", limitId }];
        return [{ code: "over-limit", limitId, channel, side: found.value.side, value: found.value.high, most }];
      }
      case "room": {
        const found = read("bellyRoom", "both");
        if (!found.isKnown) return [{ code: "limit-unread", limitId }];
        const valueDeg = found.value.low;
        return valueDeg >= rule.leastDeg - SLACK ? [] : [{ code: "room-short", limitId, valueDeg, leastDeg: rule.leastDeg }];
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
