import { expose } from "comlink";
import { takeIn, variationById, variationsOf } from "../core/catalogue/catalogue";
import type { Pattern } from "../core/catalogue/variation";
import { compareSchools } from "../core/progressions/compare";
import type { FitContext, Place } from "../core/judge/context";
import { fitCatalogue } from "../core/progressions/list";
import { leverCeilings } from "../core/progressions/search";
import { waysOff } from "../core/progressions/relief";
import { stairAround, stairToGoal } from "../core/progressions/stair";
import { easeByLever, nextBuild } from "../core/progressions/step";
import type { School } from "../core/approach/approach";
import { buildSession, type SessionAsked } from "../core/session/build";
import { scan } from "../core/session/scan";
import type { SessionItem } from "../core/session/session";
import type { Setting } from "../core/templates/lever";

/** How much of the stair is in view around a rung. */
const STAIR = { down: 2, up: 6 };

/** A worker knows no rows but those it is told. */
function knowing(context: FitContext): FitContext {
  takeIn(context.own ?? []);
  return context;
}

/** Whatever takes longer than a frame: searching, stairs and ways, off the page's thread. */
const work = {
  search: (context: FitContext, pattern: Pattern, known: Setting) =>
    fitCatalogue(knowing(context), variationsOf(pattern, context.own), known),
  around: (context: FitContext, place: Place) => ({
    stair: stairAround(knowing(context), place, STAIR),
    ease: easeByLever(context, place),
    build: nextBuild(context, place),
    leverCeilings: leverCeilings(context, variationById(place.variationId), place.setting),
  }),
  waysOff: (context: FitContext, place: Place) => waysOff(knowing(context), place),
  session: (context: FitContext, asked: SessionAsked) => buildSession(knowing(context), asked),
  scan: (context: FitContext, items: readonly SessionItem[]) => scan(knowing(context), items),
  compare: (context: FitContext, a: School, b: School) => compareSchools(knowing(context), { a, b }),
  route: (context: FitContext, from: Place, goal: Place) => stairToGoal(knowing(context), from, goal),
};
export type FitWork = typeof work;

expose(work);
