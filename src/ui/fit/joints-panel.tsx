"use client";
import styled from "styled-components";
import {
  type Ceiling,
  type ChannelDemand,
  CHANNELS,
  type FitContext,
  type Judgement,
  LOAD_CHANNELS,
  type LoadChannelId,
  type Use,
} from "../../core";
import { Beam, TypicalScale } from "../gauges/beam";
import { Card, Soft, Title } from "../kit/layout";
import { Why } from "../kit/why";
import { channelName, demandText, jointText, sideText, trustText } from "../text/channel-text";
import { dayText } from "../text/day-text";
import { postureName } from "../text/posture-text";
import { percentRangeText, percentText } from "../text/quantity-text";
import { color } from "../theme/tokens";

const Joint = styled.div`
  display: grid;
  grid-template-columns: 112px 1fr 72px;
  gap: 6px;
  align-items: center;
  min-height: 48px;
  border-top: 1px solid ${color.fog};
  & > span:first-child small {
    display: block;
    color: ${color.inkSoft};
    font-size: 15px;
    line-height: 1.2;
  }
`;
const Value = styled.span<{ $over: boolean }>`
  text-align: right;
  font-variant-numeric: tabular-nums;
  ${({ $over }) => $over && `color: ${color.oxide}; font-weight: 700;`}
`;

function sourceText(ceiling: Ceiling): string {
  const from = ceiling.source.kind === "calm-pose" ? "the client's own calm pose" : "calm mornings near it, confirmed by you";
  return `${from}, ${dayText(ceiling.fromDay)}`;
}

/** The numbers behind one use: demand, range, ceiling, where it came from, and how far to trust it. */
function UseWhy({ use, ceiling, isProvisional }: { use: Use; ceiling: Ceiling | undefined; isProvisional: boolean }) {
  const { demand } = use;
  return (
    <Why
      title={`${jointText(use.channel, use.side)}: ${percentRangeText(use.low, use.high)}`}
      label="why"
      about={`Why ${jointText(use.channel, use.side)}`}
    >
      <dl>
        <dt>Asked here</dt>
        <dd>{demandText(demand)}</dd>
        <dt>Ceiling</dt>
        <dd>
          {demandText({ channel: use.channel, low: use.ceilingValue, head: use.ceilingValue, high: use.ceilingValue })}
          {ceiling && `, from ${sourceText(ceiling)}`}
        </dd>
        <dt>Share</dt>
        <dd>
          {ceiling &&
            `${percentText(ceiling.share.fraction)} under that leg, ${ceiling.share.measured ? "measured" : "assumed: the lower plausible one"}`}
        </dd>
        <dt>Trust</dt>
        <dd>
          {trustText(demand.trust)} ({demand.trust})
        </dd>
      </dl>
      <p style={{ marginTop: 8 }}>
        A ratio to this client&apos;s own calm pose, at the same posture rule. Under 5% apart is about the same.
        {use.high - use.low > 0.01 &&
          " The range: shin kept, trunk kept, or pose kept while the hands carry. Pushing straight down with the shin still gives the low end."}
        {use.standsIn && " Past 90° of bend the knee's moment stands in for the kneecap."}
        {isProvisional && " Provisional: no building until a dose at the calm pose was calm the next morning."}
      </p>
    </Why>
  );
}

function UnlimitedWhy({ demand }: { demand: ChannelDemand }) {
  return (
    <Why
      title={`${jointText(demand.channel, demand.side)}: not limiting`}
      about={`Why ${jointText(demand.channel, demand.side)} is not limiting`}
    >
      <p>{demandText(demand)} here. No complaint, limit or calm pose sets a ceiling on it, so it closes nothing.</p>
      <p>
        Trust: {trustText(demand.trust)} ({demand.trust}). The band is what squats usually ask.
      </p>
    </Why>
  );
}

function JointRow(props: { channel: LoadChannelId; context: FitContext; judgement: Judgement; provisional: readonly string[] }) {
  const { channel, context, judgement, provisional } = props;
  const { leadSide, body } = context.subject;
  const demand = judgement.demands.find((d) => d.channel === channel && (d.side === leadSide || d.side === "both"));
  if (!demand) return null;
  const use = judgement.uses.find((u) => u.channel === channel && u.side === demand.side);
  const { typical } = CHANNELS[channel];
  const scale = typical.perKg ? body.massKg : 1;
  const words = use
    ? `${sideText(demand.side)}${demand.side === "both" ? "" : ", "}${trustText(demand.trust)}`
    : demand.refused
      ? "no figure past 90°"
      : "not limiting";
  return (
    <Joint>
      <span>
        {channelName(channel)}
        <small>{words}</small>
      </span>
      {use ? (
        <Beam low={use.low} head={use.head} high={use.high} />
      ) : (
        <TypicalScale value={demand.head} p5={typical.p5 * scale} p95={typical.p95 * scale} />
      )}
      <Value $over={use !== undefined && use.head > 1} data-channel={channel}>
        {use && <span>{demand.trust === "C" ? percentRangeText(use.low, use.high) : percentText(use.head)} </span>}
        {use ? (
          <UseWhy
            use={use}
            ceiling={context.ceilings.find(({ id }) => id === use.ceilingId)}
            isProvisional={provisional.includes(use.ceilingId)}
          />
        ) : (
          <UnlimitedWhy demand={demand} />
        )}
      </Value>
    </Joint>
  );
}

/** What the set-up asks of each joint, against what that joint can take. */
export function JointsPanel(props: { context: FitContext; judgement: Judgement; provisional: readonly string[] }) {
  return (
    <Card aria-label="What it asks">
      <Title>What it asks</Title>
      <Soft>
        {props.context.subject.posture.kind === "measured"
          ? "shin as measured at the calm pose"
          : `shin by the rule "${postureName(props.context.subject.posture.name)}", not measured`}
      </Soft>
      {LOAD_CHANNELS.map((channel) => (
        <JointRow key={channel} channel={channel} {...props} />
      ))}
    </Card>
  );
}
