import type { PresetId, SchoolNumbers } from "../../core/approach/approach";

interface Words {
  name: string;
  positions: Readonly<Record<string, readonly [name: string, decides: string]>>;
}
/** Each contested point: its name, its positions, and what each decides. Common practice, no source. */
const AXES: Readonly<Record<string, Words>> = {
  "knee-travel": {
    name: "Knee travel",
    positions: {
      "behind-toes": ["behind the toes", "Raises the seat or stops sooner; no deep or knee-forward work."],
      "graded-forward": ["forward, in steps", "Keeps it, adds support where needed, and goes further forward unloaded first."],
      "over-front-foot": ["over the front of the foot", "Accepts it to the toe line, shortens beyond."],
    },
  },
  pain: {
    name: "Pain during a set",
    positions: {
      none: ["none", "Ends the exercise at any pain and asks the doctor."],
      settles: ["up to the number, never sharp", "Goes on through a dull ache that settles; no progress that day."],
      controlled: ["controlled, so that work can be done", "Goes on; swelling and soreness of the next day decide."],
    },
  },
  "height-or-load": {
    name: "Height or load first",
    positions: {
      "height-first": ["height first", "Fifteen clean ones: the next height, then load."],
      "load-first": ["load first", "Fifteen clean ones: the same height with a small load."],
    },
  },
  trunk: {
    name: "Trunk",
    positions: {
      "core-each-session": ["trunk work in every session", "A plank and a carry beside the hinge."],
      "hip-first": ["hip first, trunk last", "Hip drill, stance, then the hinge."],
      "no-brace": ["no brace", "A toe and buttock cue. For healthy athletes only: barred in rehabilitation and after long rest."],
    },
  },
  "weak-side": {
    name: "Weaker side",
    positions: {
      "one-more-set": ["one more set", "Good side 2 × 10, weak side 3 × 10."],
      double: ["twice the repetitions", "Good side 2 × 10, weak side 2 × 20."],
      "equal-weak-first": ["equal, weak side first", "2 × 10 each, the weak side never tired."],
      alone: ["alone", "2 × 10 on the weak side; two-leg work is less."],
    },
  },
  frequency: {
    name: "Days",
    positions: {
      daily: ["daily, small", "Easy rising and range every day."],
      "two-rest-days": ["two full rest days between", "Monday, then Thursday; never Tuesday."],
      "three-a-week": ["three a week", "Not the same session two days running."],
    },
  },
  "foot-pressure": {
    name: "Foot pressure",
    positions: {
      heels: ["heels", "Push through the heel."],
      forefoot: ["front of the foot", "Lean, weight forward."],
      "three-points": ["three points", "Spread big toe, little toe and heel."],
      "raised-heels": ["heels raised on purpose", "A wedge under the heel."],
    },
  },
  depth: {
    name: "Depth",
    positions: {
      partial: ["partial, to a seat", "Stays at mid-thigh."],
      "deep-as-comfortable": ["as deep as comfortable", "A little lower next week."],
      "to-the-tuck": ["to where the pelvis tucks", "Hip and ankle first, or stops there."],
      "only-what-is-owned": ["half only with loads owned deep", "Less load until the full depth."],
    },
  },
  "abduction-trunk": {
    name: "Trunk in side-hip work",
    positions: {
      lean: ["leaning", "Slides and leans forward."],
      neutral: ["upright", "Neutral back."],
      "three-angles": ["three angles", "Leans back, upright, forward."],
    },
  },
  "abduction-dose": {
    name: "Dose of side-hip work",
    positions: {
      drops: ["three drops of ten", "30 in drops, heavy first."],
      "many-light": ["many and light", "3 × 30 to 40."],
      moderate: ["16 to 20 a side", "Double on the weak side."],
    },
  },
  activation: {
    name: "Activation",
    positions: {
      "light-before": ["light, before", "A few light sets first, never to exhaustion."],
      "burn-at-end": ["to a burn, at the end", "A long finisher, where recovery allows."],
    },
  },
  effort: {
    name: "Effort",
    positions: {
      "near-failure": ["near failure", "Ten more possible: more repetitions or load."],
      "stop-at-form": ["until form goes", "Goes on until the form does."],
      "easy-first": ["easy at first", "Leaves repetitions; the first set never tires."],
    },
  },
  stretching: {
    name: "Stretching",
    positions: {
      "every-session": ["in every session", "Five minutes before."],
      "mobilise-and-strengthen": ["mobilise and strengthen", "Hip drill, then hinge."],
      "load-the-range": ["load the range", "Presses of 5 to 10 seconds."],
      "one-stretch": ["one, and strength", "The rear-foot stretch only."],
    },
  },
  "step-up": {
    name: "Step-up",
    positions: {
      lean: ["leaning", "Lean forward."],
      upright: ["upright", "Straight up, buttock first."],
      "knee-forward": ["knee far forward", "A wedge under the heel."],
    },
  },
  "muscle-cue": {
    name: "Muscle cued",
    positions: { buttock: ["buttock", "Sit back."], "knee-muscle": ["front of the thigh", "Knee forward, do not sit back."] },
  },
  straightening: {
    name: "Straightening",
    positions: { soft: ["soft knee", "Stops just short."], "lock-out": ["strong to the end", "Squeezes to straight, never beyond."] },
  },
  speed: {
    name: "Speed",
    positions: {
      slow: ["slow always", "Slow, no swings."],
      "slow-then-fast": ["slow, then fast", "Slow now, speed when technique holds."],
      mixed: ["mixed", "Slow, with ten quick ones."],
    },
  },
  "big-lifts": {
    name: "Back pain and big lifts",
    positions: {
      removed: ["removed while active", "No bar on the back or from the floor, no overhead bar, no bent row."],
      "kept-neutral": ["kept, neutral", "Kept only while free of symptoms in the set."],
      "swapped-for-a-while": ["swapped for a while", "Hex bar, wide stance or dumbbells instead."],
    },
  },
  "session-order": {
    name: "Order in the session",
    positions: {
      circuit: ["fixed circuit", "In the circuit's order."],
      "weak-first": ["weak muscle first", "The assisted lunge first."],
      "ground-up": ["foot, knee, hip", "Band extension first."],
      "four-patterns": ["four patterns", "Thrust, squat, hinge, side hip; three times a week."],
      "core-every-session": ["trunk every time", "A plank or a carry first, and nothing drops it."],
      "extension-both-ends": ["knee straightened at both ends", "The last degrees first, and once more at the end."],
    },
  },
  "thrust-start": {
    name: "Start of a thrust",
    positions: {
      "vertical-shins": ["shins upright", "Feet under the knees."],
      "feet-out": ["feet further out", "Always so in pregnancy."],
    },
  },
  sets: {
    name: "Sets",
    positions: { given: ["given", "3 × 12."], "by-feel": ["by feel", "A few first, technique, then add."] },
  },
  "straightening-hang": {
    name: "Straightening stretch",
    positions: {
      "face-down": ["face down", "Late only: barred in rehabilitation."],
      supported: ["supported", "Sitting or lying with a roll, scaled."],
    },
  },
  "first-knee-work": {
    name: "First work of a sore knee",
    positions: {
      "no-bend": ["no knee bend", "Straight-leg raise."],
      "easy-standing": ["easy rising", "Raised sit-to-stand."],
      "band-and-drag": ["band and drag", "Band extension and backward drag."],
    },
  },
  "measured-first": {
    name: "Side measured first",
    positions: {
      "sore-first": ["the sore side", "The sore side while it is fresh."],
      "sore-last": ["the other side", "The good side shows how."],
    },
  },
  "both-sides": {
    name: "Both sides of an exercise",
    positions: {
      "each-alone": ["each by its own log", "15 and 12: the side with 15 builds, at most a step ahead."],
      tied: ["tied together", "15 and 12: both hold until both are there."],
    },
  },
};
export const axisName = (id: string): string => AXES[id]?.name ?? id;
export const positionName = (axisId: string, id: string): string => AXES[axisId]?.positions[id]?.[0] ?? id;
export const decidesText = (axisId: string, id: string): string => AXES[axisId]?.positions[id]?.[1] ?? "";

