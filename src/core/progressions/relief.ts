import { onHand } from "../kit/equipment";
import { variationById } from "../catalogue/catalogue";
import type { Pattern, Variation } from "../catalogue/variation";
import { rangeOf, startSetting } from "../templates/form";
import { type LeverId, type Setting, withLever } from "../templates/lever";
import { seatAtKneeM } from "../templates/seat";
import type { FitContext, Place } from "../judge/context";
import { STATES } from "../judge/fit-reason";
import { glance, judge, type Judgement } from "../judge/judge";
import { snapSetting, valuesOn } from "../kit/on-hand";
import { askedOn, type Watched, watchedOf } from "./tread";

/** The ways a trainer takes weight off a joint. */
export type ReliefId = "seat" | "range" | "shared" | "counter" | "pole" | "rail" | "strap" | "band" | "ball" | "lower-step" | "water";
/** A way, and the row that it is taken by: by which of its levers, the rest at the depth of now. */
interface Way {
  id: ReliefId;
  rowId: string;
  by: LeverId | null;
}
/** Source of which rows these are: handbook C. The row in hand stands in where it has the lever. */
const WAYS: Readonly<Partial<Record<Pattern, readonly Way[]>>> = {
  squat: [
    { id: "seat", rowId: "raised-sit-to-stand", by: "seatHeightM" },
    { id: "counter", rowId: "counter-held-mini-squat", by: "handForceN" },
    { id: "pole", rowId: "box-squat-pole", by: "handForceN" },
    { id: "rail", rowId: "banister-held-squat", by: "handForceN" },
    { id: "strap", rowId: "strap-assisted-squat", by: "strapForceN" },
    { id: "band", rowId: "band-hung-squat", by: "kneeFlexionDeg" },
    { id: "ball", rowId: "ball-wall-squat", by: "kneeFlexionDeg" },
    { id: "range", rowId: "bodyweight-squat", by: "kneeFlexionDeg" },
    { id: "water", rowId: "pool", by: null },
  ],
  step: [
    { id: "lower-step", rowId: "low-step-up", by: "stepHeightM" },
    { id: "rail", rowId: "step-up-rail", by: "handForceN" },
    { id: "pole", rowId: "pole-step-down", by: "handForceN" },
    { id: "counter", rowId: "supported-small-lunge", by: "handForceN" },
    { id: "strap", rowId: "strap-lunge", by: "handForceN" },
    { id: "water", rowId: "pool", by: null },
  ],
};

/** Every way, and what each is brought down to: what is asked here, or the target use where that is more. */
export interface Reliefs {
  /** Of the tightest ceiling; null where the set-up in hand is under it already, or nothing was measured. */
  targetUseFraction: number | null;
  ways: readonly Relief[];
}
/** One way at the setting that asks as much of the watched joint as wanted, or what keeps it from that. */
export interface Relief {
  id: ReliefId;
  place: Place;
  judgement: Judgement;
  /** Demand over what is wanted, over the whole of its range; NaN where the model is silent. */
  ratio: number;
  /** It comes down to that; false: at its easiest it still asks more. */
  isMet: boolean;
  isInRoom: boolean;
}

/** Where a row begins at the knee bend of now, so that only the way itself differs. */
function atSameDepth({ subject }: FitContext, row: Variation, kneeDeg: number, share: number | undefined): Setting {
  const start = startSetting(subject, row);
  const [seat, knee] = [rangeOf(subject, row, "seatHeightM"), rangeOf(subject, row, "kneeFlexionDeg")];
  const within = (value: number, { min, max }: { min: number; max: number }): number => Math.min(max, Math.max(min, value));
  return {
    ...start,
    ...(seat && Number.isFinite(kneeDeg) ? { seatHeightM: within(seatAtKneeM(subject, kneeDeg), seat) } : {}),
    ...(knee && Number.isFinite(kneeDeg) ? { kneeFlexionDeg: within(kneeDeg, knee) } : {}),
    ...(share !== undefined && rangeOf(subject, row, "shareFraction") ? { shareFraction: share } : {}),
  };
}

const highestOn = ({ demands }: Pick<Judgement, "demands">, watched: Watched | null): number =>
  demands.find(({ channel, side }) => channel === watched?.channel && side === watched.side)?.high ?? NaN;

