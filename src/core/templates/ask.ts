import {
  CHANNELS,
  CHANNELS_OF,
  type Demand,
  isLeast,
  leastTrust,
  type NumberChannelId,
  otherSide,
  type PartTrust,
  type RankChannelId,
  refusalOf,
  type TemplateKind,
  type Trust,
  trustUnder,
} from "../mechanics/channels";
import type { Depth } from "../mechanics/standing.types";
import { type Reading, readingOf } from "../known";
import { oncePer } from "../once";
import { type Form, parametersOf, templateOf, valuesOf } from "./form";
import { toKnee } from "./hands";
import type { Setting } from "./lever";
import { readBridge, readLever, readPress, type ReadResult, StandingReader } from "./read";
import type { SetUp, StandingSetUp } from "./set-up";
import type { Subject, Trait } from "./template";

/** How much of a set-up is wanted. */
export interface Wanted {
  /** Only these channels; all that mean something here otherwise. */
  channels?: readonly NumberChannelId[];
  /** Around the headline, what the geometry leaves open; a search goes without. */
  range: boolean;
  /** At its worst along the movement, or only at the pose that the levers set. */
  along: boolean;
}
export const WHOLE: Wanted = { range: true, along: true };
export const AT_THE_POSE: Wanted = { range: true, along: false };
export const HEADLINE: Wanted = { range: false, along: true };

/** What a set-up asks of every channel and side, or why there is no such pose. */
export type Asked =
  | {
      ok: true;
      demands: Demand[];
      ranks: Partial<Record<RankChannelId, number>>;
      traits: readonly Trait[];
      isAnkleLimited: boolean;
      /** Nothing of it is in the model. */
      isUnmodelled: boolean;
    }
  | { ok: false; reason: string };

/** One way the same set-up may be done: the headline, an end of an unmeasured share, or what else the geometry allows. */
interface Way {
  isHead: boolean;
  read: (at: number) => ReadResult;
}

function standingWays({ body, heads, bounds, isDepth }: StandingSetUp, range: boolean): Way[] {
  const way =
    (isHead: boolean) =>
    (setting: StandingSetUp["heads"][number]): Way => {
      const reader = new StandingReader(body, setting);
      let endDeg = NaN;
      const depthAt = (at: number): Depth => (isDepth && at < 1 ? toKnee(endDeg * at) : setting.depth);
      return {
        isHead,
        read: (at) => {
          const result = reader.read(depthAt(at));
          if (result.ok && at === 1) endDeg = result.kneeDeg("lead");
          return result;
        },
      };
    };
  return [...heads.map(way(true)), ...(range ? bounds().map(way(false)) : [])];
}

function waysOf(setUp: SetUp, range: boolean): Way[] {
  switch (setUp.by) {
    case "standing":
      return standingWays(setUp, range);
    case "bridge": {
      const { body, heads, bounds, setS } = setUp;
      const way = (isHead: boolean) => (setting: (typeof heads)[number]) => ({ isHead, read: () => readBridge(body, setting, setS) });
      return [...heads.map(way(true)), ...(range ? bounds().map(way(false)) : [])];
    }
    case "leg-press":
      return setUp.heads.map((setting) => ({ isHead: true, read: () => readPress(setUp.body, setting) }));
    case "lever":
      return [{ isHead: true, read: () => readLever(setUp) }];
    case "none":
      return [];
  }
}

function trustOf(setUp: SetUp, kneeDeg: number): Trust | PartTrust {
  if (setUp.by === "standing") return setUp.trust(kneeDeg);
  return setUp.by === "lever" ? setUp.trust : "B";
}

/** A channel that is asked for, its table looked up once. */
interface Read {
  channel: NumberChannelId;
  isSided: boolean;
  /** Worst where it is least: room. */
  isLeast: boolean;
}
const readOf = (channel: NumberChannelId): Read => ({ channel, isSided: CHANNELS[channel].sided, isLeast: isLeast(channel) });
const READS_OF = Object.fromEntries(
  Object.entries(CHANNELS_OF).map(([kind, channels]) => [kind, channels.map(readOf)]),
) as unknown as Readonly<Record<TemplateKind, readonly Read[]>>;

/** A search asks for the same few channels of many set-ups. */
const readsAmong = oncePer((wanted: readonly NumberChannelId[]): typeof READS_OF => {
  const among = (kind: TemplateKind): readonly Read[] => READS_OF[kind].filter(({ channel }) => wanted.includes(channel));
  return Object.fromEntries((Object.keys(READS_OF) as TemplateKind[]).map((kind) => [kind, among(kind)])) as unknown as typeof READS_OF;
});

/** Whatever a channel's worst is so far: the most, or for room the least. NaN is nothing yet. */
const worse = ({ isLeast }: Read, a: number, b: number): number =>
  Number.isNaN(a) ? b : Number.isNaN(b) ? a : isLeast ? Math.min(a, b) : Math.max(a, b);

