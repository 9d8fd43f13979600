import type { NumberChannelId, TemplateKind } from "../mechanics/channels";

/** What stays known of a row where the body model reads nothing: from and to, over every usual way to set it up. */
export type Span = readonly [low: number, high: number];

/**
 * How far a row bends what a limit may speak of, by its set-up: degrees; weight on a foot as a part of body weight. A shin's
 * lean counts while the heel is down. Lying and hanging, a trunk leans on nothing and a foot bears nothing: 0.
 */
export interface Bends {
  kneeDeg?: Span;
  hipDeg?: Span;
  trunkDeg?: Span;
  shinDeg?: Span;
  /** Without what is held: that is added. */
  footFraction?: Span;
  /** Hands that hold nothing but what the row's own load says. Where it is not said they may carry anything. */
  hands?: "load-alone";
}

const NONE: Span = [0, 0];
const of = (kneeDeg: Span, hipDeg: Span, trunkDeg: Span, shinDeg: Span, footFraction: Span): Bends => ({
  kneeDeg,
  hipDeg,
  trunkDeg,
  shinDeg,
  footFraction,
});
const free = (bends: Bends): Bends => ({ ...bends, hands: "load-alone" });
/** Nothing stands on a foot, and the trunk lies. */
const lying = (kneeDeg: Span, hipDeg: Span, footFraction: Span = NONE): Bends => of(kneeDeg, hipDeg, NONE, NONE, footFraction);
/** On a seat, trunk about upright, feet on the floor. */
const SEATED: Bends = free(of([60, 90], [80, 100], [0, 10], [0, 10], [0, 0.25]));
const ALL_FOURS: Bends = of([70, 110], [0, 110], [75, 100], NONE, NONE);
const TALL: Bends = of([0, 20], [0, 15], [0, 10], [0, 8], [0.4, 0.6]);
/** One foot, then the other; the heel leaves the floor before the shin leans far. */
const WALKING: Bends = of([0, 70], [0, 40], [0, 15], [0, 15], [0, 1.2]);

/**
 * By code. Source: our own reasoning from each row's set-up, wider rather than narrower, the trainer's to change; walking's
 * knee bend, slopes too: Rowe 2000. A row that is not here, and what it leaves out, is not measured.
 */
