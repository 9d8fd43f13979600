import { variationById } from "../../core/catalogue/catalogue";
import type { Dose } from "../../core/catalogue/variation";
import type { Day } from "../../core/day";
import { type Assembled, recipeOf } from "../../core/kit/assemble";
import type { Place } from "../../core/judge/context";
import type { Side } from "../../core/mechanics/channels";
import { type Limit, limitState } from "../../core/limits/limit";
import type { DecisionMove } from "../../core/progress/decide";
import type { MorningClass } from "../../core/progress/morning";
import type { Warning } from "../../core/progress/warning";
import { openWarningsOf, plannedOf, responseTo } from "../../core/record/standing/history";
import { currentPlans } from "../../core/record/standing/plans";
import { fitContextOf } from "../../core/record/standing/context";
import { programmeItems } from "../../core/record/programme/programme";
import type { ClientRecord } from "../../core/record/facts/record";
import type { SchoolChoice } from "../../core/approach/approach";
import type { LeverId } from "../../core/templates/lever";

/** What a colleague standing in tomorrow must know of one client, as data. */
export interface Handover {
  openWarnings: readonly Warning[];
  /** In force or to be asked about; people's before rules'. */
  limits: readonly Limit[];
  school: Pick<SchoolChoice, "preset" | "by" | "reason" | "day"> | null;
  /** What of the form is the joint's own limit, and not to be corrected; what is feared. */
  ownLimit: string;
  fear: string;
  lines: readonly HandoverLine[];
  disagreements: readonly Disagreement[];
}
export interface HandoverLine {
  place: Place;
  side: Side;
  dose: Dose;
  /** How it is put together from what is here: cushions, plates, notch, band. */
  recipes: readonly { lever: LeverId; recipe: Assembled["recipe"] }[];
  last: { day: Day; painScore: number | null; response: MorningClass | null } | null;
}
export type Disagreement =
  | { kind: "overruled"; day: Day; by: string; place: Place; said: DecisionMove; decided: DecisionMove; note: string }
  | { kind: "past-gate"; day: Day; place: Place; note: string }
  | { kind: "set-aside"; day: Day; by: string; ruleId: string; reason: string };

const PEOPLE_FIRST = ["clinician", "client", "measure", "rule"] as const;

export function handoverOf(record: ClientRecord, today: Day): Handover {
  const { sessions, decisions, prescriptions, rungs, screen, school, limits } = record;
  const context = fitContextOf(record, today);
  const items = programmeItems(record, today);
  const places =
    items.length > 0
      ? items.map(({ place, side, dose }) => ({ place, side, dose }))
      : currentPlans(record).map(({ rung, prescription }) => ({ place: rung, side: rung.side, dose: prescription.dose }));
  const lastOf = (place: Place, side: Side): HandoverLine["last"] => {
    for (const session of sessions.toReversed()) {
      const item = session.items.find((each) => {
        const rung = plannedOf(record, each)?.rung;
        return rung?.variationId === place.variationId && rung.side === side && session.sets.some(({ itemId }) => itemId === each.id);
      });
      if (!item) continue;
      const scores = session.sets
        .filter(({ itemId }) => itemId === item.id)
        .flatMap(({ painScore }) => (painScore === null ? [] : [painScore]));
      return {
        day: session.day,
        painScore: scores.length > 0 ? Math.max(...scores) : null,
        response: responseTo(record, session)?.class ?? null,
      };
    }
    return null;
  };
  const itemById = new Map(sessions.flatMap((session) => session.items).map((item) => [item.id, item]));
  const placeOfItem = (itemId: string): Place | null => {
    const item = itemById.get(itemId);
    return (item && plannedOf(record, item)?.rung) ?? null;
  };
  return {
    openWarnings: openWarningsOf(record),
    limits: limits
      .filter((limit) => ["in-force", "ask"].includes(limitState(limit, today)))
      .toSorted((a, b) => PEOPLE_FIRST.indexOf(a.owner.kind) - PEOPLE_FIRST.indexOf(b.owner.kind)),
    school,
    ownLimit: screen.person?.ownLimit ?? "",
    fear: screen.person?.fear ?? "",
    lines: places.map(({ place, side, dose }) => ({
      place: { variationId: place.variationId, setting: place.setting },
      side,
      dose,
      recipes: (Object.entries(place.setting) as [LeverId, number][]).flatMap(([lever, value]) => {
        const recipe = recipeOf(context?.kit.assembled, variationById(place.variationId), lever, value);
        return recipe && recipe.length > 0 ? [{ lever, recipe }] : [];
      }),
      last: lastOf(place, side),
    })),
    disagreements: [
      ...decisions.flatMap(({ overruled, itemId, day, by, move, note }): Disagreement[] => {
        const place = overruled && placeOfItem(itemId);
        return place ? [{ kind: "overruled", day, by, place, said: overruled, decided: move, note }] : [];
      }),
      ...prescriptions.flatMap(({ note, rungId, day }): Disagreement[] => {
        const place = note === "" ? undefined : rungs.find(({ id }) => id === rungId);
        return place ? [{ kind: "past-gate", day, place, note }] : [];
      }),
      ...(screen.setAside ?? []).map(({ day, by, ruleId, reason }): Disagreement => ({ kind: "set-aside", day, by, ruleId, reason })),
    ].toSorted((a, b) => b.day.localeCompare(a.day)),
  };
}