const PRESETS: Readonly<Record<PresetId, readonly [name: string, about: string]>> = {
  mainstream: ["Cautious mainstream", "Pain up to 3, settled next morning; weak side first; support, then range, then load."],
  gentle: ["Gentle", "No pain, partial range, knees behind the toes, a little every day. For sore, unsure and unsupervised."],
  "knee-forward": ["Knee forward, in steps", "Load before height, the knee further forward each block. For knees being rebuilt."],
  "one-leg": ["One leg at a time", "Trunk in every session, most leg work on one leg, double for the weak side. For backs and repairs."],
};
export const presetName = (id: PresetId): string => PRESETS[id][0];
export const presetText = (id: PresetId): string => PRESETS[id][1];

const NUMBERS: Readonly<Record<keyof SchoolNumbers, readonly [name: string, unit: string, times: number]>> = {
  painLimitScore: ["Most pain in a set, of 10", "", 1],
  smallRiserFraction: ["A step is small below", "%", 100],
  largestRiserFraction: ["Largest step", "%", 100],
  sessionsToBuild: ["Good sessions before a build", "", 1],
  targetUseFraction: ["Share of the ceiling aimed at", "%", 100],
  restDays: ["Full rest days between", "", 1],
  clearanceMonths: ["Clearance is asked for again after", "months", 1],
};
export const numberName = (id: keyof SchoolNumbers): string => NUMBERS[id][0];
export const numberUnit = (id: keyof SchoolNumbers): string => NUMBERS[id][1];
export const numberTimes = (id: keyof SchoolNumbers): number => NUMBERS[id][2];
