"use client";
import { useState } from "react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { FitContext, Place } from "../../core/judge/context";
import type { Relief, ReliefId, Reliefs } from "../../core/progressions/relief";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { Notice, Soft } from "../kit/layout";
import { Ask } from "../kit/why";
import { fitReasonText } from "../../words/training/fit";
import { settingText } from "../../words/basics/lever";
import { percentText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";
import { askWorker } from "./fit-worker";

const NAMES: Readonly<Record<ReliefId, string>> = {
  seat: "A higher seat",
  range: "Less range",
  shared: "Less of the weight on this leg",
  counter: "Hands on a counter",
  pole: "A pole",
  rail: "A rail",
  strap: "A strap",
  band: "Hung in a band",
  ball: "A ball at the wall",
  "lower-step": "A lower step",
  water: "Water",
};
const Way = styled.li`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid ${color.fog};
`;

/** How near a way comes: the same, still more, or nothing the model could say. */
function comesTo({ ratio, isMet }: Relief): string {
  if (Number.isNaN(ratio)) return "outside the body model: by feel";
  if (!isMet) return `at its easiest still ${percentText(ratio)} of that`;
  return ratio > 0.95 ? "asks that much" : `asks ${percentText(ratio)} of that`;
}

/** Every way to take weight off the tightest joint, by what stands in the room, each set so that it asks no more than here. */
export function WaysOff({
  context,
  here,
  units,
  onTake,
}: {
  context: FitContext;
  here: Place;
  units: UnitSystem;
  onTake: (place: Place) => void;
}) {
  const [ways, setWays] = useState<Reliefs | null>(null);
  const [isFailed, setFailed] = useState(false);
  const open = (): void => {
    setFailed(false);
    askWorker((work) => work.waysOff(context, here)).then(setWays, () => setFailed(true));
  };
  return (
    <>
      <TextButton onPress={open}>other ways to take weight off</TextButton>
      {isFailed && <Notice $tone="oxide">They could not be worked out on this device. Reload to try again.</Notice>}
      <Ask title="The same relief, another way" isOpen={ways !== null} onClose={() => setWays(null)}>
        {ways && (
          <p>
            {ways.targetUseFraction === null
              ? "Each is set so that it asks no more than the set-up in hand."
              : `The set-up in hand is over the target. Each is set to ask at most ${percentText(ways.targetUseFraction)} of what stayed calm.`}
          </p>
        )}
        <ul>
          {ways?.ways.map((way) => {
            const { id, place, judgement, isInRoom } = way;
            return (
              <Way key={`${id} ${place.variationId}`}>
                <span>
                  <strong>{NAMES[id]}</strong>: {variationById(place.variationId).name}
                  <br />
                  {settingText(place.setting, units)}
                  <br />
                  <Soft>{comesTo(way)}</Soft>
                  {judgement.state === "closed" && (
                    <Notice $tone="oxide">{fitReasonText(judgement.reasons[0], context.limits, units)}</Notice>
                  )}
                </span>
                {isInRoom && (
                  <Button
                    $tight
                    aria-label={`Take ${NAMES[id].toLowerCase()}`}
                    onPress={() => {
                      setWays(null);
                      onTake(place);
                    }}
                  >
                    Take it
                  </Button>
                )}
              </Way>
            );
          })}
        </ul>
      </Ask>
    </>
  );
}
