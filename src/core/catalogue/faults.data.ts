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