/** Worst values of one way along the movement, for both legs. */
interface Worst {
  isHead: boolean;
  lead: number[];
  trail: number[];
}
/** The same way with the legs changed about. */
const changedAbout = ({ isHead, lead, trail }: Worst, reads: readonly Read[]): Worst => ({
  isHead,
  lead: reads.map(({ isSided }, c) => (isSided ? trail : lead)[c]!),
  trail: lead,
});

/**
 * What a form in one set-up asks, channel by channel and side by side (docs/equations.md E15): each way it may be done
 * is followed along the movement and its worst is kept; the headline is the larger of the heads, the range spans all.
 */
export function ask(subject: Subject, form: Form, setting: Setting, wanted: Wanted): Asked {
  const template = templateOf(form);
  const [parameters, values] = [parametersOf(form), valuesOf(subject, form, setting)];
  const traits = template.traits(parameters, values);
  const setUpAt = template.set(subject, parameters, values);
  const reads = wanted.channels ? readsAmong(wanted.channels)[template.kind] : READS_OF[template.kind];
  const samples = wanted.along ? template.samples : AT_THE_END;

  const worst: Worst[] = [];
  const kneeDeg = { lead: -Infinity, trail: -Infinity };
  let [ranks, isAnkleLimited]: [Partial<Record<RankChannelId, number>>, boolean] = [{}, false];
  let end: SetUp | null = null;
  let ways: Way[] = [];
  for (const at of samples) {
    // a movement along the depth is one set-up at many depths; any other is set up anew on the way
    if (!(end?.by === "standing" && end.isDepth)) {
      const setUp = setUpAt(at);
      if (setUp.by === "impossible") {
        if (at === 1) return { ok: false, reason: setUp.reason };
        continue;
      }
      end ??= setUp;
      ways = waysOf(setUp, wanted.range);
    }
    for (let i = 0; i < ways.length; i++) {
      const { isHead, read } = ways[i]!;
      const reading = read(at);
      if (!reading.ok) {
        if (at === 1 && isHead) return reading;
        continue;
      }
      const so = (worst[i] ??= { isHead, lead: reads.map(() => NaN), trail: reads.map(() => NaN) });
      for (let c = 0; c < reads.length; c++) {
        const each = reads[c]!;
        so.lead[c] = worse(each, so.lead[c]!, reading.value(each.channel, "lead"));
        if (each.isSided) so.trail[c] = worse(each, so.trail[c]!, reading.value(each.channel, "trail"));
      }
      if (!isHead) continue;
      kneeDeg.lead = Math.max(kneeDeg.lead, reading.kneeDeg("lead"));
      kneeDeg.trail = Math.max(kneeDeg.trail, reading.kneeDeg("trail"));
      if (at === 1 && i === 0) [ranks, isAnkleLimited] = [reading.ranks, reading.isAnkleLimited];
    }
  }
  if (!end) return { ok: false, reason: "no-pose" };
  const found = worst.filter(Boolean);
  const all = "isEitherLeg" in end && end.isEitherLeg ? [...found, ...found.map((each) => changedAbout(each, reads))] : found;
  const demands = demandsOf(subject, reads, all, kneeDeg, trustOf(end, kneeDeg.lead));
  return { ok: true, demands, ranks, traits, isAnkleLimited, isUnmodelled: end.by === "none" };
}
const AT_THE_END = [1] as const;
const BOTH_LEGS = ["lead", "trail"] as const;
const ONE_FOR_BOTH = ["lead"] as const;

function demandsOf(
  { leadSide }: Subject,
  reads: readonly Read[],
  worst: readonly Worst[],
  kneeDeg: { lead: number; trail: number },
  trust: Trust | PartTrust,
): Demand[] {
  const demands: Demand[] = [];
  for (let c = 0; c < reads.length; c++) {
    const read = reads[c]!;
    const { channel, isSided } = read;
    const sure = trustUnder(channel, trust);
    for (const leg of isSided ? BOTH_LEGS : ONE_FOR_BOTH) {
      let low = NaN;
      let head = NaN;
      let high = NaN;
      for (const way of worst) {
        const value = way[leg][c]!;
        if (Number.isNaN(value)) continue;
        if (way.isHead) head = worse(read, head, value);
        low = Number.isNaN(low) ? value : Math.min(low, value);
        high = Number.isNaN(high) ? value : Math.max(high, value);
      }
      if (Number.isNaN(head)) continue;
      const side = !isSided ? "both" : leg === "lead" ? leadSide : otherSide(leadSide);
      const refused = refusalOf(channel, kneeDeg[leg]);
      demands.push({ channel, side, low, head, high, trust: refused ? leastTrust(sure, "C") : sure, ...(refused ? { refused } : {}) });
    }
  }
  return demands;
}

/** What one channel on one side is asked; not measured where there is no pose, or nothing reads it. */
export const demandOn = (asked: Asked, channel: NumberChannelId, side: Demand["side"]): Reading<Demand> =>
  readingOf(asked.ok ? asked.demands.find((demand) => demand.channel === channel && demand.side === side) : undefined);
