"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Drops, Variation } from "../../core/catalogue/variation";
import { dropsFrom, goalLoadOf } from "../../core/dose/load";
import { assembledFor } from "../../core/kit/assemble";
import { benchAtKneeM, footSplit, poleHand, staggeredLoad } from "../../core/kit/by-hand";
import type { FitContext } from "../../core/judge/context";
import { rangeOf } from "../../core/templates/form";
import { harderOf, type LeverId, LEVERS, type Setting } from "../../core/templates/lever";
import { kgfFromN, nFromKgf, type UnitSystem } from "../../core/units";
import { TextButton } from "../kit/button";
import { Stack } from "../kit/layout";
import { Ask } from "../kit/why";
import { HandScale } from "../scales/hand-scale";
import { bandsText, dropSetText, goalLoadText, nextLoadText } from "../../words/basics/load";
import { massText, lengthText } from "../../words/basics/quantity";
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

/** Where nobody has listed the weights: every one that the usual increment makes. */
const byIncrement = (increment: number): number[] =>
  Array.from({ length: Math.floor(MOST_LOAD_KG / increment) + 1 }, (_, i) => i * increment);
const MOST_LOAD_KG = 200;

/** The loads that can be put together here for one lever of a row. */
const loadsHere = ({ kit }: FitContext, variation: Variation, lever: LeverId): number[] =>
  assembledFor(kit.assembled, variation, lever)?.map((each) => each.value) ?? byIncrement(kit.increments[lever]);

/** What a drop set from this set-up would fall to, of what is here; null where it holds no load, or nothing lighter is here. */
export function dropsHere(context: FitContext, variation: Variation, setting: Setting): Drops | null {
  for (const { lever } of variation.levers) {
    const value = setting[lever] ?? 0;
    if (LEVERS[lever].kind !== "load" || LEVERS[lever].unit !== "kg" || value <= 0) continue;
    const values = dropsFrom(value, loadsHere(context, variation, lever)).slice(1);
    if (values.length > 0) return { lever, values };
  }
  return null;
}

/** What the load comes to: where it leads, the next one there is, drops, and bands in their order. */
function loadSums(context: FitContext, variation: Variation, setting: Setting, units: UnitSystem): string[] {
  const { subject, kit } = context;
  const { massKg } = subject.body;
  const bands = (["band", "loop-band"] as const).flatMap((kind) =>
    variation.equipment.includes(kind) ? (kit.assembled?.masses[kind] ?? []) : [],
  );
  const holds = variation.parameters["hands"] === "band";
  const pullN = setting.bandForceN ?? (holds ? setting.handForceN : undefined) ?? null;
  const inOrder = bandsText(bands, pullN, holds ? "supports" : "resists", units);
  const loads = variation.levers.flatMap(({ lever }) => {
    const { kind, unit } = LEVERS[lever];
    const value = setting[lever] ?? 0;
    if (kind !== "load" || unit !== "kg") return [];
    const goal = lever === "loadKg" ? goalLoadOf(variation) : null;
    const loads = loadsHere(context, variation, lever);
    return [
      ...(goal ? [goalLoadText(goal, massKg, { ...setting, loadKg: value }, loads, units)] : []),
      nextLoadText(value, loads, units),
      dropSetText(value, loads, units) ?? [],
    ].flat();
  });
  return inOrder ? [...loads, inOrder] : loads;
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
  const [isLoading, setLoading] = useState(false);
  const said = sums(context, variation, setting, units);
  const loads = loadSums(context, variation, setting, units);
  const lever = HAND_LEVERS.find((each) => rangeOf(context.subject, variation, each));
  if (said.length === 0 && !lever && loads.length === 0) return null;
  return (
    <Line>
      {said.length > 0 && `${said.join("; ")}. `}
      {lever && (
        <TextButton onPress={() => setReading(true)}>
          {harderOf(lever) === "more" ? "read the band with a hand scale" : "read the hands with a hand scale"}
        </TextButton>
      )}
      {loads.length > 0 && (
        <>
          {" "}
          <TextButton onPress={() => setLoading(true)}>what the load comes to</TextButton>
          <Ask title="What the load comes to" isOpen={isLoading} onClose={() => setLoading(false)}>
            <Stack $gap={8}>
              {loads.map((line) => (
                <p key={line}>{line}</p>
              ))}
            </Stack>
          </Ask>
        </>
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
