import type { BackSign, FurtherQuestion, GoalTask, Medicine } from "../../core/screen/further.data";
import type { Gate, ScreenQuestion } from "../../core/screen/screen";
import type { RuleSource } from "../../core/screen/rules.data";
import type { Symptom } from "../../core/standards/pre-participation";
import { unreachable } from "../../core/reasons";
import { warningText } from "./warning";

export const questionText: Readonly<Record<ScreenQuestion | FurtherQuestion, string>> = {
  signs: "Any of these, now or in the last weeks?",
  conditions: "What is known of joints, back, heart and pregnancy?",
  activity: "Half an hour of planned exercise, three days a week?",
  clearance: "Has a clinician been asked about exercise?",
  goals: "What does the client want back?",
  pain: "How does it hurt?",
  back: "What makes the back worse?",
  medicines: "Which medicines?",
  aids: "What helps: brace, stick, shoes, somebody at home?",
  person: "What is feared, what is the joint's own limit, how much time is there?",
};
export const backSignText: Readonly<Record<BackSign, string>> = {
  sitting: "Long sitting",
  bending: "Bending forward",
  "socks-and-shoes": "Socks and shoes",
  "stiff-on-rising": "Stiff when rising from a seat",
  spreading: "It spreads below the buttock",
  arching: "Arching back",
  "one-side": "On one side only",
};
export const goalText: Readonly<Record<GoalTask, string>> = {
  stairs: "Stairs without the rail",
  rise: "Rise from a seat",
  "lift-from-floor": "Lift from the floor",
  kneel: "Kneel and get up",
  carry: "Carry",
  walk: "Walk",
  pastime: "Return to a pastime",
  pregnancy: "Train on through pregnancy",
};
export const goalMeasureText: Readonly<Partial<Record<GoalTask, string>>> = {
  stairs: "Riser",
  rise: "Seat",
  "lift-from-floor": "Weight lifted",
  carry: "Weight carried",
  walk: "Minutes",
};
export const medicineText: Readonly<Record<Medicine, string>> = {
  "blunts-heart-rate": "Holds the heart rate down",
  "pain-relief": "Pain relief most days",
  "thins-blood": "Thins the blood",
  "lowers-sugar": "Lowers blood sugar",
};
export const familyText = {
  knee: "Knee",
  foot: "Ankle and foot",
  hip: "Hip",
  back: "Back",
  pregnancy: "Pregnancy and birth",
  whole: "Whole body",
} as const;

const CONDITIONS: Readonly<Record<string, string>> = {
  "knee-arthritis": "Arthritis, wear type",
  "knee-inflammatory": "Arthritis, inflammatory",
  "kneecap-pain": "Kneecap pain",
  "knee-replacement": "Knee replaced",
  "ligament-repair": "Ligament repaired",
  "knee-tendon": "Tendon below or above the kneecap",
  sprains: "Sprains that come back",
  "side-hip": "Weak or sore side of the hip",
  "hip-arthritis": "Hip arthritis",
  "tight-hip": "Tight hip",
  "hip-replacement": "Hip replaced",
  "back-bend": "Worse bending forward",
  "back-disc": "Disc, with pain into buttock or leg",
  "nerve-signs": "Tingling, numbness or weakness in a leg",
  "back-arch": "Worse arching back",
  "back-spasm": "Spasm on one side",
  pregnancy: "Pregnant",
  "after-birth": "Gave birth within a year",
  "bone-thinning": "Bone thinning",
  heart: "Heart or vessels",
  "blood-pressure": "High blood pressure",
  diabetes: "Diabetes",
  kidney: "Kidneys",
  "heart-rate-medicine": "Medicine that holds the heart rate down",
  falls: "Falls",
  "shoulder-or-grip": "Shoulder or grip will not hold",
};
export const conditionText = (id: string): string => CONDITIONS[id] ?? id;
export const datedText = { surgery: "Day of the surgery", due: "Due date", birth: "Day of the birth" } as const;

const SYMPTOM_TEXT: Readonly<Record<Symptom, string>> = {
  "chest-pain": "Chest pain or breathlessness beyond the effort",
  "dizzy-or-faint": "Dizzy or faint",
  "breathless-at-rest": "Short of breath at rest or on little effort",
  "breathless-lying": "Short of breath lying flat, or woken by it",
  "ankle-swelling": "Both ankles swelling",
  "racing-heart": "Heart racing or skipping",
  "calf-pain-walking": "Calf pain on walking that rest takes away",
  "heart-murmur": "A heart murmur somebody has heard",
  "unusual-fatigue": "Unusual tiredness with everyday things",
};
export const symptomText = (symptom: Symptom): string => SYMPTOM_TEXT[symptom];
const isSymptom = (id: string): id is Symptom => Object.hasOwn(SYMPTOM_TEXT, id);

