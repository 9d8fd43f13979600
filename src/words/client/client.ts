import type { ChannelSide } from "../../core/mechanics/channels";
import type { Site } from "../../core/limits/complaint";
import type { HomeTask, ThanUsual } from "../../core/record/facts/home-told";

/** Words a client uses, on their own page. No word of a trainer's, none that judges. */
export const JOINT: Readonly<Record<Site, string>> = {
  kneecap: "knee",
  knee: "knee",
  hip: "hip",
  "low-back": "back",
  "back-bend": "back",
  ankle: "ankle",
  foot: "foot",
  "side-hip": "side of the hip",
  groin: "groin",
  pelvis: "pelvis",
  "upper-back": "upper back",
  neck: "neck",
  shoulder: "shoulder",
  elbow: "elbow",
  "wrist-hand": "wrist or hand",
  belly: "belly or pelvic floor",
  other: "sore place",
};
export const jointText = ({ site, side }: { site: Site; side: ChannelSide }): string =>
  site === "low-back" || site === "back-bend" || side === "both" ? JOINT[site] : `${side} ${JOINT[site]}`;

export const thanUsualText: Readonly<Record<ThanUsual, string>> = { 0: "As usual, or better", 1: "A little more", 2: "Clearly more" };

export const taskQuestion: Readonly<Record<HomeTask, string>> = {
  stairs: "One flight of stairs, up and down",
  chair: "Up from your chair five times",
  walk: "A walk of ten minutes",
};
export const levelText = ["Easy", "Some effort", "Hard", "Not done"] as const;

/** Signs as a client would say them, and whom to call. Source of the signs: core/limits/clinician. */
export const clientSignText: Readonly<Record<string, string>> = {
  "chest-pain": "Chest pain, or short of breath at rest",
  faint: "Dizzy or faint",
  "hot-swollen-joint": "A joint hot, red or suddenly swollen, or fever",
  "calf-swelling": "A calf hot or swollen",
  "giving-way": "The knee gave way or locked",
  "bladder-bowel": "Numb between the legs, or trouble with bladder or bowel",
  "leg-weakness": "A leg getting weaker",
  "spreading-pain": "Pain spreading down the leg",
  "bleeding-or-fluid": "Bleeding, fluid, contractions, or the baby moving less",
  "belly-or-pelvic": "Pressure in belly or pelvis",
  "severe-headache": "A sudden, severe headache",
  "other-sign": "Something else that worries you",
};
/** Those that wait for nobody. */
const AT_ONCE = ["chest-pain", "calf-swelling", "bladder-bowel", "severe-headache", "bleeding-or-fluid", "faint", "leg-weakness"];
export function signAdvice(signs: readonly string[]): string {
  if (signs.includes("bleeding-or-fluid")) return "Call your maternity team or the emergency services now.";
  return signs.some((sign) => AT_ONCE.includes(sign)) ? "Call the emergency services now." : "Call your doctor or physiotherapist today.";
}

export const NOBODY_WATCHES = "Nobody watches this page. In an emergency call the emergency services.";

/** What a client agrees to before anything else is shown or told; its version is core/record/home CONSENT_VERSION. */
export const CONSENT_TEXT: readonly string[] = [
  "This page shows your exercises for home. You can tell your trainer how they went, and how the morning after was.",
  "What you tell here goes to your trainer’s studio and to nobody else. Your trainer’s own notes are not on this page.",
  "It is no medical advice, and nobody watches it. In an emergency call the emergency services.",
  "Stop an exercise when it is sharp, spreads or gives way. What your clinician told you comes first.",
  "Whoever has this link can see this page. You can stop it at any time, below, and ask your trainer to erase what you told.",
];
export const SHARED: readonly string[] = [
  "Your trainer’s studio sees: sets you log, with repetitions and pain; how mornings were; the everyday task; warning signs.",
  "The studio does not see where you are, when you only look, or anything else on your phone.",
  "To stop: the button below ends this link at once. What you told stays with the studio until you ask for it to be erased.",
];
export const CLIENT_REFUSALS: Readonly<Record<string, string>> = {
  "not-on-sheet": "not on your sheet any more",
  "too-many-today": "more than can be told in one day; tell your trainer",
  "no-consent": "you have not agreed yet",
  "bad-input": "could not be read",
  "not-asked": "was not asked",
};