export const BENDS: Readonly<Record<string, Bends>> = {
  S25: of([0, 120], [0, 110], [0, 45], [0, 35], [0.5, 1]),
  S30: of([0, 90], [0, 90], [0, 15], [0, 10], [0, 1]),
  S31: free(of([10, 50], [0, 50], [0, 30], [5, 25], [0.9, 1])),
  S32: of([0, 70], [0, 60], [0, 20], [0, 25], [0.6, 1]),
  H17: of([60, 100], [70, 130], [0, 60], [0, 10], [0, 0.3]),
  H18: free(of([0, 20], [0, 100], [0, 90], [0, 45], [0, 1])),
  H19: free(of([0, 20], [0, 100], [0, 90], [0, 45], [0, 1])),
  H20: of([0, 40], [0, 100], [60, 90], NONE, NONE),
  H21: of([0, 40], [0, 100], [60, 90], NONE, [0, 0.4]),
  H22: of([0, 40], [0, 100], [60, 90], NONE, [0, 0.4]),
  H23: lying([0, 20], [0, 10]),
  H24: free(of([10, 50], [0, 90], [0, 70], [0, 15], [0.45, 0.7])),
  H25: free(of([0, 100], [0, 20], [0, 90], NONE, NONE)),
  H26: of([0, 100], [0, 30], [0, 90], NONE, NONE),
  H27: of([0, 100], [0, 30], [0, 90], NONE, NONE),
  H28: of([0, 120], [0, 100], [0, 20], NONE, NONE),
  H29: of([0, 120], [0, 100], [0, 20], NONE, NONE),
  H30: of([0, 110], [0, 60], [0, 90], NONE, NONE),
  H32: free(of([0, 20], [0, 110], [0, 110], [0, 10], [0.45, 0.55])),
  B06: free(lying([60, 110], [0, 60], [0, 0.5])),
  B10: free(lying([65, 105], [0, 80], [0.2, 0.6])),
  B17: free(lying([75, 120], [0, 60], [0.2, 0.5])),
  L14: free(of([0, 110], [0, 60], [0, 25], [0, 45], [0.7, 1])),
  L20: of([0, 95], [0, 95], [0, 20], [0, 20], [0.4, 0.95]),
  L24: free(of([0, 110], [0, 100], [0, 25], [0, 30], [0.4, 1])),
  L25: free(of([0, 115], [0, 100], [0, 25], [0, 45], [0.4, 1])),
  L27: free(of([60, 110], [0, 100], [0, 15], [0, 20], [0.4, 0.95])),
  K07: of([20, 90], [20, 80], [0, 30], [5, 40], [0.5, 1.1]),
  K08: free(of([80, 100], [80, 100], [0, 10], NONE, [0, 0.2])),
  K10: free(of([80, 135], [0, 10], NONE, NONE, NONE)),
  C01: SEATED,
  C08: free(of([0, 10], [0, 20], [0, 5], NONE, [0.45, 0.55])),
  A03: SEATED,
  A04: SEATED,
  A02: free(lying([0, 90], [0, 60])),
  A16: of([0, 10], [0, 10], [0, 10], [0, 5], [0, 1]),
  A06: free(of([10, 45], [10, 45], [0, 25], [0, 15], [0.3, 1.1])),
  A05: free(of([30, 80], [30, 80], [5, 40], [0, 30], [0.3, 1.1])),
  A07: free(of([0, 45], [0, 45], [0, 20], [0, 15], [0.3, 1.1])),
  A08: free(of([0, 25], [0, 30], [0, 10], [0, 10], [0, 1.1])),
  A09: free(of([10, 50], [45, 90], [30, 60], [0, 10], [0.45, 0.55])),
  A13: ALL_FOURS,
  A14: ALL_FOURS,
  A15: of([0, 15], [0, 15], [0, 20], [0, 5], [0, 1]),
  A17: free(of([60, 100], [60, 100], [15, 45], [10, 35], [0.5, 1])),
  A19: of([80, 115], [60, 110], [0, 30], NONE, NONE),
  T11: free(of([0, 90], [0, 90], [0, 10], [0, 10], [0, 0.25])),
  T08: of([0, 110], [0, 110], [75, 100], NONE, NONE),
  T01: of([0, 60], [0, 15], [40, 90], NONE, [0, 0.4]),
  T02: of([0, 90], [0, 15], NONE, NONE, [0, 0.5]),
  T05: TALL,
  T04: free(WALKING),
  T06: free(of([0, 30], [0, 30], [0, 20], [0, 15], [0.4, 0.6])),
  T07: free(of([0, 130], [0, 130], [0, 70], [0, 40], [0, 1])),
  T09: free(of([0, 30], [0, 90], [0, 70], [0, 10], [0, 0.6])),
  T10: free(of([60, 120], [30, 90], [0, 40], NONE, [0, 0.2])),
  M07: free(of([0, 40], [0, 95], [0, 15], NONE, NONE)),
  M14: free(of([0, 20], [75, 100], [0, 15], NONE, NONE)),
  M08: free(lying([0, 10], [0, 10])),
  M10: lying([60, 140], [60, 120]),
  M11: free(lying([30, 140], [60, 100])),
  M12: of([60, 140], [30, 110], [0, 40], [0, 45], [0, 0.7]),
  M13: of([0, 60], [0, 60], [0, 30], [0, 35], [0.3, 0.8]),
  M04: of([60, 110], [50, 100], [0, 30], [0, 45], [0, 0.5]),
  M17: of([100, 145], [95, 135], [0, 50], [10, 45], [0.4, 0.6]),
  M01: of([80, 115], [60, 110], [0, 30], NONE, NONE),
  M02: of([80, 115], [60, 110], [0, 20], NONE, NONE),
  M03: of([60, 110], [60, 125], [0, 60], NONE, [0.3, 0.8]),
  M09: lying([60, 140], [0, 15]),
  M05: of([90, 145], [0, 95], [0, 20], NONE, [0, 0.5]),
  M06: of([90, 145], [0, 95], [0, 20], NONE, [0, 0.5]),
  P05: free(of([0, 60], [20, 60], [30, 60], NONE, [0, 0.4])),
  P06: free(of([20, 100], [80, 105], [0, 15], NONE, [0, 0.3])),
  P04: of([10, 100], [40, 100], [40, 80], [0, 20], [0.2, 0.6]),
  P02: free(TALL),
  P03: free(TALL),
  P07: free(of([10, 45], [50, 95], [30, 60], [0, 10], [0.4, 0.6])),
  P01: of([0, 40], [0, 40], [0, 20], [0, 20], [0.3, 0.8]),
  P08: free(of([0, 40], [0, 40], [0, 20], [0, 20], [0.3, 0.8])),
  P09: free(TALL),
  P10: free(of([0, 90], [0, 90], [0, 40], [0, 30], [0.4, 0.7])),
  P11: of([80, 100], [80, 100], [0, 10], [0, 10], [0, 0.2]),
  P12: free(lying([70, 100], [0, 60], [0, 0.25])),
  P13: of([0, 90], [0, 45], [0, 30], NONE, [0, 0.4]),
  E04: free(of([0, 90], [0, 90], [0, 30], [0, 25], [0, 0.5])),
  E01: of([25, 115], [30, 110], [0, 45], NONE, [0, 0.6]),
  E02: of([25, 115], [30, 115], [0, 60], NONE, [0, 1]),
  E03: of([10, 75], [0, 55], [0, 15], [0, 35], [0.2, 1]),
  E05: of([0, 115], [0, 115], [0, 90], NONE, [0, 1.2]),
  E06: of([0, 130], [0, 125], [0, 40], [0, 50], [0, 0.6]),
  E07: free(of([0, 100], [0, 100], [0, 50], [0, 35], [0, 5])),
  E08: free({ ...WALKING, kneeDeg: [0, 90] }),
  E09: free(of([0, 110], [0, 60], [0, 20], [0, 15], [0, 3])),
  // drawn in the model, but for this
  K01: { hipDeg: [0, 70], trunkDeg: NONE, shinDeg: NONE, footFraction: NONE },
  K02: { hipDeg: [80, 100], trunkDeg: [0, 10], shinDeg: NONE, footFraction: [0, 0.25] },
  K03: { hipDeg: [70, 120], trunkDeg: [0, 10], shinDeg: NONE, footFraction: [0, 0.25] },
  K04: { hipDeg: [70, 120], trunkDeg: [0, 10], shinDeg: NONE, footFraction: [0, 0.25] },
  K05: { hipDeg: [0, 30], trunkDeg: [0, 20], shinDeg: [0, 30], footFraction: [0.4, 1] },
  K06: { hipDeg: [0, 30], trunkDeg: [0, 20], shinDeg: [0, 30], footFraction: [0.4, 0.6] },
  K09: { hipDeg: [80, 100], trunkDeg: [0, 10], shinDeg: NONE, footFraction: [0, 0.25] },
  C02: { hipDeg: [0, 10], trunkDeg: [0, 10], shinDeg: [0, 8], footFraction: [0.4, 0.6] },
  C03: { hipDeg: [0, 10], trunkDeg: [0, 10], shinDeg: [0, 8], footFraction: [0.3, 0.7] },
  C04: { hipDeg: [0, 20], trunkDeg: [0, 15], shinDeg: [0, 35], footFraction: [0.3, 0.7] },
  C05: { hipDeg: [0, 20], trunkDeg: [0, 35], shinDeg: [0, 40], footFraction: [0.3, 0.7] },
  C06: { hipDeg: [0, 10], trunkDeg: [0, 10], shinDeg: [0, 8], footFraction: [0.9, 1] },
  C07: { hipDeg: [0, 10], trunkDeg: [0, 10], shinDeg: [0, 15], footFraction: [0.3, 0.7] },
  A01: { hipDeg: [0, 20], trunkDeg: NONE, shinDeg: NONE, footFraction: NONE },
  A10: { hipDeg: [60, 110], trunkDeg: [0, 30], shinDeg: [0, 10], footFraction: [0, 0.3] },
  A11: { hipDeg: [70, 110], trunkDeg: [0, 10], shinDeg: NONE, footFraction: [0, 0.2] },
  A12: { hipDeg: [70, 110], trunkDeg: [0, 10], shinDeg: NONE, footFraction: [0, 0.2] },
  A18: { hipDeg: [80, 110], trunkDeg: [0, 20], shinDeg: [0, 10], footFraction: [0, 0.25] },
  L32: { hipDeg: [0, 10], trunkDeg: [0, 10], shinDeg: [0, 8], footFraction: [0.9, 1] },
};

/** What holds for every row of a kind: shoulders down, or on a machine's back rest. */
export const BENDS_OF_KIND: Readonly<Partial<Record<TemplateKind, Bends>>> = {
  bridge: { trunkDeg: NONE },
  "leg-press": { trunkDeg: [0, 10], shinDeg: NONE },
};

/**
 * Drills that go to the end of the client's own measured range and stop there: it does not close them. What a person has
 * said of that range has to be asked.
 */
export const DRILLS: Readonly<Record<string, readonly NumberChannelId[]>> = {
  E01: ["kneeFlexion"],
  M07: ["kneeFlexion"],
  M08: ["kneeFlexion"],
  M09: ["kneeFlexion"],
  M10: ["kneeFlexion", "hipFlexion"],
  M11: ["kneeFlexion"],
  M12: ["kneeFlexion", "hipFlexion"],
  M14: ["kneeFlexion"],
  M17: ["hipFlexion"],
  M01: ["hipFlexion"],
  M02: ["hipFlexion"],
  M03: ["hipFlexion"],
  M15: ["kneeFlexion", "hipFlexion"],
  M16: ["kneeFlexion", "hipFlexion"],
};