/** What a rule says, to the trainer. */
const RULES: Readonly<Record<string, string>> = {
  "arthritis-impact": "No landing, jumping or stamping on an arthritic knee.",
  "inflammatory-impact": "No landing, jumping or stamping on an inflamed joint.",
  "inflammatory-hot": "On a hot or swollen day: light, little range, nothing new.",
  "arthritis-deep": "No deep squat or lunge on an arthritic knee in this practice: partial and supported ones do the work.",
  "inflammatory-deep": "No deep squat or lunge on an inflamed knee: partial and supported ones do the work.",
  "hip-arthritis-impact": "No landing or jumping on an arthritic hip.",
  "hip-arthritis-deep": "No full depth and no widest stance for an arthritic hip.",
  "kneecap-step-down": "No unsupported step-down or lunge onto the rear knee until they are calm with support.",
  "replacement-first": "A replaced knee: the surgeon or physiotherapist has agreed to exercise outside therapy.",
  "replacement-straight": "Straight first, then bend: 0° and 110° come before depth or load.",
  "replacement-range-first":
    "Straightening and bend before strength: until 0° and 110° are measured, range work, sitting work and the high seat.",
  "replacement-deep": "Smooth stairs and chairs are the aim of a replaced knee, not depth; no face-down hang.",
  "replacement-impact": "No landing or jumping on a replaced knee.",
  "replacement-kneeling": "No kneeling on the replaced knee in its first year.",
  "repair-first": "A repaired ligament: the surgeon or physiotherapist says what is allowed at this stage.",
  "repair-impact": "No landing, jumping or quick turns before ten months.",
  "repair-weight": "No added weight in the first twelve weeks.",
  "repair-early": "In the first twelve weeks: no step-downs, deep or tiptoe work, no lowering for the hamstrings.",
  "repair-face-down": "Before ten months no face-down hang or thigh stretch and no heavy full-range extension; the supported ways instead.",
  "repair-shift": "Most leg work one leg at a time: weight shifts off the repaired side unseen.",
  "tendon-height": "Load before height, in blocks of six weeks; nothing pushed through pain.",
  "sprain-barefoot": "Heel raise on a coin before tiptoe or barefoot work; nothing quick on a foot that rolls in.",
  "hip-lunge": "Lunges held and short; the sore side first; no stretch on a healing tendon.",
  "hip-stretch": "A healing hip tendon is not stretched hard: pressed holds instead.",
  "tight-hip-drill": "The hip's own drill before depth: measure its bend, and where the pelvis tucks, on Assess.",
  "hip-replacement-first": "A replaced hip: ask the surgeon which bends, turns and crossings are allowed.",
  "hip-replacement-turns": "No full depth, widest stance or turning drills on a replaced hip before the surgeon has said so.",
  "hip-replacement-impact": "No landing or jumping on a replaced hip.",
  "bend-calm-pose":
    "Depth stops where the pelvis tucks: measure it on Assess, and the calm pose with “low back, worse bending” as what hurts.",
  "bend-rows": "No bar from the floor, bent row, seated or hinged bending under load; no two-leg press where the seat curls: one leg.",
  "disc-first": "Pain into the buttock or leg: a physician has looked at it first.",
  "disc-bar": "No bar on the shoulders.",
  "disc-rows": "While it is active: no bar on the back, floor deadlift, overhead bar or bent row, no long loaded conditioning.",
  "nerve-first": "Tingling, numbness or weakness: a physician has looked at it first. Note how far down the leg it goes.",
  "nerve-bar": "No bar on the shoulders.",
  "nerve-rows": "Nothing that could spread the symptoms: no bar from the floor or on the back, no loaded bending.",
  "arch-range": "Thrusts and back extensions stop short of arching, tuck at the top; no overhead bar, no swinging extension.",
  "spasm-carry":
    "Single-leg hinge, one-side carry, get-up and squat to press wait until the pelvis stays level: carry a weight on each side, on Assess.",
  "pregnancy-first": "The maternity team has agreed to exercise.",
  "pregnancy-new": "New to exercise: nothing that was not done before is loaded until the maternity team says so.",
  "pregnancy-lying": "No lying flat on the back from 14 weeks 0 days.",
  "pregnancy-breath": "No breath-holding.",
  "pregnancy-impact": "No landing or jumping.",
  "pregnancy-face-down": "No lying on the belly from 14 weeks.",
  "pregnancy-rows": "From 14 weeks: nothing that the belly blocks or a bar presses; wide, partial and banded ones instead.",
  "pregnancy-balance": "From 14 weeks: one leg alone without a hand is left out, for the balance has moved; with a hand it stays.",
  "pregnancy-bend-twist": "From 14 weeks: no bending with a turn.",
  "pregnancy-late": "In the last trimester no plank that bulges the midline, no full depth.",
  "pregnancy-belly": "Room for the belly: wide stance, top half of the range; she says at each repetition where it meets.",
  "pregnancy-belly-late": "More room for the belly in the last trimester.",
  "birth-first": "In the first twelve weeks after a birth: the maternity team has agreed.",
  "birth-impact": "No landing or jumping in the first twelve weeks after a birth.",
  "birth-midline": "In the first twelve weeks after a birth no planks or curls: breath and small trunk work first.",
  "bone-impact": "No landing or jumping on thinning bone.",
  "bone-bend-twist": "No bending of the spine under load: the hinge keeps it straight.",
  "bone-twist": "No loaded twisting of the spine.",
  "heart-breath": "No breath-holding.",
  "heart-sprint": "No sprints or jumps with a heart condition.",
  "pressure-breath": "No breath-holding.",
  "pressure-reading": "Ask for a reading: over 180 or 110 do not start, from 160 or 100 ask the clinician.",
  "diabetes-feet": "Shoes on, feet looked at, something to eat at hand; the trainer doses neither food nor medicine.",
  "heart-rate-effort": "Effort by breath and words, not by heart rate: the medicine holds it down.",
  "falls-support": "A hold within reach in everything that stands.",
  "falls-rows": "With a risk of falling: nothing far out on one leg, on tiptoe, backwards or outdoors on a bike.",
  "grip-rows": "Nothing that hangs on the hands, is held out in front or goes overhead for a sore shoulder or hand.",
  "grip-support": "Supports that do not ask this shoulder or hand: seat and rail before pole and strap.",
};
export const ruleText = (id: string): string => RULES[id] ?? id;

