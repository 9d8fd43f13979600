import { ruledAs } from "../catalogue/traits";
import type { Rank, Variation } from "../catalogue/variation";
import { isKnownTo, known, NOT_MEASURED, type Reading } from "../known";
import { CHANNELS_OF_SITE, isBack, isSparedSite, MEASURED_SITES, type Site } from "../limits/complaint";
import { LOADS_SITE } from "../limits/spared.data";
import type { CeilingChannelId } from "../mechanics/channels";

/** What a row's own tags say of it, where the body model is silent. */
type Tagged = Pick<Variation, "tags" | "code" | "basedOn">;

/** More of a complaint's joint than this, by the row's tag, and a trial alone does not choose. */
const TRIAL_UP_TO_RANK = 1;
/**
 * What a row's tags say of a complaint's joint. There is none for the hip: the more one leg carries, the more it asks. Of a
 * place that nobody named, nothing is known.
 */
export function rankOf(row: Tagged, site: Site): Reading<Rank> {
  const { knee, back, legs, position } = row.tags;
  if (site === "knee" || site === "kneecap") return known(knee);
  if (isBack(site)) return known(back);
  if (site === "hip") return known(position !== "standing" ? 0 : legs === "two" ? 1 : 2);
  return isSparedSite(site) ? known(LOADS_SITE[site].includes(ruledAs(row)) ? 3 : 0) : NOT_MEASURED;
}
/** The same by the channel that a ceiling is on. */
export function rankOn(row: Tagged, channel: CeilingChannelId): Reading<Rank> {
  const site = MEASURED_SITES.find((each) => CHANNELS_OF_SITE[each].includes(channel));
  return site ? rankOf(row, site) : NOT_MEASURED;
}
export const asksNothing = (rank: Reading<Rank>): boolean => isKnownTo(rank, (value) => value === 0);
export const asksLittle = (row: Tagged, sites: readonly Site[]): boolean =>
  Math.max(row.tags.knee, row.tags.back, row.tags.balance) <= TRIAL_UP_TO_RANK &&
  sites.every((site) => isKnownTo(rankOf(row, site), (rank) => rank <= TRIAL_UP_TO_RANK));
