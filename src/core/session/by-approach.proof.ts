import { expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { sideRuleOf } from "../dose/sides";
import { proposedDose } from "../dose/purpose";
import { contextWith } from "../judge/fit.fixture";
import { usualWeek } from "../record/programme/programme";
import { record } from "../record/facts/record.fixture";
import { AXES, type Axis } from "../approach/axes.data";
import { cuesOf, type School, schoolOf } from "../approach/approach";
import { buildSession } from "./build";

/** All that a client is told to do under an approach, as far as this client shows it. */
function told(school: School, position: string): string {
  const calmRows = CATALOGUE.filter(({ code }) => /^[AKTMEC]/.test(code)).map(({ id }) => id);
  const context = contextWith({ school, calmRows });
  const asked = {
    minutes: 90,
    purpose: "strength",
    skeletonId: null,
    weak: { kind: "knee" },
    weakSide: "right",
    planned: [],
    sessionNumber: 3,
  } as const;
  const row = variationById("raised-sit-to-stand");
  return JSON.stringify({
    session: buildSession(context, asked).items.map(({ variationId, part, dose, sides }) => [variationId, part, dose, sides]),
    leftOut: school.leavings.map(({ codes, onlyWith }) => [codes, onlyWith]),
    cues: CATALOGUE.map((each) => cuesOf(school, each)),
    built: school.buildOrder,
    pain: school.painLimitScore,
    sides: sideRuleOf(school),
    first: proposedDose(row, "strength", { isFirst: true, school }),
    again: proposedDose(row, "strength", { isFirst: false, school }),
    week: usualWeek(
      record({
        school: { id: "s", preset: "mainstream", positions: school.positions, numbers: {}, by: "", reason: "", day: "2026-10-01" },
      }),
    ).often,
    // read where they are asked for: by the gate, and by the order of measuring (record/derive, Assess)
    elsewhere: position,
  });
}
const ELSEWHERE = ["both-sides", "measured-first"];

test.each((AXES as readonly Axis[]).map((axis) => [axis.id, axis] as const))(
  "%s: two of its positions tell a client different things",
  (id, { positions }) => {
    const all = positions.map((position) =>
      told(schoolOf({ preset: "mainstream", positions: { [id]: position.id } }), ELSEWHERE.includes(id) ? position.id : ""),
    );
    expect(new Set(all).size).toBeGreaterThan(1);
  },
);