/** Who to turn to for a sign, in general terms, in words a client uses. */
export function whomText(sign: string): string {
  switch (sign) {
    case "chest-pain":
    case "faint":
    case "bladder-bowel":
    case "severe-headache":
      return "Call the emergency services.";
    case "bleeding-or-fluid":
    case "belly-or-pelvic":
      return "Call the maternity team now.";
    default:
      return "Ring the treating clinician today, before any more training.";
  }
}

const SOURCES: Readonly<Record<string, string>> = {
  "rausch-osthoff-2018": "EULAR recommendations 2018",
  "rowe-2000": "Rowe 2000, knee bend for everyday tasks",
  "acog-804": "ACOG Committee Opinion 804, 2020",
  "sinaki-1984": "Sinaki and Mikkelsen 1984",
  "williams-2007": "AHA statement on resistance exercise, 2007",
  "tanaka-2001": "Tanaka 2001, Brawner 2004",
  "colberg-2016": "ADA position statement 2016",
  "rikli-jones-1999": "Rikli and Jones 1999",
  "bohannon-2006": "Bohannon 2006, five rises",
  "bohannon-2006-tug": "Bohannon 2006, up and go",
  "bohannon-2011": "Bohannon and Williams Andrews 2011",
  "springer-2007": "Springer and others 2007",
  "piva-2006": "Piva and others 2006",
  "lunsford-1995": "Lunsford and Perry 1995",
  "bennell-1998": "Bennell and others 1998",
  "powden-2015": "Powden and others 2015",
  "roach-miles-1991": "Roach and Miles 1991",
  "boone-1978": "Boone and others 1978",
  "mcgill-2002": "McGill 2002, young adults",
  "gill-2008": "Gill and McBurney 2008",
  "goldberg-2012": "Goldberg and others 2012",
  "kennedy-2005": "Kennedy and others 2005",
  "perera-2006": "Perera and others 2006",
};
export function sourceText(source: RuleSource): string {
  switch (source.kind) {
    case "published":
      return SOURCES[source.id] ?? source.id;
    case "trade":
      return "common practice, no source";
    case "own":
      return "◊ our own reasoning, yours to change";
    default:
      return unreachable(source);
  }
}

const BECAUSE: Readonly<Record<string, string>> = {
  "clearance-refused": "A clinician has advised against exercise.",
  "clearance-recommended": "A clinician's clearance is recommended before exercise begins.",
};
const becauseText = (id: string): string => BECAUSE[id] ?? RULES[id] ?? (isSymptom(id) ? symptomText(id) : warningText(id));

/** Where the screen stands, in one line and its reasons. */
export function gateText(gate: Gate): { head: string; reasons: readonly string[] } {
  switch (gate.state) {
    case "open":
      return { head: "A session may be built.", reasons: [] };
    case "missing":
      return { head: "No session yet: something was not asked.", reasons: gate.missing.map((question) => questionText[question]) };
    case "refer":
      return { head: "Refer first: a clinician looks before a session.", reasons: gate.because.map(becauseText) };
    case "stop":
      return { head: "Stop: no session until a clinician has cleared it.", reasons: gate.because.map(becauseText) };
    default:
      return unreachable(gate);
  }
}
