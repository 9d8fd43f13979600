"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { v4 as newUuid } from "uuid";
import { keepFindingAction } from "../../actions/assess";
import { type Finding, latestOf } from "../../core/assess/finding";
import type { Closed } from "../../core/assess/pick";
import { type Protocol, SET_UP_KEYS, SET_UP_LIMITS, type SetUp, type SetUpKey } from "../../core/assess/protocols.data";
import type { PhotoAngles as Angles } from "../../core/assess/photo";
import type { Day } from "../../core/day";
import type { ChannelSide } from "../../core/mechanics/channels";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { CheckField, TextField } from "../kit/fields";
import { Card, Columns, Notice, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { closedText, findingText, setUpName, setUpText } from "../../words/client/assess";
import { protocolHow, protocolName, valueName } from "../../words/basics/protocol";
import { dayText } from "../../words/basics/day";
import { capital } from "../../words/basics/words";
import { sourceText } from "../../words/client/screen";
import { PhotoAngles } from "./photo-angles";
import { Pictogram } from "../figure/pictogram";
import { POSED } from "./poses.data";
import { setUpEdge } from "./quantity-edge";
import { ValueField } from "./value-field";

const Picture = styled.div`
  height: 250px;
`;

interface Common {
  clientId: string;
  protocol: Protocol;
  findings: readonly Finding[];
  today: Day;
  units: UnitSystem;
}

/** What a side picture says of a protocol. */
const OF_PICTURE: Readonly<Record<string, (angles: Angles) => number | null>> = {
  "knee-bend": ({ kneeFlexionDeg }) => kneeFlexionDeg,
  "knee-straight": ({ kneeFlexionDeg }) => kneeFlexionDeg,
  "hip-bend": ({ hipFlexionDeg }) => hipFlexionDeg,
  tuck: ({ hipFlexionDeg }) => hipFlexionDeg,
};

/** One side's result, kept by itself: what is hardly believed is asked about first. */
function SideEntry({
  clientId,
  protocol,
  findings,
  side,
  setUp,
  today,
  units,
  isFirst,
}: Common & { side: ChannelSide; setUp: SetUp; isFirst: boolean }) {
  const [id, setId] = useState(() => newUuid());
  const [value, setValue] = useState(NaN);
  const [note, setNote] = useState("");
  const [isDoubted, setDoubted] = useState(false);
  const [isMissing, setMissing] = useState(false);
  const [isPictured, setPictured] = useState(false);
  const [round, setRound] = useState(0);
  const { take, isTaking, problem } = useStep(units);
  const before = latestOf(findings, protocol.id, side);
  const isComplete = Number.isFinite(value) && value >= protocol.min && value <= protocol.max;
  const keep = (isConfirmed: boolean): void => {
    setMissing(!isComplete);
    if (!isComplete) return;
    const finding = { id, day: today, protocol: protocol.id, side, value, setUp, note, isConfirmed };
    take(
      (stepId) => keepFindingAction(clientId, finding, stepId),
      () => {
        setId(newUuid());
        setValue(NaN);
        setNote("");
        setDoubted(false);
        setRound(round + 1);
      },
      (result) => {
        const isAsked = "refusal" in result && result.refusal.code === "value-unlikely";
        if (isAsked) setDoubted(true);
        return isAsked;
      },
    );
  };
  const who = side === "both" ? "" : `, ${side}`;
  return (
    <Form
      aria-label={side === "both" ? protocolName(protocol.id) : `${capital(side)} side`}
      onSubmit={(event) => {
        event.preventDefault();
        keep(false);
      }}
    >
      <Stack $gap={8}>
        {side !== "both" && (
          <h3>
            {capital(side)} <Soft>{isFirst ? "begin here" : ""}</Soft>
          </h3>
        )}
        <ValueField
          key={round}
          protocol={protocol}
          distanceM={setUp.distanceM ?? 4}
          value={value}
          units={units}
          who={who}
          onChange={(next) => {
            setValue(next);
            setDoubted(false);
          }}
        />
        {OF_PICTURE[protocol.id] && (
          <>
            <CheckField label={`Read it from a side picture${who}`} isSelected={isPictured} onChange={setPictured} />
            {isPictured && (
              <PhotoAngles
                onUse={(angles) => {
                  setValue(Math.round(OF_PICTURE[protocol.id]?.(angles) ?? NaN));
                  setPictured(false);
                }}
              />
            )}
          </>
        )}
        {before && (
          <Soft>
            Last time {findingText(protocol, before.value, units)}, {dayText(before.day)}
          </Soft>
        )}
        <TextField label={`Note${who}`} value={note} onChange={setNote} />
        <Problem text={isMissing && !isComplete ? `${valueName(protocol.id)}${who} is missing, or cannot be.` : problem} />
        <Button $tone="primary" type="submit" isDisabled={isTaking}>
          Keep{who}
        </Button>
        {isDoubted && ( // under the button: leaving, it must not move the button from under the finger
          <Notice>
            {findingText(protocol, value, units)} is hardly ever seen. Look again; if it is so:{" "}
            <Button isDisabled={isTaking} onPress={() => keep(true)}>
              It is so, keep it
            </Button>
          </Notice>
        )}
      </Stack>
    </Form>
  );
}

/** What the set-up was last time, or as the protocol says. */
export const startingSetUp = ({ id, setUp = {} }: Protocol, findings: readonly Finding[]): SetUp => ({
  ...setUp,
  ...findings.findLast(({ protocol }) => protocol === id)?.setUp,
});

/** One protocol: what is done, drawn; its set-up as last time; and what came of it, side by side. */
export function ProtocolCard({ closed, sides, ...common }: Common & { closed: Closed | null; sides: readonly ChannelSide[] }) {
  const { clientId, protocol, findings, units } = common;
  const { id, source } = protocol;
  const [setUp, setSetUp] = useState<SetUp>(() => startingSetUp(protocol, findings));
  const keys = SET_UP_KEYS.filter((key) => protocol.setUp?.[key] !== undefined);
  const was = findings.findLast((finding) => finding.protocol === id)?.setUp;
  return (
    <Card aria-label={protocolName(id)}>
      <Columns $template="minmax(0, 1fr) 260px">
        <div>
          <Title>{protocolName(id)}</Title>
          {protocolHow(id).map((step) => (
            <p key={step}>{step}</p>
          ))}
          <Soft>{sourceText(source)}</Soft>
        </div>
        <Picture>{POSED[id] && <Pictogram posed={POSED[id]} label={`How it is done: ${protocolName(id).toLowerCase()}`} />}</Picture>
      </Columns>
      {closed ? (
        <Notice $tone="oxide">
          {closedText(closed)} {closed.by === "gate" && <Link href={`/clients/${clientId}/screen`}>To Screen</Link>}
        </Notice>
      ) : (
        <Stack>
          {keys.length > 0 && (
            <Row $gap={20} style={{ alignItems: "end" }}>
              {keys.map((key) => (
                <SetUpField
                  key={key}
                  name={key}
                  value={setUp[key] ?? NaN}
                  units={units}
                  onChange={(next) => setSetUp({ ...setUp, [key]: next })}
                />
              ))}
              <Soft>
                {was
                  ? `last time ${keys.map((key) => (was[key] === undefined ? "not noted" : setUpText(key, was[key], units))).join(", ")}`
                  : "the same every time: only then it can be compared"}
              </Soft>
            </Row>
          )}
          <Columns $template={sides.length > 1 ? "1fr 1fr" : "1fr"}>
            {sides.map((side, i) => (
              <SideEntry key={side} {...common} side={side} setUp={setUp} isFirst={i === 0} />
            ))}
          </Columns>
        </Stack>
      )}
    </Card>
  );
}

function SetUpField({
  name,
  value,
  units,
  onChange,
}: {
  name: SetUpKey;
  value: number;
  units: UnitSystem;
  onChange: (value: number) => void;
}) {
  const { min, max } = SET_UP_LIMITS[name];
  const edge = setUpEdge(name, units);
  return (
    <NumberField
      label={setUpName[name]}
      unit={edge.unit}
      step={edge.step}
      minValue={edge.round(edge.fromSi(min))}
      maxValue={edge.round(edge.fromSi(max))}
      value={Number.isFinite(value) ? edge.round(edge.fromSi(value)) : NaN}
      onChange={(typed) => onChange(edge.toSi(typed))}
    />
  );
}
