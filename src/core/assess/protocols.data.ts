import type { Site } from "../limits/complaint";
import type { RuleSource } from "../screen/rules.data";
import type { Trait } from "../templates/template";

export const QUANTITIES = ["count", "seconds", "degrees", "metres", "speed", "score", "fingers", "share", "choice"] as const;
export type Quantity = (typeof QUANTITIES)[number];
export const PROTOCOL_GROUPS = ["rise", "balance", "step", "foot", "range", "back", "trunk", "size", "walk"] as const;

/** A height, weight or distance that makes two results comparable or not, SI; `standIn` is 1 where nothing was really measured. */
export const SET_UP_KEYS = ["seatHeightM", "stepHeightM", "loadKg", "distanceM", "standIn"] as const;
export type SetUpKey = (typeof SET_UP_KEYS)[number];
export type SetUp = Readonly<Partial<Record<SetUpKey, number>>>;
export const SET_UP_LIMITS: Readonly<Record<SetUpKey, { min: number; max: number }>> = {
  seatHeightM: { min: 0.2, max: 0.9 },
  stepHeightM: { min: 0.03, max: 0.45 },
  loadKg: { min: 1, max: 60 },
  distanceM: { min: 2, max: 40 },
  standIn: { min: 0, max: 1 },
};

/** Why a protocol may be one of the five for a client. The weights are our own order. */
export type PickedFor = { weight: number } & (
  | { kind: "condition"; id: string }
  | { kind: "site"; id: Site }
  | { kind: "age"; from: number }
  | { kind: "task"; id: "seat" | "step" }
);

/** One way to measure one thing the same way twice. Its words are in src/words. */
export interface Protocol {
  id: string;
  group: (typeof PROTOCOL_GROUPS)[number];
  quantity: Quantity;
  isSided: boolean;
  /** Which way is better; null where neither is. */
  better: "more" | "less" | null;
  /** Past these it is a slip of the pen. */
  min: number;
  max: number;
  /** Outside these it is asked about, and kept if it is so. */
  belief: readonly [low: number, high: number];
  timer?: { kind: "down"; fromS: number } | { kind: "up"; mostS?: number };
  /** Best of so many. */
  trials?: number;
  /** Of a choice: words in order; the value is its place. Of a score: what counts one each, where it is a list. */
  options?: readonly string[];
  setUp?: SetUp;
  /** Tires or loads: not before the questions on Screen are answered. */
  isEffort: boolean;
  trait?: Trait;
  /** The whole weight on one leg: not early after a repair or a replacement. */
  onOneLeg?: true;
  /** Least difference that is not the measurement's own error. */
  change: { least: number; source: RuleSource } | null;
  retestWeeks: number;
  /** Sooner for some: early range is won or lost in weeks. Ours. */
  soonerFor?: Readonly<Record<string, number>>;
  pickedFor: readonly PickedFor[];
  source: RuleSource;
}

const TRADE: RuleSource = { kind: "trade" };
const OWN: RuleSource = { kind: "own" };
const published = (id: string): RuleSource => ({ kind: "published", id });
const condition = (id: string, weight: number): PickedFor => ({ kind: "condition", id, weight });
const site = (id: Site, weight: number): PickedFor => ({ kind: "site", id, weight });
const age = (from: number, weight: number): PickedFor => ({ kind: "age", from, weight });
const task = (id: "seat" | "step", weight: number): PickedFor => ({ kind: "task", id, weight });
const BACKS = ["back-bend", "back-disc", "nerve-signs", "back-arch", "back-spasm"];
const backs = (weight: number): PickedFor[] => BACKS.map((id) => condition(id, weight));

/** A hand-held or inclinometer angle: less is the tool's. Source: Boone 1978. */
const ANGLE_ERROR = { least: 5, source: published("boone-1978") };
const NEVER_SEEN = null; // no published error that we know of
const RETEST = 4;
const EARLY_RANGE = { "knee-replacement": 2, "ligament-repair": 2 };

type Given = Pick<Protocol, "id" | "group" | "quantity" | "min" | "max" | "belief"> & Partial<Protocol>;
const protocol = (given: Given): Protocol => ({
  isSided: false,
  better: "more",
  isEffort: true,
  change: NEVER_SEEN,
  retestWeeks: RETEST,
  pickedFor: [],
  source: TRADE,
  ...given,
});
/** An angle of one joint, measured without load. */
const angle = (id: string, belief: readonly [number, number], more: Partial<Protocol> = {}): Protocol =>
  protocol({
    id,
    group: "range",
    quantity: "degrees",
    isSided: true,
    isEffort: false,
    min: -20,
    max: 180,
    belief,
    change: ANGLE_ERROR,
    ...more,
  });

