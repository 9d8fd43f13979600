/** What makes a back worse. Bending and what comes with it asks for another training than arching. */
export const BACK_SIGNS = ["sitting", "bending", "socks-and-shoes", "stiff-on-rising", "spreading", "arching", "one-side"] as const;
export type BackSign = (typeof BACK_SIGNS)[number];
/** Everyday tasks that a client wants back, and what each is measured in. */
export const GOAL_TASKS = ["stairs", "rise", "lift-from-floor", "kneel", "carry", "walk", "pastime", "pregnancy"] as const;
export type GoalTask = (typeof GOAL_TASKS)[number];
export interface Goal {
  task: GoalTask;
  /** Riser or seat, m; weight, kg; minutes of walking. Null where the task has no measure, or nobody said. */
  measure: number | null;
  words: string;
}
export const GOAL_MEASURES: Readonly<Record<GoalTask, { unit: "m" | "kg" | "min"; min: number; max: number } | null>> = {
  stairs: { unit: "m", min: 0.03, max: 0.45 },
  rise: { unit: "m", min: 0.2, max: 0.8 },
  "lift-from-floor": { unit: "kg", min: 1, max: 60 },
  kneel: null,
  carry: { unit: "kg", min: 1, max: 40 },
  walk: { unit: "min", min: 1, max: 600 },
  pastime: null,
  pregnancy: null,
};
export const MEDICINES = ["blunts-heart-rate", "pain-relief", "thins-blood", "lowers-sugar"] as const;
export type Medicine = (typeof MEDICINES)[number];

/** Asked when there is time: none of them is waited for. */
export const FURTHER_QUESTIONS = ["goals", "pain", "back", "medicines", "aids", "person"] as const;
export type FurtherQuestion = (typeof FURTHER_QUESTIONS)[number];
/** Signs of a back, and the condition whose rules they bring. Common practice, no source. */
export const BACK_MEANS: Readonly<Record<BackSign, string>> = {
  sitting: "back-bend",
  bending: "back-bend",
  "socks-and-shoes": "back-bend",
  "stiff-on-rising": "back-bend",
  spreading: "back-disc",
  arching: "back-arch",
  "one-side": "back-spasm",
};
