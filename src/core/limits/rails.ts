import type { NumberChannelId } from "../mechanics/channels";
import type { TemplateId } from "../templates/template";

/** What makes a low back one to be careful with. */
export type Careful = "back" | "bone-thinning" | "pregnancy";

/** Bends that no proposal goes past unless this client's measured range or calm history says more. */
export const RAILS = { hipFlexion: 125, trunkLean: 60, kneeFlexion: 130 } as const satisfies Partial<Record<NumberChannelId, number>>;
export type RailChannelId = keyof typeof RAILS;
export const RAIL_CHANNELS = Object.keys(RAILS) as RailChannelId[];

/** Low-back compression, N: the action limit of manual-lifting guidance, and the maximum it names (docs/sources.md). */
export const BACK_ACTION_N = 3400;
export const BACK_MOST_N = 6400;

/** A hinge is made of trunk lean: no rail there. */
const isFree = (template: TemplateId, channel: RailChannelId): boolean => template === "hinge" && channel === "trunkLean";

/** The most a proposal may reach on a channel: the rail, or what is known to be this client's own. */
export const railOf = (template: TemplateId, channel: RailChannelId, own: Partial<Record<RailChannelId, number>>): number =>
  isFree(template, channel) ? Infinity : Math.max(RAILS[channel], own[channel] ?? 0);
/** The most a low back may be asked in a proposal; for anyone without a reason for care the first bound is only a word. */
export const backRailN = (careful: readonly Careful[]): number => (careful.length > 0 ? BACK_ACTION_N : BACK_MOST_N);
