"use client";
import { memo, useMemo } from "react";
import { variationById } from "../../core/catalogue/catalogue";
import type { FitContext, Place } from "../../core/fit/context";
import { ask, AT_THE_POSE } from "../../core/templates/ask";
import { poseOf } from "../../core/templates/pose";
import type { UnitSystem } from "../../core/units";
import { Figure } from "./figure";
import { Pictogram } from "./pictogram";
import { posedOf } from "./row-poses.data";

/** One place drawn small, to scale where the model knows it; nothing where nobody has drawn it. */
export const PlaceFigure = memo(function PlaceFigure(
  props: Pick<FitContext, "subject"> & { place: Place; increments: FitContext["kit"]["increments"]; units: UnitSystem },
) {
  const { subject, place, increments, units } = props;
  const variation = variationById(place.variationId);
  const drawn = useMemo(() => {
    const pose = poseOf(subject, variation, place.setting);
    const asked = ask(subject, variation, place.setting, AT_THE_POSE);
    return pose.ok && asked.ok ? { pose, demands: asked.demands } : null;
  }, [subject, variation, place.setting]);
  const posed = posedOf(variation);
  if (drawn)
    return (
      <Figure
        subject={subject}
        form={variation}
        name={variation.name}
        setting={place.setting}
        units={units}
        increments={increments}
        {...drawn}
      />
    );
  return posed ? <Pictogram posed={posed} label={`How ${variation.name} is done; not to scale`} /> : null;
});
/** Whether there is anything to draw. */
export const canDraw = (subject: FitContext["subject"], { variationId, setting }: Place): boolean =>
  posedOf(variationById(variationId)) !== undefined || poseOf(subject, variationById(variationId), setting).ok;
