"use client";
import { useMemo } from "react";
import { placeInMovement } from "../../../core/dose/dose";
import { movementOf } from "../../../core/templates/movement";
import type { UnitSystem } from "../../../core/units";
import { MovingFigure } from "../../figure/moving-figure";
import { canDraw, PlaceFigure } from "../../figure/place-figure";
import type { FloorSession } from "./floor-session";
import { useReading } from "../tempo/use-tempo";

/** The movement in so many pictures: more are not told apart at this size. */
const PICTURES = 24;

/** The body small beside the sets, and moving with the tempo while one is under way. */
export function SmallFigure({ session, units }: { session: FloorSession; units: UnitSystem }) {
  const { context, place, tempo, variation } = session;
  const { subject, kit } = context;
  const { moment, countInS } = useReading(tempo);
  const movement = useMemo(() => movementOf(subject, variation, place.setting), [subject, variation, place.setting]);
  if (!movement && !canDraw(subject, place)) return null;
  const drawn = { subject, place, increments: kit.increments, units };
  const isMoving = (tempo.status === "running" && countInS === 0) || tempo.status === "stopped";
  const part = isMoving && movement ? placeInMovement(movement.isLowAtEnd, variation.startsBy, moment) : 1;
  return (
    <div className="small-figure">
      {movement ? (
        <MovingFigure {...drawn} movement={movement} part={Math.round(part * PICTURES) / PICTURES} />
      ) : (
        <PlaceFigure {...drawn} />
      )}
    </div>
  );
}
