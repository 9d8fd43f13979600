import type { Dose, Fault, LeverRange, Variation } from "./variation";

const kgf = (mass: number): number => mass * 9.81;
const seat = (min: number, max: number, start: number): LeverRange => ({ lever: "seatHeightM", min, max, start });
const hands = (maxKg: number, startKg: number): LeverRange => ({ lever: "handForceN", min: 0, max: kgf(maxKg), start: kgf(startKg) });
const load = (min: number, max: number, start: number): LeverRange => ({ lever: "loadKg", min, max, start });
const SHARE: LeverRange = { lever: "shareFraction", min: 0.3, max: 0.7, start: 0.5 };

const dose = (setCount: number, low: number, high: number, lowerS: number, pauseS: number, restS: number): Dose => ({
  setCount,
  repetitionsLow: low,
  repetitionsHigh: high,
  tempo: { lowerS, pauseS, riseS: 2 },
  restS,
});

const DRIFTS_IN: Fault = {
  id: "knee-drifts-in",
  sign: "knee drifts in",
  cause: "side of the hip or foot tired or not timed",
  response: "Knee over the second toe; raise the seat if it stays. A small wobble is fine.",
};
const LEANS_AWAY: Fault = {
  id: "leans-to-one-side",
  sign: "leans to one side",
  cause: "guarding the sore leg",
  response: "Even feet, check with two scales; take more weight through the hands on the sore side.",
};
const DROPS: Fault = {
  id: "drops-the-last-part",
  sign: "drops the last part",
  cause: "weak at the bottom",
  response: "Raise the seat and lower in 3 to 5 seconds.",
};
const HEEL_LIFTS: Fault = {
  id: "heel-lifts",
  sign: "heel lifts",
  cause: "stiff ankle or feet too far back",
  response: "Feet a hand forward; higher seat.",
};
const HOLDS_BREATH: Fault = {
  id: "holds-breath",
  sign: "holds breath",
  cause: "effort too high or not told",
  response: "Breathe out on the way up; ease if it stays.",
};
const BACK_ROUNDS: Fault = {
  id: "back-rounds",
  sign: "back rounds",
  cause: "too deep for the hips, or load too far away",
  response: "Stop at the depth before; bring the load closer.",
};
const PULLS: Fault = {
  id: "pulls-with-the-hands",
  sign: "pulls, does not push",
  cause: "support too far away",
  response: "Push straight down, close to the feet.",
};
const SITS_BACK_LATE: Fault = {
  id: "sits-back-late",
  sign: "sits back late",
  cause: "starts from the knees",
  response: "Hips start first; touch the seat softly.",
};

