"use client";
import { useMemo, useState } from "react";
import styled from "styled-components";
import { v4 as newUuid } from "uuid";
import { keepCalmSeatAction, keepFindingAction } from "../../actions/assess";
import { type Finding, latestOf } from "../../core/assess/finding";
import type { Protocol } from "../../core/assess/protocols.data";
import type { Day } from "../../core/day";
import { firstSeatM, seatRefusal } from "../../core/judge/calm-seat";
import { DEFAULT_KIT } from "../../core/kit/kit";
import { type Complaint, isMeasuredSite, type LimitedBy, MEASURED_SITES } from "../../core/limits/complaint";
import { isBinding, type Limit } from "../../core/limits/limit";
import type { ChannelSide, Side } from "../../core/mechanics/channels";
import { ask, WHOLE } from "../../core/templates/ask";
import type { Form } from "../../core/templates/form";
import { poseOf } from "../../core/templates/pose";
import { kneeAtSeatDeg, seatRangeM } from "../../core/templates/seat";
import type { Subject } from "../../core/templates/template";
import type { UnitSystem } from "../../core/units";
import { Figure } from "../figure/figure";
import { Button } from "../kit/button";
import { ChoiceField, SelectField } from "../kit/fields";
import { Notice, Row, Soft, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { protocolName } from "../../words/basics/protocol";
import { dayText } from "../../words/basics/day";
import { siteName } from "../../words/client/limit";
import { capital } from "../../words/basics/words";
import { angleText, lengthText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";
import { CalmKept } from "./calm-kept";
import { quantityEdge } from "./quantity-edge";

const Height = styled.strong`
  font-size: 34px;
  font-variant-numeric: tabular-nums;
`;
const Drawn = styled.div`
  height: 330px;
`;
const Calm = styled.ul`
  color: ${color.moss};
  font-weight: 700;
`;

const SEAT: Form = {
  template: "two-feet",
  parameters: { depth: "seat", hands: "forward" },
  levers: [{ lever: "seatHeightM", min: 0.2, max: 0.95, start: 0.6 }],
};
const STEP: Form = {
  template: "step",
  parameters: { direction: "up" },
  levers: [{ lever: "stepHeightM", min: 0.02, max: 0.45, start: 0.06 }],
};
const LAYER_M = 0.02;
const LAYER_LIMITS_M = { min: 0.01, max: 0.1 };
const START_STEP_M = 0.06;
/** Where even the first was felt: so many layers easier, and again. */
const BACK_BY_LAYERS = 3;
/** A seat or step known from last time is come to from two layers easier. */
const BACK_AGAIN_LAYERS = 2;

/** The bend that no layer goes past: the strictest limit that says so, of either leg where both feet are down. */
const mostKneeDeg = (limits: readonly Limit[], sides: readonly ChannelSide[], today: Day): number =>
  Math.min(
    Infinity,
    ...limits.flatMap((limit) =>
      limit.rule.kind === "most" && limit.rule.channel === "kneeFlexion" && sides.includes(limit.side) && isBinding(limit, today)
        ? [limit.rule.most]
        : [],
    ),
  );

export interface CalmLadderProps {
  clientId: string;
  protocol: Protocol;
  subject: Subject;
  findings: readonly Finding[];
  limits: readonly Limit[];
  firstSide: Side;
  today: Day;
  units: UnitSystem;
  /** A calm seat that is kept can be said more of: scales, shin, how it was done. */
  onRefine: (seat: { side: Side; heightM: number; limitedBy: LimitedBy }) => void;
  complaints: readonly Complaint[];
}
const LIMITED_BY = MEASURED_SITES.map((id) => ({ id, label: capital(siteName[id]) }));
/** What hurts on that side, else what hurts at all: it is what a seat is stopped by. */
const soreSite = (complaints: readonly Complaint[], side: Side): LimitedBy | null => {
  const sites = (of: readonly Complaint[]) => of.map(({ site }) => site).filter(isMeasuredSite);
  return sites(complaints.filter((complaint) => complaint.side === side))[0] ?? sites(complaints)[0] ?? null;
};

/**
 * One thin layer at a time from the easy side, stopping at the first that is felt: a threshold of pain is never looked
 * for from the other side.
 */
export function CalmLadder(props: CalmLadderProps) {
  const { clientId, protocol, subject, findings, limits, complaints, firstSide, today, units, onRefine } = props;
  const isSeat = protocol.id === "calm-seat";
  const form = isSeat ? SEAT : STEP;
  const [side, setSide] = useState<Side>(firstSide);
  const [layerM, setLayerM] = useState(LAYER_M);
  const [calm, setCalm] = useState<readonly number[]>([]);
  const [startM, setStartM] = useState(() => startOf({ subject, isSeat, limits, today }, latestOf(findings, protocol.id, firstSide)));
  const [isFelt, setFelt] = useState(false);
  const [id, setId] = useState(() => newUuid());
  const [kept, setKept] = useState<{ heightM: number; count: number } | null>(null);
  const [stoppedBy, setStoppedBy] = useState<LimitedBy | null>(null);
  const limitedBy = stoppedBy ?? soreSite(complaints, side) ?? "knee";
  const { take, isTaking, problem } = useStep(units);
  const last = calm.at(-1);
  const towards = isSeat ? -1 : 1;
  const heightM = isFelt ? (last ?? startM) : last === undefined ? startM : last + towards * layerM;
  const own = useMemo(() => ({ ...subject, leadSide: side }), [subject, side]);
  const setting = useMemo(() => (isSeat ? { seatHeightM: heightM } : { stepHeightM: heightM }), [isSeat, heightM]);
  const pose = useMemo(() => poseOf(own, form, setting), [own, form, setting]);
  const asked = useMemo(() => ask(own, form, setting, WHOLE), [own, form, setting]);
  const most = mostKneeDeg(limits, isSeat ? ["left", "right", "both"] : [side, "both"], today);
  const kneeDeg = asked.ok
    ? Math.max(0, ...asked.demands.filter((d) => d.channel === "kneeFlexion" && (isSeat || d.side === side)).map(({ high }) => high))
    : NaN;
  const isPast = isSeat ? seatRefusal(own, limits, heightM, today) !== null : !asked.ok || kneeDeg > most + 1e-6;
  const before = latestOf(findings, protocol.id, side);
  const again = (of: Side = side): void => {
    setCalm([]);
    setFelt(false);
    setStartM(startOf({ subject, isSeat, limits, today }, latestOf(findings, protocol.id, of)));
    setId(newUuid());
  };
  const keep = (): void => {
    if (last === undefined) return;
    const done = (): void => {
      setKept({ heightM: last, count: calm.length });
      again();
    };
    if (isSeat) take((stepId) => keepCalmSeatAction(clientId, { id, side, heightM: toCm(last), limitedBy }, stepId), done);
    else
      take(
        (stepId) =>
          keepFindingAction(
            clientId,
            { id, day: today, protocol: protocol.id, side, value: Math.round(last * 1000) / 1000, setUp: {}, note: "", isConfirmed: true },
            stepId,
          ),
        done,
      );
  };
  const edge = quantityEdge("metres", units);
  return (
    <Stack>
      <Row $gap={24} style={{ alignItems: "end" }}>
        <ChoiceField
          label="The side that is watched"
          options={[
            { id: "left", label: "Left" },
            { id: "right", label: "Right" },
          ]}
          value={side}
          onChange={(next) => {
            setSide(next);
            setKept(null);
            again(next);
          }}
        />
        {isSeat && <SelectField label="What says stop" options={LIMITED_BY} value={limitedBy} onChange={setStoppedBy} />}
        <NumberField
          label="One layer"
          unit={edge.unit}
          step={edge.step}
          minValue={edge.round(edge.fromSi(LAYER_LIMITS_M.min))}
          maxValue={edge.round(edge.fromSi(LAYER_LIMITS_M.max))}
          value={edge.round(edge.fromSi(layerM))}
          onChange={(typed) => setLayerM(Number.isFinite(typed) ? edge.toSi(typed) : LAYER_M)}
        />
        {before && (
          <Soft>
            Last time {lengthText(before.value, units)}, {dayText(before.day)}
          </Soft>
        )}
      </Row>
      <Drawn>
        {pose.ok && asked.ok && (
          <Figure
            subject={own}
            form={form}
            name={protocolName(protocol.id)}
            setting={setting}
            pose={pose}
            demands={asked.demands}
            units={units}
            joint="knee"
            {...(most < Infinity ? { kneeNote: `${angleText(most)} allowed` } : {})}
            increments={DEFAULT_KIT.increments}
          />
        )}
      </Drawn>
      <Row $gap={18} aria-live="polite">
        <Height>{lengthText(heightM, units)}</Height>
        <Calm>
          {calm.map((each) => (
            <li key={each}>calm {lengthText(each, units)}</li>
          ))}
        </Calm>
      </Row>
      {isFelt ? (
        last === undefined ? (
          <Notice>
            Even the first was felt. Begin easier:{" "}
            <Button
              onPress={() => {
                setStartM(easier(subject, startM, isSeat, layerM));
                setFelt(false);
              }}
            >
              {isSeat ? "Higher" : "Lower"}
            </Button>
          </Notice>
        ) : (
          <Row>
            <Button $tone="primary" isDisabled={isTaking} onPress={keep}>
              Keep {lengthText(last, units)}, {side}
            </Button>
            <Button onPress={() => again()}>From the start again</Button>
          </Row>
        )
      ) : isPast ? (
        <Row>
          <Notice>
            The next layer would go past {most < Infinity ? `the ${angleText(most)} that are allowed` : "a limit or the body's reach"}: stop
            here.
          </Notice>
          <Button $tone="primary" isDisabled={isTaking || last === undefined} onPress={keep}>
            {last === undefined ? "Nothing was calm yet" : `Keep ${lengthText(last, units)}, ${side}`}
          </Button>
        </Row>
      ) : (
        <Row>
          <Button $large onPress={() => setFelt(true)}>
            Felt it
          </Button>
          <Button $large $tone="primary" onPress={() => setCalm([...calm, heightM])}>
            Stayed calm
          </Button>
          {last !== undefined && (
            <Button isDisabled={isTaking} onPress={keep}>
              Enough: keep {lengthText(last, units)}
            </Button>
          )}
        </Row>
      )}
      <Problem text={problem} />
      {kept !== null && isSeat && (
        <CalmKept
          {...{ clientId, side, limitedBy, units, ...kept }}
          onRefine={() => onRefine({ side, heightM: kept.heightM, limitedBy })}
        />
      )}
    </Stack>
  );
}

const toCm = (valueM: number): number => Math.round(valueM * 100) / 100;
/** From the easy side: two layers easier than last time, or where it is easy for anybody. */
function startOf(
  { subject, isSeat, limits, today }: Pick<CalmLadderProps, "subject" | "limits" | "today"> & { isSeat: boolean },
  before: Finding | null,
): number {
  if (!isSeat) return before ? Math.max(START_STEP_M, toCm(before.value - BACK_AGAIN_LAYERS * LAYER_M)) : START_STEP_M;
  const first = firstSeatM(subject, limits, today);
  if (!before) return first;
  const again = toCm(Math.min(seatRangeM(subject)[1], before.value + BACK_AGAIN_LAYERS * LAYER_M));
  return seatRefusal(subject, limits, again, today) === null ? again : Math.max(first, again);
}
function easier(subject: Subject, fromM: number, isSeat: boolean, layerM: number): number {
  if (!isSeat) return Math.max(0.02, fromM - layerM);
  return toCm(Math.min(seatRangeM(subject)[1], fromM + BACK_BY_LAYERS * layerM));
}

/** What a chair of a height asks of the knee, for the words beside it. */
export const seatWords = (subject: Subject, heightM: number): string => {
  const deg = kneeAtSeatDeg(subject, heightM);
  return deg === null ? "outside what this body sits on" : `the knee bent to ${angleText(deg)}`;
};
