import { expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import type { Place } from "../judge/context";
import { contextWith } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed, fewerSets, type Stepped } from "../progressions/step";
import { nFromKgf } from "../units";
import type { PerformedSet } from "../floor/events";
import { decide, type DecisionInput, type DecisionMove } from "./decide";
import { known, NOT_MEASURED } from "../known";
import type { MorningClass } from "./morning";
import type { Uncounted } from "./decision-reason";

/**
 * Every kind of last session, morning, rung and next step, against the table as a practitioner reads it (design,
 * gate, and rules learnt from the first use; handbook E), written from the text and not from the code.
 */
const ENDS = [
  "clean",
  "over the number",
  "seven",
  "muscle over it",
  "muscle over five",
  "sharp",
  "spreading",
  "belly",
  "joint",
  "cramp",
  "form-lost",
] as const;
const SPACE = {
  warning: [false, true],
  end: ENDS,
  morning: ["calm", "not known", "noticed", "flare"],
  isSwollen: [false, true],
  counts: ["as planned", "eased", "under relief", "check-in missing", "check-in warned", "morning late", "sign said"],
  amount: ["whole", "a set missing", "repetitions missing"],
  tank: ["enough", "too little", "not said"],
  hasFault: [false, true],
  before: ["good", "not good", "weeks ago", "none"],
  away: ["no", "two weeks", "four weeks"],
  isPlanChanged: [false, true],
  rung: ["open", "forbidden", "not measured"],
  isProvisional: [false, true],
  otherSide: ["level", "behind", "short today"],
  isEasierThere: [true, false],
  next: ["open", "closed", "a try", "not measured", "too big", "none"],
} as const;
type Case = { -readonly [K in keyof typeof SPACE]: (typeof SPACE)[K][number] };

interface Line {
  when: (told: Case) => boolean;
  then: DecisionMove | "one easier" | "two easier" | "out of it" | "two easier or out of it" | "a set fewer" | "a step given back";
}
const hurtBadly = ({ end, morning, isSwollen }: Pick<Case, "end" | "morning" | "isSwollen">): boolean =>
  end === "sharp" || end === "seven" || morning === "flare" || isSwollen;
/** Top to bottom: the first line that holds decides. */
const TABLE: readonly Line[] = [
  { when: ({ warning }) => warning, then: "stop" },
  { when: ({ end }) => end === "spreading" || end === "belly", then: "stop" },
  // two steps lead out of it here as well
  { when: ({ rung, ...told }) => rung === "forbidden" && hurtBadly(told), then: "two easier or out of it" },
  { when: ({ rung }) => rung === "forbidden", then: "out of it" },
  { when: hurtBadly, then: "two easier" },
  { when: ({ end }) => end === "over the number" || end === "joint", then: "one easier" },
  { when: ({ away }) => away === "two weeks", then: "a set fewer" },
  { when: ({ away }) => away === "four weeks", then: "a step given back" },
  // nothing is held against anybody, and nothing is built on it
  { when: ({ morning }) => morning !== "calm", then: "hold" },
  {
    when: ({ end, counts, amount, tank, hasFault }) =>
      counts !== "as planned" || amount !== "whole" || tank !== "enough" || hasFault || end === "muscle over five",
    then: "hold",
  },
  { when: ({ end }) => end === "cramp" || end === "form-lost", then: "hold" },
  { when: ({ before }) => before !== "good", then: "hold" },
  { when: ({ isPlanChanged }) => isPlanChanged, then: "hold" },
  { when: ({ otherSide }) => otherSide !== "level", then: "hold" },
  { when: ({ rung, isProvisional }) => rung === "not measured" || isProvisional, then: "hold" },
  { when: ({ next }) => next === "open" || next === "a try", then: "build" },
  { when: () => true, then: "hold" },
];

const PLACE: Place = { variationId: "box-squat-pole", setting: { seatHeightM: 0.66, handForceN: nFromKgf(8), shareFraction: 0.5 } };
const DOSE = variationById("box-squat-pole").dose;
const CONTEXT = contextWith();
const HERE = judge(CONTEXT, variationById(PLACE.variationId), PLACE.setting);
const REASON = HERE.reasons[0];
const RUNGS = {
  open: HERE,
  forbidden: {
    ...HERE,
    state: "closed" as const,
    reasons: [{ code: "over-rail", channel: "kneeFlexion", side: "right", value: 1, most: 0 }],
  },
  "not measured": { ...HERE, state: "not-measured" as const },
};
const EASE = {
  fewer: fewerSets(CONTEXT, PLACE, DOSE),
  one: easeOnce(CONTEXT, PLACE, DOSE),
  two: easeTwice(CONTEXT, PLACE, DOSE),
  out: easeUntilAllowed(CONTEXT, PLACE, DOSE),
};
const BUILD = buildOnce(CONTEXT, PLACE, DOSE)!;
const nextIs = (state: "open" | "closed" | "try" | "not-measured", size = BUILD.tread.size): Stepped => ({
  ...BUILD,
  tread: { ...BUILD.tread, size, judgement: { ...BUILD.tread.judgement, state, reasons: [REASON] } as never },
});
const NEXT = {
  open: nextIs("open"),
  closed: nextIs("closed"),
  "a try": nextIs("try"),
  "not measured": nextIs("not-measured"),
  "too big": nextIs("open", "too-big"),
  none: null,
};
const GOAL = DOSE.repetitionsHigh;
const clean: PerformedSet = { repetitions: GOAL, painScore: 1, leftInTank: null, faults: [], endedBy: "pain-tap" };
const last = { ...clean, leftInTank: 2 };
const answered = (answer: MorningClass, newSwelling = false) => known({ class: answer, newSwelling, soreMuscles: false });
const GOOD = {
  sets: [clean, clean, last],
  eased: false,
  uncounted: null,
  morning: answered("calm"),
  day: "2026-11-16",
} as const;

