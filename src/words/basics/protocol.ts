interface Words {
  name: string;
  /** What is done, one step a line. */
  how: readonly string[];
  /** What the number is, under its field. */
  value: string;
}
const WORDS: Readonly<Record<string, Words>> = {
  "chair-stand": {
    name: "Chair stand, 30 s",
    how: [
      "Chair against the wall, arms crossed on the chest.",
      "Full rises until the time is up; more than half way up counts.",
      "With the hands it counts 0: say so in the note.",
    ],
    value: "Rises",
  },
  "five-rises": {
    name: "Five rises",
    how: ["Arms crossed, back off the chair.", "Five full rises as fast as is safe; the clock stops at the fifth standing."],
    value: "Time",
  },
  "calm-seat": {
    name: "Lowest calm seat",
    how: ["Sit down slowly, touch, stand up.", "One thin layer less each time; stop at the first that is felt."],
    value: "Seat",
  },
  "calm-step": {
    name: "Highest calm step",
    how: ["Step up and down slowly, a hand near a rail.", "One thin layer more each time; stop at the first that is felt."],
    value: "Step",
  },
  "one-leg-stance": {
    name: "One-leg stance",
    how: [
      "Shoes off, arms crossed, eyes open, beside a rail.",
      "The clock stops when the foot moves, the other touches, or the arms open.",
      "Best of three, 45 s at most.",
    ],
    value: "Longest",
  },
  "step-down": {
    name: "Step down, how well",
    how: ["Hands on the hips, step down until the heel brushes the floor, and up again.", "Five slow ones. Tick what is seen."],
    value: "Points",
  },
  hinge: {
    name: "Hinge, how well",
    how: ["Hands on the thighs, seat back to the wall, five slow ones.", "Tick what is seen."],
    value: "Points",
  },
  "heel-raise": {
    name: "Heel raises, one leg",
    how: ["A finger on the wall, knee straight.", "Full height every time; stop when it is lost."],
    value: "Full raises",
  },
  "heel-line": {
    name: "Heel line, rising",
    how: ["Rise on both feet, looked at from behind.", "How far does the heel drift out of line?"],
    value: "Drift",
  },
  "foot-roll-in": {
    name: "Foot rolling in",
    how: ["Standing still, then a small bend of the knee.", "How far does the arch sink and the ankle follow?"],
    value: "Roll-in",
  },
  "shin-forward": {
    name: "Shin forward to the wall",
    how: ["Toe away from the wall, heel down, knee to the wall.", "The furthest toe at which the knee still touches."],
    value: "Toe to wall",
  },
  "knee-bend": {
    name: "Knee bend",
    how: ["Lying or sitting, the heel slid towards the seat.", "Not past a clinician's number, and not past pain."],
    value: "Bend",
  },
  "knee-straight": {
    name: "Knee straightening",
    how: ["Lying, heel on a roll, thigh loose.", "How many degrees are missing to straight? Past straight is below 0."],
    value: "Missing",
  },
  "hip-bend": {
    name: "Hip bend",
    how: ["On the back, knee to the chest, the other leg flat.", "Stop where the pelvis begins to follow."],
    value: "Bend",
  },
  "hip-back": { name: "Hip back", how: ["Face down, thigh lifted, pelvis flat."], value: "Back" },
  "hip-out": { name: "Hip out", how: ["On the side or the back, leg led outwards, pelvis still."], value: "Out" },
  "hip-turn-in": { name: "Hip turned in", how: ["Sitting, knee bent, foot led outwards."], value: "Turned in" },
  "hip-turn-out": { name: "Hip turned out", how: ["Sitting, knee bent, foot led inwards."], value: "Turned out" },
  tuck: {
    name: "Where the pelvis tucks",
    how: [
      "Slow squat, seen from the side, a hand on the sacrum.",
      "The bend of the hip at which the pelvis rolls under. Depth stops there.",
    ],
    value: "Hip bend",
  },
  "bend-response": {
    name: "Answer to bending",
    how: ["Ten slow bends forward, as far as is easy.", "What does the back, and the leg, say after them? Stop at once if it spreads."],
    value: "Answer",
  },
  "arch-response": {
    name: "Answer to arching",
    how: ["Ten slow bends back, hands on the hips.", "What does the back, and the leg, say after them? Stop at once if it spreads."],
    value: "Answer",
  },
  "hold-front": {
    name: "Hold, front of the trunk",
    how: ["Sitting, trunk leaned back to 60°, feet held.", "Until the angle is lost. Not in a flare."],
    value: "Held",
  },
  "hold-back": {
    name: "Hold, back of the trunk",
    how: ["Legs held on a bench, trunk level.", "Until level is lost. Not in a flare."],
    value: "Held",
  },
  "hold-side": {
    name: "Hold, side of the trunk",
    how: ["Side bridge on the forearm, body straight.", "Until the line is lost. Not in a flare."],
    value: "Held",
  },
  "carry-early": {
    name: "One-side carry, first steps",
    how: ["A weight in one hand, ten steps.", "How far does the trunk tilt? 0 not, 3 much."],
    value: "Tilt",
  },
  "carry-late": {
    name: "One-side carry, late",
    how: ["The same weight after a minute.", "How far does the trunk tilt now? 0 not, 3 much."],
    value: "Tilt",
  },
  "hip-order": {
    name: "What works first, hip back",
    how: ["Face down, fingers on buttock, thigh and low back.", "The leg is lifted: which is felt first?"],
    value: "First",
  },
  cue: {
    name: "Which words feel lighter",
    how: [
      "The same hinge twice: once braced, once hips first.",
      "Which felt lighter? After surgery or with pain, braced stays the safer one.",
    ],
    value: "Lighter",
  },
  "side-length": { name: "Length of the side", how: ["Standing: fingers between lowest rib and hip bone."], value: "Fingers" },
  "thigh-girth": { name: "Thigh girth", how: ["Tape a hand's breadth (10 cm) above the kneecap, thigh loose."], value: "Around" },
  "lean-back": {
    name: "Kneeling lean back",
    how: ["Kneeling tall, leaned back in one line.", "How far does the shoulder move before the line is lost?"],
    value: "Back by",
  },
  "weight-share": {
    name: "Weight under each foot",
    how: ["A scale under each foot, five slow rises.", "The part of the weight under this leg."],
    value: "Under this leg",
  },
  "up-and-go": {
    name: "Up and go",
    how: ["From the chair, three metres, turn, back and sit.", "The usual pace, usual shoes."],
    value: "Time",
  },
  "walking-speed": { name: "Walking speed", how: ["Walk at the usual pace; two metres before and after do not count."], value: "Speed" },
};
const wordsOf = (id: string): Words => WORDS[id] ?? { name: id, how: [], value: "Value" };
export const protocolName = (id: string): string => wordsOf(id).name;
export const protocolHow = (id: string): readonly string[] => wordsOf(id).how;
export const valueName = (id: string): string => wordsOf(id).value;
export const isWorded = (id: string): boolean => WORDS[id] !== undefined;

const OPTIONS: Readonly<Record<string, string>> = {
  arms: "Arms leave the hips",
  trunk: "Trunk leans to a side",
  pelvis: "Pelvis drops or turns",
  "knee-inside-toe": "Knee inside the second toe",
  "knee-inside-foot": "Knee inside the whole foot",
  unsteady: "Steps down, or wavers",
  "back-rounds": "Back rounds",
  "pelvis-turns": "Pelvis turns or tips",
  "knees-travel": "Knees travel forward",
  "toes-load": "Weight goes to the toes",
  eases: "Eases, or draws up",
  same: "The same",
  worse: "Worse, in the back",
  spreads: "Spreads below the buttock",
  buttock: "Buttock",
  thigh: "Back of the thigh",
  "low-back": "Low back",
  brace: "Braced",
  "hip-first": "Hips first",
  "no-difference": "No difference",
};
export const optionText = (id: string): string => OPTIONS[id] ?? id;

export const overdueText = (count: number): string => (count === 1 ? "1 measure due again" : `${count} measures due again`);
