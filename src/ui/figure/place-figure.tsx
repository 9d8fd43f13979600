"use client";
import { memo, useMemo } from "react";
import { variationById } from "../../core/catalogue/catalogue";
import type { FitContext, Place } from "../../core/judge/context";
import { movementOf } from "../../core/templates/movement";
import { poseOf } from "../../core/templates/pose";
import { MovingFigure, type MovingFigureProps } from "./moving-figure";
import { Pictogram } from "./pictogram";
import { posedOf } from "./row-poses.data";

/** One place drawn small, to scale where the model knows it; nothing where nobody has drawn it. */
export const PlaceFigure = memo(function PlaceFigure(props: Omit<MovingFigureProps, "movement" | "part">) {
  const { subject, place } = props;
  const variation = variationById(place.variationId);
  const movement = useMemo(() => movementOf(subject, variation, place.setting), [subject, variation, place.setting]);
  if (movement) return <MovingFigure {...props} movement={movement} part={1} />;
  const posed = posedOf(variation);
  return posed ? <Pictogram posed={posed} label={`How ${variation.name} is done; not to scale`} /> : null;
});
/** Whether there is anything to draw. */
export const canDraw = (subject: FitContext["subject"], { variationId, setting }: Place): boolean =>
  posedOf(variationById(variationId)) !== undefined || poseOf(subject, variationById(variationId), setting).ok;