function setsOf({ end, amount, tank, hasFault }: Case): PerformedSet[] {
  const first: PerformedSet =
    end === "clean"
      ? clean
      : end === "over the number"
        ? { ...clean, painScore: 4 }
        : end === "seven"
          ? { ...clean, painScore: 7 }
          : end === "muscle over it"
            ? { ...clean, painScore: 4, painKind: "muscle-work" }
            : end === "muscle over five"
              ? { ...clean, painScore: 6, painKind: "muscle-work" }
              : { ...clean, endedBy: end };
  const left = tank === "enough" ? 2 : tank === "too little" ? 1 : null;
  const final = {
    ...clean,
    leftInTank: left,
    faults: hasFault ? ["knees-in"] : [],
    repetitions: amount === "repetitions missing" ? GOAL - 1 : GOAL,
  };
  return amount === "a set missing" ? [first, final] : [first, clean, final];
}

const UNCOUNTED_BY: Record<Case["counts"], Uncounted | null> = {
  "as planned": null,
  eased: null,
  "under relief": "under-relief",
  "check-in missing": "check-in-missing",
  "check-in warned": "check-in-warned",
  "morning late": "morning-late",
  "sign said": "sign-said",
};
function inputOf(told: Case): DecisionInput {
  const earlier = {
    good: [GOOD],
    "not good": [{ ...GOOD, morning: answered("noticed") }],
    "weeks ago": [{ ...GOOD, day: "2026-11-06" }],
    none: [],
  };
  const before = earlier[told.before];
  return {
    today: "2026-11-26",
    dose: DOSE,
    sessions: [
      ...before,
      {
        day: "2026-11-20",
        sets: setsOf(told),
        eased: told.counts === "eased",
        uncounted: UNCOUNTED_BY[told.counts],
        morning: told.morning === "not known" ? NOT_MEASURED : answered(told.morning, told.isSwollen),
      },
    ],
    away: AWAY[told.away],
    fewerSets: EASE.fewer,
    isPlanChanged: told.isPlanChanged,
    openWarnings: told.warning ? [{ sourceId: "s", sign: "faint", day: "2026-10-01", at: "2026-10-01" }] : [],
    painLimitScore: 3,
    sessionsToBuild: 2,
    provisional: told.isProvisional,
    current: RUNGS[told.rung] as DecisionInput["current"],
    ease: told.isEasierThere ? EASE.one : null,
    easeTwice: told.isEasierThere ? EASE.two : null,
    easeUntilAllowed: told.isEasierThere ? EASE.out : null,
    build: NEXT[told.next],
    proposedCeiling: null,
    isAhead: told.otherSide === "behind",
    isOtherShort: told.otherSide === "short today",
    holdsRunning: 0,
    sharpMarks: 0,
  };
}
const AWAY = { no: null, "two weeks": { days: 15, step: "set-fewer" }, "four weeks": { days: 30, step: "rung-lower" } } as const;
const EASED_TO = {
  "one easier": EASE.one,
  "two easier": EASE.two,
  "out of it": EASE.out,
  "two easier or out of it": EASE.two,
  "a set fewer": EASE.fewer,
  "a step given back": EASE.one,
} as const;

/** Each question's first answer is how it should be. */
const KEYS = Object.keys(SPACE) as (keyof Case)[];
const AS_IT_SHOULD = Object.fromEntries(KEYS.map((key) => [key, SPACE[key][0]])) as unknown as Case;

/** Every case in which at most so many things are not as they should be. */
function* casesWith(atMost: number, from = 0, told: Case = AS_IT_SHOULD): Generator<Case> {
  yield told;
  if (atMost === 0) return;
  for (let i = from; i < KEYS.length; i++)
    for (const answer of SPACE[KEYS[i]!].slice(1)) yield* casesWith(atMost - 1, i + 1, { ...told, [KEYS[i]!]: answer });
}

test("every case with up to four things amiss is decided as the table says", () => {
  const counts: Partial<Record<DecisionMove, number>> = {};
  const wrong: string[] = [];
  for (const told of casesWith(4)) {
    if (told.morning === "not known" && told.isSwollen) continue; // swelling is told in a morning
    const { then } = TABLE.find(({ when }) => when(told))!;
    const eased = then in EASED_TO ? EASED_TO[then as keyof typeof EASED_TO] : null;
    // after a time away a set can still be given back; where nothing easier is left it stands
    const left = then === "a set fewer" ? true : told.isEasierThere;
    const otherwise = then === "a step given back" ? "hold" : "rest";
    const move: DecisionMove = eased === null ? (then as DecisionMove) : left ? "ease" : otherwise;
    const decided = decide(inputOf(told));
    counts[move] = (counts[move] ?? 0) + 1;
    const isThere = move !== "ease" || decided.next?.setting === eased?.tread.setting;
    if (decided.move !== move || !isThere) wrong.push(`${JSON.stringify(told)}: the table says ${then}, the gate ${decided.move}`);
  }
  expect(wrong.slice(0, 3)).toEqual([]);
  // a build comes of eight alone: clean or a muscle at work, onto an open step or a try, whatever easier there is
  expect(counts).toEqual({ build: 8, ease: 35800, hold: 22811, rest: 3278, stop: 18144 });
});