/** Two-leg squats on level feet, easiest first. Doses marked ◊ in the trade are ours to start from and the trainer's to change. */
export const SQUATS = [
  {
    id: "very-high-sit-to-stand",
    pattern: "squat",
    name: "Very high sit-to-stand",
    purpose: "First standing work for a very sore or very weak knee",
    setUp: "Firm chair with pads to almost standing height, back against a wall. Feet level, hip width.",
    cues: ["Heels heavy", "Hips back first", "Arms reach forward"],
    faults: [DROPS, LEANS_AWAY, DRIFTS_IN, HOLDS_BREATH],
    template: { kind: "standing", arms: "forward", loadAt: null, support: null },
    levers: [seat(0.56, 0.76, 0.64), SHARE],
    equipment: ["chair", "pads"],
    cautions: ["A stack of pads must not slide or tip."],
    easier: [],
    harder: ["raised-sit-to-stand"],
    dose: dose(2, 8, 10, 2, 1, 60),
    ladderPlace: 1,
  },
  {
    id: "raised-sit-to-stand",
    pattern: "squat",
    name: "Raised sit-to-stand",
    purpose: "Daily strength for rising, the knee more open than a right angle",
    setUp: "Chair with pads so that the knee is clearly more open than 90 degrees. Feet level, hip width, arms forward.",
    cues: ["Hips travel back", "Weight in the heels all the way", "Touch the seat, do not drop"],
    faults: [DROPS, DRIFTS_IN, LEANS_AWAY, SITS_BACK_LATE, HEEL_LIFTS],
    template: { kind: "standing", arms: "forward", loadAt: null, support: null },
    levers: [seat(0.46, 0.72, 0.56), SHARE],
    equipment: ["chair", "pads"],
    cautions: ["Should feel fairly easy at first."],
    easier: ["very-high-sit-to-stand"],
    harder: ["plain-chair-sit-to-stand", "cushion-squat", "counter-held-mini-squat"],
    dose: dose(2, 8, 12, 3, 1, 60),
    ladderPlace: 2,
  },
  {
    id: "cushion-squat",
    pattern: "squat",
    name: "Partial squat to cushions",
    purpose: "Endurance of the thighs in a short, calm range",
    setUp: "Chair with two small cushions behind. Feet slightly wider than the hips. Touch the cushion, stand tall again.",
    cues: ["Breathe out while sitting back", "Touch, do not rest", "Shin stays where it was"],
    faults: [SITS_BACK_LATE, DRIFTS_IN, DROPS, HOLDS_BREATH],
    template: { kind: "standing", arms: "forward", loadAt: null, support: null },
    levers: [seat(0.5, 0.7, 0.6), SHARE],
    equipment: ["chair", "pads"],
    cautions: ["Stop at pain, not at a number."],
    easier: ["raised-sit-to-stand"],
    harder: ["box-squat-pole"],
    dose: dose(2, 12, 20, 2, 0, 60),
    ladderPlace: 3,
  },
  {
    id: "counter-held-mini-squat",
    pattern: "squat",
    name: "Counter-held mini squat",
    purpose: "Weight taken off by the hands, at home by the sink",
    setUp: "Hands flat on a fixed counter or sink edge, close to the feet; chair behind for rests. Feet shoulder width.",
    cues: ["Push straight down with the hands", "Sit back a little", "Both legs the same"],
    faults: [LEANS_AWAY, PULLS, DRIFTS_IN, HEEL_LIFTS],
    template: {
      kind: "standing",
      arms: "forward",
      loadAt: null,
      support: { kind: "counter", aheadOfToesM: 0.1, heightM: 0.9, directionDeg: 90 },
    },
    levers: [{ lever: "kneeFlexionDeg", min: 20, max: 80, start: 50 }, hands(20, 6), SHARE],
    equipment: ["counter"],
    cautions: ["Only a counter that is fixed to the wall."],
    easier: ["raised-sit-to-stand"],
    harder: ["box-squat-pole"],
    dose: dose(2, 8, 12, 2, 1, 60),
    ladderPlace: 4,
  },
  {
    id: "box-squat-pole",
    pattern: "squat",
    name: "Box squat with a pole",
    purpose: "A working squat with part of the weight through a pole",
    setUp: "Box behind, pole upright by the toes on the side of the better leg, one or both hands on it.",
    cues: ["Push straight down the pole", "Shin stays where it was", "Touch the box softly"],
    faults: [DRIFTS_IN, LEANS_AWAY, PULLS, SITS_BACK_LATE, HEEL_LIFTS, HOLDS_BREATH],
    template: {
      kind: "standing",
      arms: "hang",
      loadAt: null,
      support: { kind: "pole", aheadOfToesM: 0.03, heightM: 1.0, directionDeg: 90 },
    },
    levers: [seat(0.42, 0.7, 0.58), hands(20, 8), SHARE],
    equipment: ["box", "pole"],
    cautions: ["The pole's foot must not slide."],
    easier: ["cushion-squat", "counter-held-mini-squat"],
    harder: ["plain-chair-sit-to-stand", "goblet-to-box"],
    dose: dose(3, 8, 12, 3, 1, 90),
    ladderPlace: 5,
  },
  {
    id: "plain-chair-sit-to-stand",
    pattern: "squat",
    name: "Plain-chair sit-to-stand",
    purpose: "Rising from an ordinary chair, knee near a right angle or past it",
    setUp: "Ordinary firm chair against a wall, no pads. Feet level, hip width, arms forward.",
    cues: ["Hips back first", "Weight in the heels", "Lower slowly"],
    faults: [DROPS, DRIFTS_IN, LEANS_AWAY, HEEL_LIFTS],
    template: { kind: "standing", arms: "forward", loadAt: null, support: null },
    levers: [seat(0.4, 0.5, 0.46), SHARE],
    equipment: ["chair"],
    cautions: ["A right angle at the knee can be too much for a sore knee at the start."],
    easier: ["raised-sit-to-stand", "box-squat-pole"],
    harder: ["goblet-to-box"],
    dose: dose(2, 8, 10, 3, 1, 90),
    ladderPlace: 6,
  },
  {
    id: "goblet-to-box",
    pattern: "squat",
    name: "Goblet squat to a box",
    purpose: "Load in front of the chest, off the back",
    setUp: "One weight held at the chest, elbows under it, box behind.",
    cues: ["Weight stays close", "Ribs down", "Touch the box, stand tall"],
    faults: [BACK_ROUNDS, DRIFTS_IN, DROPS, HOLDS_BREATH, HEEL_LIFTS],
    template: { kind: "standing", arms: "goblet", loadAt: "hands", support: null },
    levers: [seat(0.42, 0.68, 0.54), load(2, 32, 6), SHARE],
    equipment: ["box", "dumbbell"],
    cautions: ["Not with a sore shoulder or wrist."],
    easier: ["plain-chair-sit-to-stand", "box-squat-pole"],
    harder: ["bar-on-back"],
    dose: dose(3, 8, 12, 3, 1, 90),
    ladderPlace: 7,
  },
  {
    id: "bar-on-back",
    pattern: "squat",
    name: "Box squat, bar on the back",
    purpose: "The heaviest two-leg squat, for a back and knees that are settled",
    setUp: "Bar across the upper back in a rack with safety arms, box behind as a stop.",
    cues: ["Brace gently, keep breathing", "Sit to the box", "Neutral back"],
    faults: [BACK_ROUNDS, DRIFTS_IN, DROPS, HOLDS_BREATH],
    template: { kind: "standing", arms: "crossed", loadAt: "back", support: null },
    levers: [seat(0.4, 0.64, 0.5), load(10, 100, 15), SHARE],
    equipment: ["box", "barbell"],
    cautions: ["Not with active back pain that spreads, not with a limit on loading the back."],
    easier: ["goblet-to-box"],
    harder: [],
    dose: dose(3, 6, 10, 3, 1, 120),
    ladderPlace: 8,
  },
] as const satisfies readonly Variation[];

export type SquatId = (typeof SQUATS)[number]["id"];
