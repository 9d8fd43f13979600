import type { Tags } from "../catalogue/variation";
import { CHANNELS_OF_SITE, isBack, MEASURED_SITES, type Site } from "../limits/complaint";
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
  const site = MEASURED_SITES.find((each) => CHANNELS_OF_SITE[each].includes(channel));
  return site ? rankOf(tags, site) : Infinity;
}
export const asksLittle = (sore: readonly { site: Site }[], tags: Tags): boolean =>
  Math.max(tags.knee, tags.back, tags.balance) <= TRIAL_UP_TO_RANK && sore.every(({ site }) => rankOf(tags, site) <= TRIAL_UP_TO_RANK);