/** What a place may ask of the watched joint: at the best guess, and over all that is not known. */
interface Wanted {
  head: number;
  high: number;
}
/** Demand over what is wanted, by whichever of the two is the more; NaN where the model is silent. */
const ratioOf = (asked: Pick<Judgement, "demands">, watched: Watched, { head, high }: Wanted): number =>
  Math.max(askedOn(asked, watched) / head, highestOn(asked, watched) / high);
const isWithin = (ratio: number): boolean => ratio <= 1 + 1e-9;

/** The value of one lever that asks most without asking more than is wanted; where none does, the one that asks least. */
function solvedFor(context: FitContext, row: Variation, setting: Setting, lever: LeverId, watched: Watched, wanted: Wanted) {
  const range = rangeOf(context.subject, row, lever);
  if (!range) return null;
  const tried = valuesOn(context, row, range).flatMap((value) => {
    const at = withLever(setting, lever, value);
    const ratio = ratioOf(glance(context, row, at), watched, wanted);
    return Number.isNaN(ratio) ? [] : [{ setting: at, ratio }];
  });
  const under = tried.filter(({ ratio }) => isWithin(ratio));
  const by = (pick: typeof tried, isBetter: (a: number, b: number) => boolean) =>
    pick.reduce<(typeof tried)[number] | null>((best, each) => (best === null || isBetter(each.ratio, best.ratio) ? each : best), null);
  return by(under, (a, b) => a > b) ?? by(tried, (a, b) => a < b);
}

/**
 * Every way to take weight off the joint that is tightest here, each at the setting that gives the same relief: what is
 * in the room first, and by how near it comes. Past the target use all come down to it. None for a pattern whose weight
 * is not taken off so.
 */
export function waysOff(context: FitContext, here: Place): Reliefs {
  const row = variationById(here.variationId);
  const now = judge(context, row, here.setting, "closing");
  const watched = watchedOf(now);
  const kneeDeg = askedOn(now, { channel: "kneeFlexion", side: context.subject.leadSide });
  const { tightest } = now;
  const isOver = tightest !== null && tightest.head > context.targetUseFraction;
  const asked = askedOn(now, watched);
  // past the target: down to it, and nothing of what is not known past the ceiling itself
  const wanted = isOver
    ? { head: (asked * context.targetUseFraction) / tightest.head, high: asked / tightest.head }
    : { head: asked, high: highestOn(now, watched) };
  const own = rangeOf(context.subject, row, "shareFraction");
  const ways: Way[] = [
    ...(WAYS[row.pattern] ?? []),
    ...(own && row.pattern === "squat" ? [{ id: "shared" as const, rowId: row.id, by: "shareFraction" as const }] : []),
  ];
  const found = ways.flatMap(({ id, rowId, by }): Relief[] => {
    const way = variationById(rowId);
    const legShare = id === "shared" ? undefined : here.setting.shareFraction;
    const depth = id === "shared" ? { ...here.setting, loadKg: here.setting.loadKg ?? 0 } : atSameDepth(context, way, kneeDeg, legShare);
    const solved = by && watched ? solvedFor(context, way, snapSetting(context, way, depth), by, watched, wanted) : null;
    const setting = solved?.setting ?? snapSetting(context, way, depth);
    const judgement = judge(context, way, setting, "closing");
    return [
      {
        id,
        place: { variationId: way.id, setting },
        judgement,
        ratio: solved?.ratio ?? NaN,
        isMet: solved !== null && isWithin(solved.ratio),
        isInRoom: onHand(way.equipment, context.kit.equipment).missing.length === 0,
      },
    ];
  });
  // what may be trained first, then what is here, then what comes down so far
  const rank = ({ judgement: { state }, isInRoom, isMet, ratio }: Relief): number =>
    4 * STATES.indexOf(state) + (isInRoom ? 0 : 2) + (isMet ? 0 : 1) + (Number.isNaN(ratio) ? 0.5 : 0);
  return { targetUseFraction: isOver ? context.targetUseFraction : null, ways: found.toSorted((a, b) => rank(a) - rank(b)) };
}
