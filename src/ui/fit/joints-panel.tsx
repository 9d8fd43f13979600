"use client";
import type { UnitSystem } from "../../core/units";
import styled from "styled-components";
import type { FitContext } from "../../core/judge/context";
import type { Judgement } from "../../core/judge/judge";
import type { Use } from "../../core/judge/use";
import type { Ceiling } from "../../core/limits/ceiling";
import {
  CEILING_CHANNELS,
  type CeilingChannelId,
  type ChannelSide,
  CHANNELS,
  type Demand,
  LOAD_CHANNELS,
} from "../../core/mechanics/channels";
import { Beam, TypicalScale } from "../gauges/beam";
import { Card, Soft, Title } from "../kit/layout";
import { Why } from "../kit/why";
import { channelName, channelValueText, demandText, jointText, sideText, trustText } from "../../words/basics/channel";
import { dayText } from "../../words/basics/day";
import { postureName } from "../../words/basics/posture";
import { percentRangeText, percentText } from "../../words/basics/quantity";
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

interface JointProps {
  context: FitContext;
  judgement: Judgement;
  provisional: readonly string[];
  units: UnitSystem;
}

/** The numbers behind one use: demand, range, ceiling, where it came from, and how far to trust it. */
function UseWhy({ use, context, provisional, units }: Omit<JointProps, "judgement"> & { use: Use }) {
  const { demand, channel, ceilingValue } = use;
  const ceiling = context.ceilings.find(({ id }) => id === use.ceilingId);
  const isProvisional = provisional.includes(use.ceilingId);
  return (
    <Why
      title={`${jointText(channel, use.side)}: ${percentRangeText(use.low, use.high)}`}
      label="why"
      about={`Why ${jointText(channel, use.side)}`}
    >
      <dl>
        <dt>Asked here</dt>
        <dd>{demandText(demand, units)}</dd>
        <dt>Ceiling</dt>
        <dd>
          {channelValueText(channel, ceilingValue, units)}
          {ceiling && `, from ${sourceText(ceiling)}`}
        </dd>
        <dt>Share</dt>
        <dd>
          {ceiling &&
            (ceiling.isShareMeasured
              ? "measured on two scales at the calm pose"
              : "not measured at the calm pose: the least plausible was taken")}
        </dd>
        <dt>Trust</dt>
        <dd>
          {trustText(demand.trust)} ({demand.trust})
        </dd>
      </dl>
      <p style={{ marginTop: 8 }}>
        At its most along the movement, as a ratio to this client&apos;s own calm pose, at the same posture rule. Under 5% apart is about
        the same.
        {use.high - use.low > 0.01 &&
          " The range: an unmeasured share, or what is done with the hands' help. Pushing straight down with the shin still gives the low end."}
        {use.standsIn && " Past 90° of bend the knee's moment stands in for the kneecap."}
        {isProvisional && " Provisional: no building until a dose at the calm pose was calm the next morning."}
      </p>
    </Why>
  );
}

function UnlimitedWhy({ demand, units }: { demand: Demand; units: UnitSystem }) {
  return (
    <Why
      title={`${jointText(demand.channel, demand.side)}: not limiting`}
      about={`Why ${jointText(demand.channel, demand.side)} is not limiting`}
    >
      <p>{demandText(demand, units)} here. No complaint, limit or calm pose sets a ceiling on it, so it closes nothing.</p>
      <p>
        Trust: {trustText(demand.trust)} ({demand.trust}). The band is what set-ups usually ask.
      </p>
    </Why>
  );
}

/** One row: a joint or a bend with a ceiling as a beam, one without beside what is usual. */
function JointRow({ channel, side, ...props }: JointProps & { channel: CeilingChannelId; side: ChannelSide }) {
  const { context, judgement, units } = props;
  const demand = judgement.demands.find((each) => each.channel === channel && each.side === side);
  if (!demand) return null;
  const use = judgement.uses.find((each) => each.channel === channel && each.side === side);
  const typical = CHANNELS[channel].typical;
  const scale = typical.perKg ? context.subject.body.massKg : 1;
  const words = use
    ? `${sideText(side)}${side === "both" ? "" : ", "}${trustText(demand.trust)}`
    : demand.refused
      ? "no figure past 90°"
      : `${sideText(side)} not limiting`.trim();
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
        {use ? <UseWhy use={use} {...props} /> : <UnlimitedWhy demand={demand} units={units} />}
      </Value>
    </Joint>
  );
}

/** What the set-up asks of each joint, against what that joint can take; a ceiling of the other leg is never left out. */
export function JointsPanel(props: JointProps) {
  const { context, judgement } = props;
  const { subject, ceilings } = context;
  const rows = CEILING_CHANNELS.flatMap((channel) => {
    const own: ChannelSide = CHANNELS[channel].sided ? subject.leadSide : "both";
    const capped = ceilings.filter((ceiling) => ceiling.channel === channel).map(({ side }) => side);
    const isJoint = (LOAD_CHANNELS as readonly CeilingChannelId[]).includes(channel);
    return [...new Set([...(isJoint ? [own] : []), ...capped])].map((side) => ({ channel, side }));
  });
  return (
    <Card aria-label="What it asks">
      <Title>What it asks</Title>
      <Soft>
        {subject.posture.kind === "measured"
          ? "shin as measured at the calm pose"
          : `shin by the rule "${postureName(subject.posture.name)}", not measured`}
      </Soft>
      {judgement.demands.length === 0 && <p>Nothing of it is in the body model: the ladder and one light set choose.</p>}
      {rows.map((row) => (
        <JointRow key={`${row.channel} ${row.side}`} {...row} {...props} />
      ))}
    </Card>
  );
}
