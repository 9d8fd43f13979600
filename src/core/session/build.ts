import { bindingLimits } from "../limits/limit";
import { CATALOGUE, variationByCode, variationById } from "../catalogue/catalogue";
import { groupOf } from "../catalogue/rows/row";
import type { Dose, Variation } from "../catalogue/variation";
import { HOLD_FROM_S } from "../dose/dose";
import { type Purpose, proposedDose } from "../dose/purpose";
import { sideDoses, sideRuleOf } from "../dose/sides";
import type { FitContext, Place } from "../judge/context";
import { fitCatalogue, firstOf } from "../progressions/list";
import { fitVariation } from "../progressions/search";
import type { Side } from "../mechanics/channels";
import { SCREEN_RULES } from "../screen/rules.data";
import { parametersOf, templateOf } from "../templates/form";
import { type Part, PARTS } from "../dose/part";
import { activationPart, drillsBy, hasTrunkFirst, kneeWorkBy, sideHipDose } from "./by-approach";
import { countsAs, inOrder, NEEDED, type SessionItem, type SessionOrder, trimmed, type WeakLink } from "./session";
import { skeletonById } from "./skeletons.data";

/** What a session is built from. */
export interface SessionAsked {
  minutes: number;
  purpose: Purpose;
  skeletonId: string | null;
  weak: WeakLink;
  weakSide: Side | "both" | null;
  /** What is planned already: it is taken before anything new. */
  planned: readonly (Place & { dose?: Dose })[];
  sessionNumber: number;
  /** Joints whose measured range falls short: their drills come first. */
  stiff?: readonly ("ankle" | "hip")[];
}
export interface BuiltSession {
  items: SessionItem[];
  /** Left out for want of minutes, the first to go first. */
  dropped: SessionItem[];
  /** Stations of the skeleton that nothing open fills. */
  unfilled: readonly (readonly string[])[];
  rounds: number;
}

/** Where a row stands in a session, from what it is. */
export function partOf(row: Variation): Part {
  if (row.pattern !== "helper") return ACTIVATING.includes(row.code) ? "activation" : "main";
  switch (groupOf(row)) {
    case "heart":
      return "warm-up";
    case "range":
      return "mobility";
    case "side-hip":
      return FINISHING.includes(row.code) ? "finish" : "activation";
    case "knee":
      return "activation";
    default:
      return "accessory";
  }
}
const ACTIVATING = ["H04", "H03"];
const FINISHING = ["A10", "A11", "A12", "A18"];

/** Minutes of warm-up, shorter where friction flares a replaced knee. Source: handbook B2, 2. */
const WARM_UP_S = { usual: 240, short: 120 };
const orderOf = (context: FitContext): SessionOrder =>
  (context.school.positions["session-order"] as SessionOrder | undefined) ?? "weak-first";

function itemFor(context: FitContext, row: Variation, asked: SessionAsked): SessionItem {
  const planned = asked.planned.find(({ variationId }) => variationId === row.id);
  const setting = planned?.setting ?? fitVariation(context, row).setting;
  const isFirst = !context.calmRows.includes(row.id);
  const part = partOf(row);
  const isHold = row.dose.tempo.pauseS >= HOLD_FROM_S;
  const { dose } =
    (part === "main" || part === "accessory") && !isHold
      ? proposedDose(row, asked.purpose, { isFirst, school: context.school })
      : { dose: isFirst ? { ...row.dose, repetitionsHigh: row.dose.repetitionsLow } : row.dose };
  const isShort = context.complaints.some(({ site }) => site === "knee") && row.code.startsWith("E");
  const timed = planned?.dose
    ? planned.dose
    : part === "warm-up"
      ? {
          ...dose,
          setCount: 1,
          repetitionsLow: 1,
          repetitionsHigh: 1,
          tempo: { lowerS: 0, pauseS: 0, riseS: isShort ? WARM_UP_S.short : WARM_UP_S.usual },
        }
      : part === "activation"
        ? { ...dose, setCount: 1, repetitionsHigh: dose.repetitionsLow } // light before: it wakes, it does not spend
        : dose;
  const isFull = part === "main" || part === "accessory" || part === "finish";
  const given = planned?.dose || isFirst || !isFull ? timed : sideHipDose(context.school, row, timed);
  const isApart = !templateOf(row).isEven(parametersOf(row)) || row.tags.legs === "one";
  const good = { setCount: given.setCount, repetitions: given.repetitionsHigh };
  return {
    id: row.id,
    variationId: row.id,
    setting,
    part: part === "activation" ? activationPart(context.school) : part,
    ...(planned ? { isKept: true as const } : {}),
    dose: given,
    sides: isApart && part !== "warm-up" ? sideDoses(good, asked.weakSide, sideRuleOf(context.school), asked.sessionNumber) : [],
  };
}

