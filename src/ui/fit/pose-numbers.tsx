"use client";
import type { UnitSystem } from "../../core/units";
import type { FitContext } from "../../core/judge/context";
import { CHANNELS, type Demand } from "../../core/mechanics/channels";
import type { Variation } from "../../core/catalogue/variation";
import { parametersOf, templateOf } from "../../core/templates/form";
import { Why } from "../kit/why";
import { demandText, quantityName, trustText } from "../../words/basics/channel";
import { postureText } from "../../words/basics/posture";
import { lengthText } from "../../words/basics/quantity";

/** Every number of the set-up at its worst along the movement, how far to trust it, and what the model cannot say. */
export function PoseNumbers(props: { context: FitContext; variation: Variation; demands: readonly Demand[]; units: UnitSystem }) {
  const { context, variation, demands, units } = props;
  const { body, leadSide, posture } = context.subject;
  const template = templateOf(variation);
  const shown = demands.filter(({ side }) => side === leadSide || side === "both");
  return (
    <Why title="The numbers of this set-up" label="numbers" about="The numbers of this set-up">
      <dl>
        {shown.map((demand) => (
          <div key={demand.channel} style={{ display: "contents" }}>
            <dt>{quantityName(demand.channel)}</dt>
            <dd>
              {demandText(demand, units)}, {CHANNELS[demand.channel].reads === "comparison" ? "only compares" : trustText(demand.trust)}
            </dd>
          </div>
        ))}
        <dt>Body</dt>
        <dd>
          shank {lengthText(body.shankM, units)}, thigh {lengthText(body.thighM, units)}, trunk {lengthText(body.trunkM, units)}
        </dd>
        {template.shin === "rule" && <dt>Shin</dt>}
        {template.shin === "rule" && <dd>{postureText(posture)}</dd>}
      </dl>
      <p style={{ marginTop: 8 }}>
        Of the {leadSide} leg, at its most along the movement. {template.cannotSay(parametersOf(variation))}
      </p>
    </Why>
  );
}
