"use client";
import { type ChannelDemand, type FitContext, kgfFromN, type StandingPose } from "../../core";
import { Why } from "../kit/why";
import { demandText, trustText } from "../text/channel-text";
import { postureText } from "../text/posture-text";
import { angleText, lengthText, massText, percentText, type UnitSystem } from "../text/quantity-text";

/** Every number of the pose, with how far it can be trusted and what the model cannot say. */
export function PoseNumbers(props: { context: FitContext; pose: StandingPose; demands: readonly ChannelDemand[]; units: UnitSystem }) {
  const { context, pose, demands, units } = props;
  const { body, leadSide } = context.subject;
  const angles = demands.filter(({ channel, side }) => (channel === "kneeFlexion" || channel === "shankLean") && side === leadSide);
  const names = { kneeFlexion: "Knee bend", shankLean: "Shin forward" } as const;
  return (
    <Why title="The numbers of this pose" label="numbers" about="The numbers of this pose">
      <dl>
        {angles.map((demand) => (
          <div key={demand.channel} style={{ display: "contents" }}>
            <dt>{names[demand.channel as keyof typeof names]}</dt>
            <dd>
              {demandText(demand)}, {trustText(demand.trust)}
            </dd>
          </div>
        ))}
        <dt>Trunk forward</dt>
        <dd>{angleText(pose.trunkLeanDeg)}, from balance</dd>
        <dt>Hip bend</dt>
        <dd>{angleText(pose.hipFlexionDeg)}</dd>
        <dt>Hip height</dt>
        <dd>{lengthText(pose.hipHeightM, units)}</dd>
        <dt>Through the hands</dt>
        <dd>
          {massText(kgfFromN(pose.assistN), units)}, {percentText(pose.assistUpFraction)} of body weight upward
        </dd>
        <dt>Under the {leadSide} foot</dt>
        <dd>
          {massText(kgfFromN(pose.lead.groundFyN), units)}, {percentText(pose.lead.shareFraction)} of what the feet carry
        </dd>
        <dt>Body</dt>
        <dd>
          shank {lengthText(body.shankM, units)}, thigh {lengthText(body.thighM, units)}, trunk {lengthText(body.trunkM, units)}
        </dd>
        <dt>Shin</dt>
        <dd>{postureText(context.subject.posture)}</dd>
      </dl>
      <p style={{ marginTop: 8 }}>
        Slow and seen from the side: no momentum, nothing of the knee drifting in or out. A higher seat relieves the knee at least this
        much; measured relief is about twice as large.
      </p>
    </Why>
  );
}