/** The first row of a station that is open here today, or worth a try. */
function filling(context: FitContext, codes: readonly string[]): Variation | null {
  for (const state of ["open", "try"] as const) {
    const row = codes.flatMap((code) => variationByCode(code) ?? []).find((each) => fitVariation(context, each).state === state);
    if (row) return row;
  }
  return null;
}

const HARD = ["E05", "E01", "E08"];
const HELD = ["T01", "T02", "T03"];
const HARD_S = 30;
/**
 * Half a minute hard, half a minute holding still, round by round: two items in turn, the first of each that is open
 * here. Null where nothing is. Source: handbook D3, 70.
 */
export function hardAndHold(context: FitContext): [SessionItem, SessionItem] | null {
  const rows = [HARD, HELD].map((codes) => filling(context, codes));
  const [hard, held] = rows;
  if (!hard || !held) return null;
  const timed = (row: Variation, restS: number, tempo: SessionItem["dose"]["tempo"]): SessionItem => ({
    id: `${row.id} in turn`,
    variationId: row.id,
    setting: fitVariation(context, row).setting,
    part: "conditioning",
    dose: { setCount: HARD_ROUNDS, repetitionsLow: 1, repetitionsHigh: 1, tempo, restS },
    sides: [],
  });
  return [
    { ...timed(hard, 0, { lowerS: 0, pauseS: 0, riseS: HARD_S }), pairedWithNext: true },
    timed(held, HARD_S, { lowerS: 0, pauseS: HARD_S, riseS: 0 }),
  ];
}
const HARD_ROUNDS = 4;

/** The mainstream's session where no skeleton is named: warm-up, a drill, activation, each pattern, and an end. */
function usualRows(context: FitContext, asked: SessionAsked): Variation[] {
  const planned = asked.planned.map(({ variationId }) => variationById(variationId));
  const best = (["squat", "hinge", "bridge", "step"] as const).flatMap((pattern) => {
    if (planned.some((row) => row.pattern === pattern)) return [];
    const found = firstOf(
      fitCatalogue(
        context,
        CATALOGUE.filter((row) => row.pattern === pattern && partOf(row) === "main"),
      ).filter(({ state }) => state === "open" || state === "try"),
    );
    return found ? [variationById(found.variationId)] : [];
  });
  const helpers = [
    ["E01", "E03", "E08"],
    ...drillsBy(context.school, asked.stiff ?? []),
    ...kneeWorkBy(context.school),
    ["T08", "T03", "T01"],
    ["A10", "A18"],
  ].flatMap((codes) => filling(context, codes) ?? []);
  return [...planned, ...best, ...helpers];
}

/**
 * What a school's order adds or leaves out: four patterns and no more; the trunk where nothing drops it; the knee's last
 * degrees at both ends. Sources: handbook D5, 86 and 89, and E4, 4.
 */
