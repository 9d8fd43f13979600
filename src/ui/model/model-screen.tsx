"use client";
import dynamic from "next/dynamic";
import { useEffect, useRef, useState } from "react";
import { Label, SliderOutput, SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";
import { MODEL_TEMPLATES, type ModelLever, type ModelPose, startValues, type Subject } from "../../core";
import { Button } from "../kit/button";
import { ChoiceField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { LeverBase } from "../kit/slider";
import { trustText } from "../text/channel-text";
import { modelChannelName, modelFailureText, modelLeverText, modelValueText } from "../text/model-text";
import type { UnitSystem } from "../text/quantity-text";
import { color } from "../theme/tokens";
import { ModelFigure } from "./model-figure";

const LeverCharts = dynamic(() => import("./lever-charts"), { ssr: false, loading: () => <div style={{ height: 150 }} /> });
const PLAY_MS = 3000;

const Lever = styled(LeverBase)`
  grid-template-columns: 1fr auto;
  .track {
    grid-column: 1 / 3;
  }
`;
const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  td,
  th {
    padding: 4px 6px;
    border-top: 1px solid ${color.fog};
    text-align: left;
    font-variant-numeric: tabular-nums;
  }
  td:last-child {
    white-space: nowrap;
  }
`;

function ChannelTable({ pose }: { pose: ModelPose }) {
  return (
    <Table aria-label="What it asks">
      <thead>
        <tr>
          <th scope="col">Channel</th>
          <th scope="col">Here</th>
          <th scope="col">Trust</th>
        </tr>
      </thead>
      <tbody>
        {pose.channels.map((channel) => (
          <tr key={channel.id}>
            <td>{modelChannelName(channel.id)}</td>
            <td>{modelValueText(channel)}</td>
            <td>
              {trustText(channel.trust)} <Soft>({channel.trust})</Soft>
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Runs a value from one end of the movement to the other and back, while it plays. */
function usePlayed(isPlaying: boolean, { from, to }: { from: number; to: number }, onValue: (value: number) => void): void {
  const latest = useRef(onValue);
  useEffect(() => {
    latest.current = onValue;
  });
  useEffect(() => {
    if (!isPlaying) return;
    const startMs = performance.now();
    let frame = requestAnimationFrame(function tick(nowMs) {
      const turn = ((nowMs - startMs) / PLAY_MS) % 2;
      latest.current(from + (to - from) * (turn <= 1 ? turn : 2 - turn));
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, from, to]);
}

function LeverSlider({
  lever,
  value,
  units,
  onChange,
}: {
  lever: ModelLever;
  value: number;
  units: UnitSystem;
  onChange: (value: number) => void;
}) {
  return (
    <Lever minValue={lever.min} maxValue={lever.max} step={lever.step} value={value} onChange={(next) => onChange(next as number)}>
      <Label>{lever.name}</Label>
      <SliderOutput>{modelLeverText(lever, value, units)}</SliderOutput>
      <SliderTrack className="track">
        <SliderThumb className="thumb" aria-label={lever.name} />
      </SliderTrack>
    </Lever>
  );
}

/** The body model laid open: any template on this client's body, every channel with unit and trust, and its limits. */
export function ModelScreen({ subject, units }: { subject: Subject; units: UnitSystem }) {
  const [templateId, setTemplateId] = useState("squat");
  const [all, setAll] = useState<Record<string, Record<string, number>>>({});
  const [isPlaying, setPlaying] = useState(false);
  const template = MODEL_TEMPLATES.find(({ id }) => id === templateId) ?? MODEL_TEMPLATES[0];
  if (!template) throw new RangeError("no templates");
  const values = { ...startValues(template), ...all[template.id] };
  const setLever = (lever: string, value: number): void =>
    setAll((now) => ({ ...now, [template.id]: { ...now[template.id], [lever]: value } }));
  usePlayed(isPlaying, template.movement, (value) => setLever(template.movement.lever, value));
  const pose = template.pose(subject.body, subject.posture, values);
  return (
    <Page>
      <Columns $template="290px minmax(0, 1fr) 420px">
        <Card aria-label="Template and levers">
          <Stack>
            <ChoiceField
              label="Movement"
              options={MODEL_TEMPLATES.map(({ id, name }) => ({ id, label: name }))}
              value={template.id}
              onChange={setTemplateId}
            />
            {template.levers.map((lever) => (
              <LeverSlider
                key={lever.id}
                lever={lever}
                value={values[lever.id] ?? lever.start}
                units={units}
                onChange={(value) => setLever(lever.id, value)}
              />
            ))}
            <Button onPress={() => setPlaying(!isPlaying)}>{isPlaying ? "Stop" : "Play the movement"}</Button>
          </Stack>
        </Card>
        <Stack>
          <Card aria-label="Figure">
            <Title>{template.name}</Title>
            <div style={{ height: 400, overflow: "hidden" }}>
              {pose.ok ? (
                <ModelFigure body={subject.body} pose={pose} template={template} values={values} />
              ) : (
                <Notice style={{ marginTop: 16 }}>Not possible: {modelFailureText(pose.reason)}.</Notice>
              )}
            </div>
            <p>
              <strong>What it cannot say.</strong> {template.cannotSay}
            </p>
          </Card>
        </Stack>
        <Card aria-label="Channels">
          <Row style={{ justifyContent: "space-between" }}>
            <Title>What it asks</Title>
            <Soft>this client&apos;s body</Soft>
          </Row>
          {pose.ok && <ChannelTable pose={pose} />}
          <Soft>Moments above nothing: front of the thigh, back of the hip. Below: the other side works.</Soft>
        </Card>
      </Columns>
      <Card aria-label="What changes with each lever" style={{ marginTop: 14 }}>
        <Title>What changes with each lever</Title>
        <Soft>solid: knee; dashed: hip; dotted: low back; newton metres of one leg, the back whole</Soft>
        {!isPlaying && <LeverCharts template={template} body={subject.body} posture={subject.posture} values={values} units={units} />}
      </Card>
    </Page>
  );
}