/** Every protocol, in the order it is offered. */
export const PROTOCOLS: readonly Protocol[] = [
  protocol({
    id: "chair-stand",
    group: "rise",
    quantity: "count",
    min: 0,
    max: 60,
    belief: [0, 35],
    timer: { kind: "down", fromS: 30 },
    setUp: { seatHeightM: 0.43 },
    change: { least: 1.64, source: published("gill-2008") },
    pickedFor: [age(60, 4), condition("knee-arthritis", 4), condition("knee-replacement", 4), task("seat", 4), site("knee", 3)],
    source: published("rikli-jones-1999"),
  }),
  protocol({
    id: "five-rises",
    group: "rise",
    quantity: "seconds",
    better: "less",
    min: 2,
    max: 300,
    belief: [4, 60],
    timer: { kind: "up" },
    setUp: { seatHeightM: 0.43 },
    change: { least: 2.5, source: published("goldberg-2012") },
    pickedFor: [condition("falls", 4), age(70, 3)],
    source: published("bohannon-2006"),
  }),
  protocol({
    id: "calm-seat",
    group: "rise",
    quantity: "metres",
    isSided: true,
    better: "less",
    min: 0.2,
    max: 0.95,
    belief: [0.25, 0.85],
    change: { least: 0.02, source: OWN },
    pickedFor: [
      site("kneecap", 7),
      site("knee", 7),
      site("hip", 5),
      condition("knee-arthritis", 6),
      condition("kneecap-pain", 6),
      condition("knee-replacement", 5),
      task("seat", 3),
    ],
  }),
  protocol({
    id: "calm-step",
    group: "step",
    quantity: "metres",
    onOneLeg: true,
    isSided: true,
    min: 0,
    max: 0.45,
    belief: [0.02, 0.4],
    change: { least: 0.02, source: OWN },
    pickedFor: [condition("kneecap-pain", 4), condition("knee-tendon", 5), task("step", 5), condition("ligament-repair", 2)],
  }),
  protocol({
    id: "one-leg-stance",
    group: "balance",
    quantity: "seconds",
    onOneLeg: true,
    isSided: true,
    min: 0,
    max: 45,
    belief: [0, 45],
    timer: { kind: "up", mostS: 45 },
    trials: 3,
    pickedFor: [condition("falls", 6), age(60, 3), condition("sprains", 5), condition("side-hip", 4), condition("after-birth", 3)],
    source: published("springer-2007"),
  }),
  protocol({
    id: "step-down",
    group: "step",
    quantity: "score",
    onOneLeg: true,
    isSided: true,
    better: "less",
    min: 0,
    max: 6,
    belief: [0, 6],
    options: ["arms", "trunk", "pelvis", "knee-inside-toe", "knee-inside-foot", "unsteady"],
    setUp: { stepHeightM: 0.2 },
    pickedFor: [
      condition("kneecap-pain", 5),
      condition("ligament-repair", 4),
      site("kneecap", 4),
      task("step", 4),
      condition("side-hip", 4),
    ],
    source: published("piva-2006"),
  }),
  protocol({
    id: "hinge",
    group: "back",
    quantity: "score",
    better: "less",
    min: 0,
    max: 4,
    belief: [0, 4],
    options: ["back-rounds", "pelvis-turns", "knees-travel", "toes-load"],
    pickedFor: [...backs(4), site("low-back", 4), site("back-bend", 4), condition("bone-thinning", 5)],
  }),
  protocol({
    id: "heel-raise",
    group: "foot",
    quantity: "count",
    onOneLeg: true,
    isSided: true,
    min: 0,
    max: 80,
    belief: [0, 45],
    pickedFor: [condition("sprains", 4), condition("knee-tendon", 2)],
    source: published("lunsford-1995"),
  }),
  protocol({
    id: "heel-line",
    group: "foot",
    quantity: "score",
    isSided: true,
    better: "less",
    min: 0,
    max: 3,
    belief: [0, 3],
    pickedFor: [condition("sprains", 3)],
  }),
  protocol({
    id: "foot-roll-in",
    group: "foot",
    quantity: "score",
    isSided: true,
    isEffort: false,
    better: "less",
    min: 0,
    max: 3,
    belief: [0, 3],
    pickedFor: [condition("sprains", 3), condition("kneecap-pain", 1)],
  }),
  protocol({
    id: "shin-forward",
    group: "range",
    quantity: "metres",
    isSided: true,
    isEffort: false,
    min: 0,
    max: 0.25,
    belief: [0.01, 0.18],
    change: { least: 0.019, source: published("powden-2015") },
    pickedFor: [condition("sprains", 5), condition("knee-tendon", 4), condition("kneecap-pain", 2), condition("diabetes", 2)],
    source: published("bennell-1998"),
  }),
  angle("knee-bend", [60, 160], {
    min: 0,
    soonerFor: EARLY_RANGE,
    pickedFor: [
      condition("knee-replacement", 8),
      condition("ligament-repair", 7),
      condition("knee-inflammatory", 5),
      condition("knee-arthritis", 3),
    ],
    source: published("roach-miles-1991"),
  }),
  angle("knee-straight", [-10, 40], {
    soonerFor: EARLY_RANGE,
    better: "less",
    pickedFor: [condition("knee-replacement", 8), condition("ligament-repair", 8), condition("knee-inflammatory", 4)],
    source: published("rowe-2000"),
  }),
  angle("hip-bend", [60, 150], {
    min: 0,
    trait: "lying",
    pickedFor: [condition("tight-hip", 6), condition("hip-replacement", 5), site("hip", 3)],
    source: published("roach-miles-1991"),
  }),
  angle("hip-back", [-10, 40], {
    pickedFor: [condition("back-arch", 4), condition("tight-hip", 3)],
    source: published("roach-miles-1991"),
  }),
  angle("hip-out", [5, 70], {
    min: 0,
    pickedFor: [condition("side-hip", 3)],
    source: published("roach-miles-1991"),
  }),
  angle("hip-turn-in", [0, 60], { pickedFor: [condition("tight-hip", 4)], source: published("roach-miles-1991") }),
  angle("hip-turn-out", [0, 65], { source: published("roach-miles-1991") }),
  angle("tuck", [50, 140], {
    isSided: false,
    min: 20,
    max: 160,
    pickedFor: [condition("back-bend", 7), condition("back-disc", 7), site("back-bend", 6), condition("nerve-signs", 4)],
  }),
  protocol({
    id: "bend-response",
    group: "back",
    quantity: "choice",
    better: null,
    min: 0,
    max: 3,
    belief: [0, 3],
    options: ["eases", "same", "worse", "spreads"],
    pickedFor: [...backs(5), site("low-back", 5)],
    source: TRADE,
  }),
  protocol({
    id: "arch-response",
    group: "back",
    quantity: "choice",
    better: null,
    min: 0,
    max: 3,
    belief: [0, 3],
    options: ["eases", "same", "worse", "spreads"],
    pickedFor: [condition("back-arch", 6), ...backs(3)],
  }),
  ...(["hold-front", "hold-back", "hold-side"] as const).map((id) =>
    protocol({
      id,
      group: "trunk",
      quantity: "seconds",
      isSided: id === "hold-side",
      min: 0,
      max: 600,
      belief: [1, 300],
      timer: { kind: "up" },
      pickedFor: [condition("back-spasm", 2), condition("after-birth", 2)],
      source: published("mcgill-2002"),
    }),
  ),
  ...(["carry-early", "carry-late"] as const).map((id) =>
    protocol({
      id,
      group: "trunk",
      quantity: "score",
      isSided: true,
      better: "less",
      min: 0,
      max: 3,
      belief: [0, 3],
      setUp: { loadKg: 8 },
      pickedFor: [condition("back-spasm", 6), condition("side-hip", 5)],
    }),
  ),
  protocol({
    id: "hip-order",
    group: "back",
    quantity: "choice",
    isSided: true,
    isEffort: false,
    better: null,
    min: 0,
    max: 2,
    belief: [0, 2],
    options: ["buttock", "thigh", "low-back"],
    pickedFor: [condition("side-hip", 4), condition("back-spasm", 3)],
  }),
  protocol({
    id: "cue",
    group: "back",
    quantity: "choice",
    better: null,
    min: 0,
    max: 2,
    belief: [0, 2],
    options: ["brace", "hip-first", "no-difference"],
    pickedFor: [condition("back-bend", 2), condition("back-spasm", 2)],
  }),
  protocol({
    id: "side-length",
    group: "size",
    quantity: "fingers",
    isSided: true,
    isEffort: false,
    better: "more",
    min: 0,
    max: 8,
    belief: [0.5, 6],
    pickedFor: [condition("back-spasm", 4)],
  }),
  protocol({
    id: "thigh-girth",
    group: "size",
    quantity: "metres",
    isSided: true,
    isEffort: false,
    min: 0.2,
    max: 1.1,
    belief: [0.3, 0.8],
    pickedFor: [condition("ligament-repair", 3), condition("knee-replacement", 2)],
  }),
  protocol({
    id: "lean-back",
    group: "range",
    quantity: "metres",
    min: 0,
    max: 1.2,
    belief: [0.02, 0.9],
    trait: "kneeling",
  }),
  protocol({
    id: "weight-share",
    group: "rise",
    quantity: "share",
    isSided: true,
    better: null,
    min: 0.1,
    max: 0.9,
    belief: [0.3, 0.7],
    pickedFor: [condition("ligament-repair", 6), condition("knee-replacement", 6), site("knee", 4), site("kneecap", 4)],
    source: TRADE,
  }),
  protocol({
    id: "up-and-go",
    group: "walk",
    quantity: "seconds",
    better: "less",
    min: 2,
    max: 300,
    belief: [4, 60],
    timer: { kind: "up" },
    change: { least: 2.49, source: published("kennedy-2005") },
    pickedFor: [condition("falls", 7), age(75, 4)],
    source: published("bohannon-2006-tug"),
  }),
  protocol({
    id: "walking-speed",
    group: "walk",
    quantity: "speed",
    min: 0.1,
    max: 3,
    belief: [0.3, 2.2],
    timer: { kind: "up" },
    setUp: { distanceM: 4 },
    change: { least: 0.1, source: published("perera-2006") },
    pickedFor: [condition("falls", 3), age(75, 3), condition("heart", 3)],
    source: published("bohannon-2011"),
  }),
];
