import type { Fault } from "./variation";

/** Faults that several variations watch for; causes and responses are common practice, no source. */
export const DRIFTS_IN: Fault = {
  id: "knee-drifts-in",
  sign: "knee drifts in",
  cause: "side of the hip or foot tired or not timed",
  response: "Knee over the second toe; raise the seat or lower the step if it stays. A small wobble is fine.",
};
export const LEANS_AWAY: Fault = {
  id: "leans-to-one-side",
  sign: "leans to one side",
  cause: "guarding the sore leg",
  response: "Even feet, check with two scales; take more weight through the hands on the sore side.",
};
export const DROPS: Fault = {
  id: "drops-the-last-part",
  sign: "drops the last part",
  cause: "weak at the bottom",
  response: "Raise the seat, or lower the step, and go down in 3 to 5 seconds.",
};
export const HEEL_LIFTS: Fault = {
  id: "heel-lifts",
  sign: "heel lifts",
  cause: "stiff ankle or feet too far back",
  response: "Feet a hand forward; higher seat.",
};
export const HOLDS_BREATH: Fault = {
  id: "holds-breath",
  sign: "holds breath",
  cause: "effort too high or not told",
  response: "Breathe out on the way up; ease if it stays.",
};
export const BACK_ROUNDS: Fault = {
  id: "back-rounds",
  sign: "back rounds",
  cause: "too deep for the hips, or load too far away",
  response: "Stop at the depth before; bring the load closer.",
};
export const PULLS: Fault = {
  id: "pulls-with-the-hands",
  sign: "pulls, does not push",
  cause: "support too far away",
  response: "Push straight down, close to the feet.",
};
export const SITS_BACK_LATE: Fault = {
  id: "sits-back-late",
  sign: "sits back late",
  cause: "starts from the knees",
  response: "Hips start first; touch the seat softly.",
};
export const SQUATS_IT: Fault = {
  id: "squats-it",
  sign: "knees bend, hips hardly move",
  cause: "the hinge is not found yet",
  response: "Seat back to a wall behind; a stick along the back.",
};
export const PUSHES_OFF: Fault = {
  id: "pushes-off",
  sign: "pushes off the floor foot",
  cause: "step too high for this leg",
  response: "Lower step, or more hand; the floor foot's toes stay light.",
};
export const HIPS_DROP: Fault = {
  id: "hips-drop",
  sign: "hips sink or tilt",
  cause: "buttock tired, back takes over",
  response: "Fewer seconds at the top; smaller lift.",
};
export const CRAMPS: Fault = {
  id: "hamstring-cramps",
  sign: "hamstring cramps",
  cause: "heels too far out",
  response: "Heels closer, whole foot down.",
};
export const SNAPS_STRAIGHT: Fault = {
  id: "snaps-straight",
  sign: "snaps into lock",
  cause: "too fast at the end",
  response: "Stop just short of straight; soft knee.",
};
export const KNEES_OUT: Fault = {
  id: "knee-thrown-out",
  sign: "knee thrown outwards",
  cause: "too much of the cue",
  response: "Only over the foot, no further; say less.",
};
export const SHARP_IN_FRONT: Fault = {
  id: "sharp-at-the-front",
  sign: "sharp at the front of the knee, low down",
  cause: "the kneecap is asked too much there",
  response: "Stop. Hands on a bench first, then a pole, and less depth.",
};
export const BACK_LEG: Fault = {
  id: "weight-in-the-back-leg",
  sign: "weight goes into the back leg",
  cause: "fear for the front knee, or it is weak",
  response: "Most of the weight in front; a pole, or less travel; ask after the back kneecap.",
};
export const SITS_BACK: Fault = {
  id: "sits-back",
  sign: "sits back, away from the knee",
  cause: "spares the front of the thigh",
  response: "Hips stay under; a smaller bend.",
};
export const TUCKS: Fault = {
  id: "pelvis-tucks",
  sign: "pelvis tucks under at the bottom",
  cause: "hip shape, a stiff hip or ankle, or too deep",
  response: "Stop at the depth before; one leg at a time; hip and ankle drills first.",
};
export const OVERARCHES: Fault = {
  id: "back-overarches",
  sign: "low back arches at the end",
  cause: "the back pushes where the hip should, or too heavy",
  response: "Chin in, pelvis tucked, less range or load.",
};
export const PELVIS_TURNS: Fault = {
  id: "pelvis-turns",
  sign: "pelvis turns or drops",
  cause: "side of the hip tight or weak, or the foot wobbles",
  response: "A hand on something, less range; then steady, then load.",
};
export const TRUNK_BENDS: Fault = {
  id: "trunk-bends-sideways",
  sign: "trunk leans or bends to one side",
  cause: "the hip under it does not hold",
  response: "Lighter and shorter; the hip first, then again.",
};
export const ANKLE_ROLLS: Fault = {
  id: "ankle-rolls",
  sign: "foot rolls in, or ankle breaks outwards",
  cause: "foot and ankle not strong enough for this",
  response: "Coin heel raise, both hands, slow; shoes on.",
};
export const ROCKS: Fault = {
  id: "foot-rocks",
  sign: "foot rocks, balance goes",
  cause: "ankle not steady yet",
  response: "A wall or a hand, hold still, then less of it.",
};
export const WOBBLES: Fault = {
  id: "wobbles",
  sign: "sways or grabs for something",
  cause: "base too small for today",
  response: "Fingertips on a fixed edge; shorter.",
};
export const SHIFTS_OFF: Fault = {
  id: "weight-shifts-off",
  sign: "weight moves quietly off the sore leg",
  cause: "a habit of sparing it",
  response: "Two scales if there are; else one leg at a time.",
};
export const SWINGS: Fault = {
  id: "swings",
  sign: "swings to start",
  cause: "momentum does the work",
  response: "Start from a stop, slower and lighter.",
};
export const BENDS_AT_HIPS: Fault = {
  id: "bends-at-the-hips",
  sign: "bends at the hips",
  cause: "too hard as it is",
  response: "Take it as the easier way, or go less far.",
};
export const HALF_REPETITIONS: Fault = {
  id: "half-repetitions",
  sign: "stops half way",
  cause: "too heavy",
  response: "Lighter, all the way in and out.",
};
export const HEAVES: Fault = {
  id: "heaves",
  sign: "trunk heaves",
  cause: "the load is more than the muscle",
  response: "Less load; keep the trunk where it was.",
};
export const FELT_IN_BACK: Fault = {
  id: "felt-in-the-back",
  sign: "felt in the low back",
  cause: "the back works first, or the band is too strong",
  response: "Lighter and smaller; find the buttock first.",
};
export const BELLY_PRESSED: Fault = {
  id: "belly-pressed",
  sign: "belly is pressed",
  cause: "too deep, or the bar or band too high",
  response: "Stop at once: less depth, bar or band further down, feet wider.",
};
export const DROPS_ON_RAIL: Fault = {
  id: "drops-onto-the-rail",
  sign: "hangs on the rail",
  cause: "leg too weak for this height",
  response: "Keep the hand, lower the step.",
};
export const BOUNCES: Fault = {
  id: "bounces",
  sign: "bounces at the bottom",
  cause: "hurry, or tired",
  response: "Stop still for a moment; fewer repetitions.",
};
export const RUSHES: Fault = {
  id: "rushes",
  sign: "goes too fast",
  cause: "not told how slow",
  response: "Count aloud; a tempo on the tablet.",
};
export const FORCES: Fault = {
  id: "forces",
  sign: "forces the last bit",
  cause: "looks for a number",
  response: "As far as it goes quietly; the muscle must be able to let go.",
};
export const SHRUGS: Fault = {
  id: "shrugs",
  sign: "shoulders creep up",
  cause: "the neck takes over",
  response: "Long neck, lighter.",
};
export const SAGS: Fault = {
  id: "sags",
  sign: "hips sag or rise",
  cause: "trunk tired",
  response: "Stop there; shorter next time, or on the knees.",
};
