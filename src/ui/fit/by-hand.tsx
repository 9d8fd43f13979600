"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Variation } from "../../core/catalogue/variation";
import { benchAtKneeM, footSplit, poleHand, staggeredLoad } from "../../core/fit/by-hand";
import type { FitContext } from "../../core/fit/context";
import { rangeOf } from "../../core/templates/form";
import { harderOf, type LeverId, type Setting } from "../../core/templates/lever";
import { kgfFromN, nFromKgf, type UnitSystem } from "../../core/units";
import { TextButton } from "../kit/button";
import { Ask } from "../kit/why";
import { HandScale } from "../scales/hand-scale";
import { massText, lengthText } from "../text/quantity-text";
import { color } from "../theme/tokens";

const Line = styled.p`
  padding: 6px 14px;
  border-top: 1px solid ${color.fogDeep};
  background: ${color.paper};
`;
const HAND_LEVERS: readonly LeverId[] = ["handForceN", "strapForceN", "railForceN", "stickForceN", "bandForceN"];

/** The sums a trainer does in the head for this set-up: kilograms under each foot, which hand, how high the bench. */
function sums(
  { subject }: FitContext,
  { template, parameters, equipment, levers }: Variation,
  setting: Setting,
  units: UnitSystem,
): string[] {
  const { handForceN = 0, shareFraction, loadKg = 0, benchHeightM } = setting;
  const said: string[] = [];
  const isStaggered = template === "hinge" && parameters["stance"] === "staggered";
  const isSplit = template === "split" || isStaggered;
  if (isSplit && shareFraction !== undefined) {
    const { frontKg, rearKg, handsKg } = footSplit(subject.body.massKg, shareFraction, kgfFromN(handForceN));
    const hands = handsKg > 0 ? `, ${massText(handsKg, units)} through the hands` : "";
    said.push(`Of the body ${massText(frontKg, units)} under the front foot, ${massText(rearKg, units)} under the rear${hands}`);
    if (loadKg > 0) {
      const load = staggeredLoad(loadKg, shareFraction);
      said.push(`of the load ${massText(load.frontKg, units)} in front, ${massText(load.rearKg, units)} behind`);
    }
  }
  if (equipment.includes("pole") && levers.some(({ lever }) => lever === "handForceN"))
    said.push(`pole in the ${poleHand(subject.leadSide)} hand, pressed before it starts${isSplit ? "; no push from the back leg" : ""}`);
  if (benchHeightM !== undefined) said.push(`knee height is ${lengthText(benchAtKneeM(subject.body), units)}`);
  if (equipment.includes("loop-band")) said.push("lightest band first; higher on the leg is easier");
  if (parameters["hands"] === "band") said.push("strongest band first, its anchor tested with full weight");
  return said;
}

/** What is worked out by hand at the client's side, under the levers; a hand scale reads what the hands carry. */
export function ByHand({
  context,
  variation,
  setting,
  units,
  onLever,
}: {
  context: FitContext;
  variation: Variation;
  setting: Setting;
  units: UnitSystem;
  onLever: (lever: LeverId, value: number) => void;
}) {
  const [isReading, setReading] = useState(false);
  const said = sums(context, variation, setting, units);
  const lever = HAND_LEVERS.find((each) => rangeOf(context.subject, variation, each));
  if (said.length === 0 && !lever) return null;
  return (
    <Line>
      {said.length > 0 && `${said.join("; ")}. `}
      {lever && (
        <TextButton onPress={() => setReading(true)}>
          {harderOf(lever) === "more" ? "read the band with a hand scale" : "read the hands with a hand scale"}
        </TextButton>
      )}
      <Ask title="Hand scale" isOpen={isReading} onClose={() => setReading(false)}>
        <HandScale
          units={units}
          onTake={(kg) => {
            if (lever) onLever(lever, nFromKgf(kg));
            setReading(false);
          }}
        />
      </Ask>
    </Line>
  );
}
