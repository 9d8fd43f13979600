"use client";
import { memo, useMemo } from "react";
import { variationById } from "../../core/catalogue/catalogue";
import type { FitContext, Place } from "../../core/judge/context";
import { ask, AT_THE_POSE } from "../../core/templates/ask";
import type { Movement } from "../../core/templates/movement";
import { tightestJoint } from "../../core/templates/pose";
import type { UnitSystem } from "../../core/units";
import { Figure } from "./figure";

export interface MovingFigureProps extends Pick<FitContext, "subject"> {
  place: Place;
  movement: Movement;
  /** How far along: 1 is where its levers set it. */
  part: number;
  increments: FitContext["kit"]["increments"];
  units: UnitSystem;
}

/** One place drawn to scale somewhere along its movement, in a frame that holds all of it. */
export const MovingFigure = memo(function MovingFigure(props: MovingFigureProps) {
  const { subject, place, movement, part, increments, units } = props;
  const variation = variationById(place.variationId);
  const asked = useMemo(() => {
    const found = ask(subject, variation, place.setting, AT_THE_POSE);
    const demands = found.ok ? found.demands : [];
    return { demands, joint: tightestJoint(movement.end, demands) };
  }, [subject, variation, place.setting, movement]);
  const alsoHolds = useMemo(() => [movement.at(0), movement.end], [movement]);
  return (
    <Figure
      subject={subject}
      form={variation}
      name={variation.name}
      setting={place.setting}
      units={units}
      increments={increments}
      pose={movement.at(part)}
      alsoHolds={alsoHolds}
      {...asked}
    />
  );
});
