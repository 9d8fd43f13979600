import { CATALOGUE, variationById } from "../src/core/catalogue/catalogue";
import { PATTERNS } from "../src/core/catalogue/variation";
import { recipeOf } from "../src/core/kit/assemble";
import { compareSchools } from "../src/core/progressions/compare";
import type { FitReason } from "../src/core/judge/fit-reason";
import { fitCatalogue } from "../src/core/progressions/list";
import { fitVariation } from "../src/core/progressions/search";
import { buildOnce, easeOnce } from "../src/core/progressions/step";
import { differencesOf, NUMBER_BOUNDS, type SchoolNumbers } from "../src/core/approach/approach";
import { RULE } from "../src/core/screen/screen";
import type { LeverId } from "../src/core/templates/lever";
import type { CatalogueInput, CompareInput, FitInput, NeighboursInput } from "../src/schemas/command-line/core-input.schema";
import { contextFrom } from "./client";
import { schoolFrom } from "./told";

/** A rule that closes is named beside its limit, so that nobody need take the limit's id apart. */
const withRule = (reason: FitReason): object =>
  "limitId" in reason && reason.limitId.startsWith(RULE) ? { ...reason, rule: reason.limitId.slice(RULE.length).split(" ")[0] } : reason;

export function runFit(input: FitInput): unknown {
  const context = contextFrom(input);
  const wanted = input.patterns ?? (input.pattern ? [input.pattern] : PATTERNS);
  return fitCatalogue(
    context,
    CATALOGUE.filter(({ pattern }) => wanted.includes(pattern)),
  ).map(({ variationId, state, setting, tightest, reasons, opening, ...rest }) => {
    const { code, pattern, name } = variationById(variationId);
    const recipes = Object.entries(setting).flatMap(([lever, value]) => {
      const recipe = recipeOf(context.kit.assembled, variationById(variationId), lever as LeverId, value);
      return recipe ? [[lever, recipe] as const] : [];
    });
    return {
      code,
      variationId,
      name,
      pattern,
      state,
      setting,
      recipe: Object.fromEntries(recipes),
      use: tightest
        ? { channel: tightest.channel, side: tightest.side, low: tightest.low, head: tightest.head, high: tightest.high }
        : null,
      reasons: reasons.map(withRule),
      opening,
      ...rest,
      tightest,
    };
  });
}

const codeOf = (id: string): string => variationById(id).code;
/** Two schools on one client: what each opens, takes first and does next, where they differ. */
export function runCompare({ schools: [a, b], ...fit }: CompareInput): unknown {
  const schools = { a: schoolFrom(a), b: schoolFrom(b) };
  const wanted = fit.patterns ?? (fit.pattern ? [fit.pattern] : PATTERNS);
  const { rows, first } = compareSchools(contextFrom(fit), schools, wanted);
  return {
    differences: differencesOf(schools.a, schools.b),
    numbers: Object.fromEntries(
      (Object.keys(NUMBER_BOUNDS) as (keyof SchoolNumbers)[]).map((name) => [name, [schools.a[name], schools.b[name]]]),
    ),
    rows: rows.map(({ variationId, ...seen }) => ({ code: codeOf(variationId), variationId, ...seen })),
    first: first.map(({ pattern, ...taken }) => ({
      pattern,
      ...Object.fromEntries(Object.entries(taken).map(([name, of]) => [name, of && { code: codeOf(of.place.variationId), ...of }])),
    })),
  };
}

/** One step either way of a rung, and the rows beside it on the ladder. */
export function runNeighbours({ variationId, setting, dose, ...fit }: NeighboursInput): unknown {
  const context = contextFrom(fit);
  const { easier, harder, dose: usual } = variationById(variationId);
  const place = { variationId, setting };
  const beside = (ids: readonly string[]): object[] =>
    ids.map((id) => {
      const { state, setting: fitted, reasons } = fitVariation(context, variationById(id));
      return { code: codeOf(id), variationId: id, state, setting: fitted, reason: withRule(reasons[0]) };
    });
  return {
    ease: easeOnce(context, place, dose ?? usual),
    build: buildOnce(context, place, dose ?? usual),
    easier: beside(easier),
    harder: beside(harder),
  };
}

/** Rows of the catalogue as plain data. */
export const runCatalogue = ({ codes, patterns }: CatalogueInput): unknown =>
  CATALOGUE.filter(({ code, pattern }) => (codes?.includes(code) ?? true) && (patterns?.includes(pattern) ?? true));