function bySchool(items: SessionItem[], order: SessionOrder, context: FitContext, asked: SessionAsked): SessionItem[] {
  const made = (codes: readonly string[], part: Part, id = ""): SessionItem[] => {
    const row = filling(context, codes);
    return row ? [{ ...itemFor(context, row, asked), part, ...(id ? { id: `${row.id} ${id}` } : {}) }] : [];
  };
  const without = (more: readonly SessionItem[]) =>
    items.filter((item) => !more.some(({ variationId }) => variationId === item.variationId));
  switch (order) {
    case "four-patterns": {
      const sideHip = made(["A10", "A05", "A06"], "main");
      const main = [...without(sideHip).filter(({ part }) => part === "main"), ...sideHip];
      const one = NEEDED.flatMap((kind) => main.find(({ variationId }) => countsAs(variationById(variationId)) === kind) ?? []);
      return [...items.filter(({ part }) => part === "warm-up"), ...one];
    }
    case "core-every-session": {
      const trunk = made(["T01", "T03", "T08"], "main");
      const at = items.findIndex(({ part }) => PARTS.indexOf(part) >= PARTS.indexOf("main"));
      const others = without(trunk);
      return at < 0 ? [...others, ...trunk] : [...others.slice(0, at), ...trunk, ...others.slice(at)];
    }
    case "extension-both-ends": {
      const first = made(TERMINAL_EXTENSION, "activation");
      const warm = items.filter(({ part }) => part === "warm-up");
      return [...warm, ...first, ...without([...warm, ...first]), ...made(TERMINAL_EXTENSION, "finish", "again")];
    }
    default:
      return items;
  }
}
const TERMINAL_EXTENSION = ["K05", "K06"];

/** Rules that wait for a measure and name what leads to it: straight and bent enough after a replacement, before strength. */
const LEADING = SCREEN_RULES.flatMap(({ id, untilMeasured, limit }) =>
  untilMeasured === "straight-and-bend" && limit?.kind === "rows" ? [{ id, instead: limit.instead }] : [],
);
const MOST_LEADING = 2;
/** What a rule of a condition says comes first, as far as it is open here: the session begins with it. */
function comesFirst(context: FitContext, asked: SessionAsked): SessionItem[] {
  const inForce = bindingLimits(context.limits, context.today).map(({ owner }) => owner.name);
  const codes = LEADING.flatMap(({ id, instead }) => (inForce.includes(id) ? instead : []));
  const open = codes.flatMap((code) => {
    const row = filling(context, [code]);
    return row ? [row] : [];
  });
  return [...new Set(open)].slice(0, MOST_LEADING).map((row) => ({ ...itemFor(context, row, asked), part: "warm-up" }));
}

/**
 * A session for this client in this room: what is planned first, then the named skeleton or the mainstream's parts, in
 * the school's order, cut to the minutes there are.
 */
export function buildSession(context: FitContext, asked: SessionAsked): BuiltSession {
  const skeleton = asked.skeletonId === null ? undefined : skeletonById(asked.skeletonId);
  const stations = skeleton?.stations.map((codes) => ({ codes, row: filling(context, codes) })) ?? [];
  const rows = skeleton ? stations.flatMap(({ row }) => row ?? []) : usualRows(context, asked);
  const made = [...new Set(rows)].map((row) => itemFor(context, row, asked));
  const order = orderOf(context);
  const gated = made.map((item, i) => (skeleton?.isGated && i > 0 ? { ...item, waits: true as const } : item));
  const first = comesFirst(context, asked);
  const others = gated.filter(({ variationId }) => !first.some((item) => item.variationId === variationId));
  const inTurn = skeleton ? others : bySchool(inOrder(others, order, asked.weak), order, context, asked);
  const isTrunkAdded = !skeleton && hasTrunkFirst(context.school) && order !== "core-every-session";
  const ordered = [...first, ...(isTrunkAdded ? bySchool(inTurn, "core-every-session", context, asked) : inTurn)];
  const rounds = skeleton?.rounds ?? 1;
  const { items, dropped } = trimmed(ordered, (asked.minutes * 60) / rounds);
  return { items, dropped, unfilled: stations.filter(({ row }) => !row).map(({ codes }) => codes), rounds };
}
