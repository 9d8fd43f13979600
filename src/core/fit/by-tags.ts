import type { Tags, Variation } from "../catalogue/variation";
import { CHANNELS_OF_SITE, type Complaint, isBack, type Site } from "../limits/complaint";
import type { LimitChannelId } from "../limits/limit";
import type { CeilingChannelId } from "../mechanics/channels";

/** What a row's own tags say of it, where the body model is silent. */

/** More of a complaint's joint than this, by the row's tag, and a trial alone does not choose. */
const TRIAL_UP_TO_RANK = 1;
/** What a row's tags say of a complaint's joint. There is none for the hip: the more one leg carries, the more it asks. */
export function rankOf({ knee, back, legs, position }: Tags, site: Site): number {
  if (site === "knee" || site === "kneecap") return knee;
  if (isBack(site)) return back;
  if (site === "hip") return position !== "standing" ? 0 : legs === "two" ? 1 : 2;
  return 0;
}
/** The same by the channel that a ceiling is on. */
export function rankOn(tags: Tags, channel: CeilingChannelId): number {
  const site = (Object.keys(CHANNELS_OF_SITE) as Site[]).find((each) => CHANNELS_OF_SITE[each].includes(channel));
  return site ? rankOf(tags, site) : Infinity;
}
export const asksLittle = (complaints: readonly Complaint[], tags: Tags): boolean =>
  Math.max(tags.knee, tags.back, tags.balance) <= TRIAL_UP_TO_RANK &&
  complaints.every(({ site }) => rankOf(tags, site) <= TRIAL_UP_TO_RANK);

/** What a row outside the model leaves alone by its own tags; where they do not say so, a limit on it is not read. */
export function leavesAlone(
  { pattern, tags, trains, kneeBendsAtMostDeg = Infinity }: Variation,
  channel: LimitChannelId | "bellyRoom",
  most = 0,
): boolean {
  const { knee, back, isForPregnancy = false } = tags;
  switch (channel) {
    case "kneeFlexion":
      return kneeBendsAtMostDeg <= most || (knee === 0 && !trains["knee-range"]);
    case "shankLean":
      return knee === 0 && !trains["knee-range"];
    case "hipFlexion":
    case "trunkLean":
      return back === 0 && !trains["hip-range"];
    case "spineLoad":
      return back === 0;
    case "bellyRoom":
      return isForPregnancy || (pattern === "helper" && back <= TRIAL_UP_TO_RANK && !trains["hip-range"]);
    case "handWeight":
    case "legWeight":
      return false;
  }
}
