"use client";
import { recipeOf } from "../../../core/kit/assemble";
import { cuesFor } from "../../../core/judge/cues";
import type { LeverId } from "../../../core/templates/lever";
import type { UnitSystem } from "../../../core/units";
import { TextButton } from "../../kit/button";
import { leverName, recipeText } from "../../../words/basics/lever";
import type { FloorSession } from "./floor-session";

/** From what it is set up, what to say, and what is hers and no fault. */
export function SetUpLines(props: {
  session: FloorSession;
  units: UnitSystem;
  ownLimit: string;
  /** By row, the cue that felt lighter when two were compared. */
  lighter: Readonly<Record<string, string>>;
}) {
  const { session, units, ownLimit, lighter } = props;
  const { context, variation, place, item, next } = session;
  const recipes = (Object.entries(place.setting) as [LeverId, number][]).flatMap(([lever, value]) => {
    const recipe = recipeOf(context.kit.assembled, variation, lever, value);
    return recipe && recipe.length > 0 ? [`${leverName(lever).toLowerCase()}: ${recipeText(recipe, units)}`] : [];
  });
  const here = session.log.state.compared.findLast((each) => each.itemId === item.itemId && each.lighter !== null);
  const felt = here ? here.cues[here.lighter ?? 0] : lighter[variation.id];
  const cues = [...(felt ? [`${felt}, which felt lighter`] : []), ...cuesFor(context, variation).filter((cue) => cue !== felt)].slice(0, 2);
  const comesFirst = next?.variationId === item.variationId && next.side !== item.side && session.sets.length === 0 ? next.side : null;
  return (
    <>
      {recipes.length > 0 && <p>{recipes.join("; ")}</p>}
      {cues.length > 0 && <p>{cues.join(". ")}.</p>}
      {ownLimit !== "" && <p>Own limit, not to be corrected: {ownLimit}</p>}
      {session.isSkipped && <TextButton onPress={() => session.skip(item.itemId)}>take it up again</TextButton>}
      {comesFirst && <p role="status">The {comesFirst} side goes first in this one: meant so?</p>}
    </>
  );
}
