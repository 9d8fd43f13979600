import { variationById } from "../src/core/catalogue/catalogue";
import { repetitionS } from "../src/core/dose/dose";
import { bandLadder, dropSet, goalLoadKg, nextLoad, tradeLb } from "../src/core/dose/load";
import { proposedDose } from "../src/core/dose/purpose";
import { sideDoses } from "../src/core/dose/sides";
import { repetitionsIn, tempoFrom, tensionS } from "../src/core/dose/tempo";
import type { Issue } from "../src/core/reasons";
import { schoolOf } from "../src/core/approach/approach";
import { buildSession } from "../src/core/session/build";
import { kitChanges, lengthsS, missingFrom, sessionS } from "../src/core/session/session";
import { scan } from "../src/core/session/scan";
import { calendarFile, type CalendarAsked } from "../src/formats/calendar";
import { fadePlan, forecast, kneeForwardStepDone } from "../src/core/week/forecast";
import { type Laid, layOut, moveMissed, refusalOn, type WeekRules } from "../src/core/week/week";
import { dayAfter } from "../src/core/day";
import type { DoseInput, ForecastInput, SessionInput, WeekInput } from "../src/schemas/command-line/plan-input.schema";
import { contextFrom } from "./client";

/** Dose, session, week, forecast and calendar from plain data. */

export function runDose(input: DoseInput): unknown {
  const row = variationById(input.variationId);
  const school = schoolOf({ preset: input.school });
  const proposed = proposedDose(row, input.purpose, { isFirst: input.isFirst, school });
  const tempo = input.tempo === undefined ? proposed.dose.tempo : tempoFrom(input.tempo, row.startsBy);
  const repetitions = input.repetitions ?? proposed.dose.repetitionsHigh;
  const { massKg, goal, assembledKg, loadKg, dropLoadsKg, good, weakSide = null, sideRule, bandsKg, bandUse, setS } = input;
  return {
    ...proposed,
    tempo,
    tensionS: tempo && tensionS(tempo, repetitions),
    repetitionS: tempo && repetitionS({ tempo }),
    ...(setS !== undefined && tempo ? { repetitionsInSet: repetitionsIn(tempo, setS) } : {}),
    ...(goal !== undefined && massKg !== undefined
      ? { goalLoad: { wantedKg: goalLoadKg(massKg, goal), assembledKg: goalLoadKg(massKg, goal, assembledKg ?? null) } }
      : {}),
    ...(loadKg !== undefined ? { loadLb: tradeLb(loadKg), ...(assembledKg ? { nextLoad: nextLoad(loadKg, assembledKg) } : {}) } : {}),
    ...(dropLoadsKg ? { dropSet: dropSet(dropLoadsKg, repetitions) } : {}),
    ...(good ? { sides: sideDoses(good, weakSide, sideRule ?? "equal-weak-first") } : {}),
    ...(bandsKg
      ? {
          bands: bandLadder(
            bandsKg.map((pullKg) => ({ pullKg })),
            bandUse ?? "resists",
          ).map(({ pullKg }) => pullKg),
        }
      : {}),
  };
}
export const doseIssues = ({ tempo, variationId }: DoseInput): Issue[] =>
  tempo !== undefined && tempoFrom(tempo, variationById(variationId).startsBy) === null ? [{ path: "tempo", code: "tempo.unread" }] : [];

export function runSession({
  minutes,
  purpose,
  skeleton,
  weak,
  weakSide = null,
  planned = [],
  sessionNumber,
  ...fit
}: SessionInput): unknown {
  const context = contextFrom(fit);
  const { items, dropped, unfilled, rounds } = buildSession(context, {
    minutes,
    purpose,
    skeletonId: skeleton ?? null,
    weak: "muscle" in weak ? { kind: "muscle", trained: weak.muscle } : { kind: weak.joint },
    weakSide,
    planned,
    sessionNumber,
  });
  const lengths = lengthsS(items);
  return {
    items: items.map((item, i) => ({ code: variationById(item.variationId).code, ...item, lengthS: lengths[i] })),
    lengthS: sessionS(items, rounds),
    rounds,
    kitChanges: kitChanges(items),
    dropped: dropped.map(({ variationId }) => variationById(variationId).code),
    missing: missingFrom(items),
    unfilled,
    scan: scan(context, items),
  };
}

export function runWeek({ from, weeks, weekdays, sessions, done = [], loads = [], missed, ask, school }: WeekInput): unknown {
  const rules: WeekRules = { weekdays, loads, school: schoolOf({ preset: school }) };
  const known: Laid[] = done.map(({ day, often }, i) => ({ id: `done ${i}`, day, often }));
  const laid: Laid[] = [];
  for (let week = 0; week < weeks; week++)
    for (const { often, perWeek } of sessions)
      laid.push(...layOut(perWeek, often, dayAfter(from, 7 * week), 1, rules, [...known, ...laid]));
  const sorted = laid.toSorted((a, b) => a.day.localeCompare(b.day));
  const lost = missed && sorted.find(({ day, often }) => day === missed.day && often === missed.often);
  return {
    sessions: sorted,
    short: sessions.flatMap(({ often, perWeek }) => {
      const placed = laid.filter((each) => each.often === often).length;
      return placed < perWeek * weeks ? [{ often, wanted: perWeek * weeks, placed }] : [];
    }),
    ...(lost ? { moved: moveMissed(lost, [...known, ...sorted], dayAfter(lost.day, 1), rules) } : {}),
    ...(ask ? { asked: { ...ask, refusal: refusalOn(ask.day, { id: "asked", often: ask.often }, [...known, ...laid], rules) } } : {}),
  };
}

export function runForecast({ school, fade, kneeForwardStep, ...asked }: ForecastInput): unknown {
  return {
    ...forecast({ ...asked, sessionsToBuild: schoolOf({ preset: school }).sessionsToBuild }),
    ...(fade ? { fade: fadePlan(fade.startFraction, fade.weeks, fade.painfulWeeks) } : {}),
    ...(kneeForwardStep ? { done: kneeForwardStepDone(kneeForwardStep.heightM, kneeForwardStep.loadKg, kneeForwardStep.massKg) } : {}),
  };
}

export const runCalendar = (input: CalendarAsked): unknown => ({ calendar: calendarFile(input) });
