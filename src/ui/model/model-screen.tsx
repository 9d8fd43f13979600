"use client";
import dynamic from "next/dynamic";
import { useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { Label, SliderOutput, SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";
import {
  bodyFromMeasure,
  type BodyMeasure,
  type MeasuredBand,
  MODEL_GROUPS,
  MODEL_TEMPLATES,
  type ModelGroup,
  type ModelLever,
  type ModelTemplate,
  type PostureRule,
  startValues,
} from "../../core";
import { BodyPanel } from "../body/body-panel";
import { Button } from "../kit/button";
import { SelectField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { LeverBase } from "../kit/slider";
import { Ask } from "../kit/why";
import { modelFailureText, modelLeverText, modelWarningText } from "../text/model-text";
import { postureText } from "../text/posture-text";
import { lengthText, massText, statureText, type UnitSystem } from "../text/quantity-text";
import { BandCard } from "./band-card";
import { ChannelTable } from "./channel-table";
import { FindCard } from "./find-card";
import { ModelFigure } from "./model-figure";

const LeverCharts = dynamic(() => import("./lever-charts"), { ssr: false, loading: () => <div style={{ height: 150 }} /> });
const PLAY_MS = 3000;
const SHIN: Readonly<Partial<Record<ModelTemplate["shin"], string>>> = {
  lever: "As set by its own lever.",
  balance: "Follows from balance while the trunk is kept as set.",
};

const Lever = styled(LeverBase)`
  grid-template-columns: 1fr auto;
  .track {
    grid-column: 1 / 3;
  }
`;

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

function LeverSlider(props: { lever: ModelLever; value: number; units: UnitSystem; onChange: (value: number) => void }) {
  const { lever, value, units, onChange } = props;
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

/** From the start of the movement to its end, by hand. */
function Scrub(props: { movement: { from: number; to: number }; value: number; onMove: (value: number) => void }) {
  const { from, to } = props.movement;
  const percent = Math.round(Math.min(1, Math.max(0, (props.value - from) / (to - from))) * 100);
  return (
    <Lever
      minValue={0}
      maxValue={100}
      step={1}
      value={percent}
      onChange={(next) => props.onMove(from + ((to - from) * (next as number)) / 100)}
    >
      <Label>Start to end</Label>
      <SliderOutput>{percent}%</SliderOutput>
      <SliderTrack className="track">
        <SliderThumb className="thumb" aria-label="Start to end of the movement" />
      </SliderTrack>
    </Lever>
  );
}

export interface ModelScreenProps {
  measure: BodyMeasure;
  posture: PostureRule;
  units: UnitSystem;
  /** The studio's bands, as they were measured. */
  bands: readonly MeasuredBand[];
  /** What to show first: a template and values of its levers, as another screen had them. */
  shown: { id: string; values: Record<string, number> } | null;
}

/** The template in hand, its levers' values, and the body it is tried on. */
function useModel({ measure, posture, shown, bands }: ModelScreenProps) {
  const [templateId, setTemplateId] = useState(shown?.id ?? "squat");
  const [all, setAll] = useState<Record<string, Record<string, number>>>(shown ? { [shown.id]: shown.values } : {});
  const [tried, setTried] = useState(measure);
  const template = MODEL_TEMPLATES.find(({ id }) => id === templateId) ?? MODEL_TEMPLATES[0];
  if (!template) throw new RangeError("no templates");
  const set = all[template.id];
  const values = useMemo(() => ({ ...startValues(template), ...set }), [template, set]);
  const [bandName, setBandName] = useState(bands[0]?.name ?? null);
  const band = bands.find(({ name }) => name === bandName) ?? null;
  const who = useMemo(() => ({ body: bodyFromMeasure(tried), posture, band }), [tried, posture, band]);
  const setLever = (lever: string, value: number): void =>
    setAll((now) => ({ ...now, [template.id]: { ...now[template.id], [lever]: value } }));
  return { template, values, who, tried, setTried, setTemplateId, setLever, bandName, setBandName };
}

/** The body model laid open: any template on this body or another, every channel with unit and trust, and its limits. */
export function ModelScreen(props: ModelScreenProps) {
  const { measure, posture, units } = props;
  const { template, values, who, tried, setTried, setTemplateId, setLever, bandName, setBandName } = useModel(props);
  const [isPlaying, setPlaying] = useState(false);
  const [isBodyOpen, setBodyOpen] = useState(false);
  usePlayed(isPlaying, template.movement, (value) => setLever(template.movement.lever, value));
  const pose = template.pose(who, values);
  const settled = useDeferredValue(values); // what is solved and charted may lag a drag by a frame
  const isOwnBody = tried === measure;
  const pickGroup = (group: ModelGroup): void => setTemplateId(MODEL_TEMPLATES.find((row) => row.group === group)?.id ?? "squat");
  return (
    <Page>
      <Columns $template="250px minmax(0, 1fr) 530px">
        <Card aria-label="Template and levers">
          <Stack>
            <SelectField
              label="Kind"
              options={MODEL_GROUPS.map((group) => ({ id: group, label: group }))}
              value={template.group}
              onChange={pickGroup}
            />
            <SelectField
              label="Movement"
              options={MODEL_TEMPLATES.filter(({ group }) => group === template.group).map(({ id, name }) => ({ id, label: name }))}
              value={template.id}
              onChange={setTemplateId}
            />
            {template.levers.map((lever) => (
              <LeverSlider
                key={`${template.id}-${lever.id}`}
                lever={lever}
                value={values[lever.id] ?? lever.start}
                units={units}
                onChange={(value) => setLever(lever.id, value)}
              />
            ))}
            {template.needsBand && <BandCard bands={props.bands} name={bandName} units={units} onPick={setBandName} />}
            <Button onPress={() => setPlaying(!isPlaying)}>{isPlaying ? "Stop" : "Play the movement"}</Button>
          </Stack>
        </Card>
        <Card aria-label="Figure">
          <Title>{template.name}</Title>
          <div style={{ height: 390, overflow: "hidden" }}>
            {pose.ok ? (
              <ModelFigure
                who={who}
                pose={pose}
                template={template}
                values={values}
                units={units}
                onMove={(value) => setLever(template.movement.lever, value)}
              />
            ) : (
              <Notice style={{ marginTop: 16 }}>Not possible: {modelFailureText(pose.reason)}.</Notice>
            )}
          </div>
          <Scrub
            movement={template.movement}
            value={values[template.movement.lever] ?? 0}
            onMove={(value) => setLever(template.movement.lever, value)}
          />
          {pose.ok && pose.warnings.length > 0 && <Notice>Mind: {pose.warnings.map(modelWarningText).join("; ")}.</Notice>}
          <p style={{ marginTop: 8 }}>
            <strong>What it cannot say.</strong> {template.cannotSay}
          </p>
          {template.shin !== "none" && (
            <p style={{ marginTop: 8 }}>
              <strong>Shin.</strong> {SHIN[template.shin] ?? postureText(posture)}
            </p>
          )}
        </Card>
        <Card aria-label="Channels">
          <Row style={{ justifyContent: "space-between" }}>
            <Title>What it asks</Title>
            <Button onPress={() => setBodyOpen(true)}>
              {isOwnBody ? "Own body" : "Another body"}: {statureText(tried.heightM, units)}, {massText(tried.massKg, units)}
            </Button>
          </Row>
          <Soft>
            shank {lengthText(who.body.shankM, units)}, thigh {lengthText(who.body.thighM, units)}, trunk{" "}
            {lengthText(who.body.trunkM, units)}
          </Soft>
          {pose.ok && <ChannelTable pose={pose} units={units} />}
          <Soft>
            Estimates for comparing set-ups on one person: no limits, and not a diagnosis. Moments above nothing: front of the thigh, back
            of the hip; below: the other side works.
          </Soft>
        </Card>
      </Columns>
      {!isPlaying && <FindCard key={template.id} who={who} template={template} values={settled} units={units} onSet={setLever} />}
      <Card aria-label="What changes with each lever" style={{ marginTop: 14 }}>
        <Title>What changes with each lever</Title>
        <Soft>solid: knee; dashed: hip; dotted: low back; newton metres of one leg, the back whole</Soft>
        {!isPlaying && <LeverCharts template={template} who={who} values={settled} units={units} />}
      </Card>
      <Ask title="Whose body" isOpen={isBodyOpen} onClose={() => setBodyOpen(false)}>
        <p>Only tried here. What is measured on the client is kept under Limits.</p>
        <BodyPanel measure={tried} units={units} onChange={setTried} onReset={isOwnBody ? undefined : () => setTried(measure)} />
        <Row style={{ marginTop: 12 }}>
          <Button $tone="primary" onPress={() => setBodyOpen(false)}>
            Done
          </Button>
        </Row>
      </Ask>
    </Page>
  );
}
