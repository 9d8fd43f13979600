"use client";
import dynamic from "next/dynamic";
import { useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { Label, SliderOutput, SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";
import { bodyFromMeasure, type BodyMeasure } from "../../core/body/body";
import { CATALOGUE } from "../../core/catalogue/catalogue";
import { STUDIES, type Study, STUDY_GROUPS, type StudyGroup } from "../../core/catalogue/studies.data";
import type { MeasuredBand } from "../../core/mechanics/band";
import type { Side } from "../../core/mechanics/channels";
import type { PostureRule } from "../../core/mechanics/posture";
import { ask, AT_THE_POSE } from "../../core/templates/ask";
import { leversOf, movedBy, type OwnRange, parametersOf, startSetting, templateOf } from "../../core/templates/form";
import { harderOf, type LeverId, type LeverUnit, LEVERS, type Setting, withLever } from "../../core/templates/lever";
import { poseOf } from "../../core/templates/pose";
import type { Template } from "../../core/templates/template";
import { nFromKgf, type UnitSystem } from "../../core/units";
import { BodyPanel } from "../body/body-panel";
import { Figure } from "../figure/figure";
import { Button } from "../kit/button";
import { SelectField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { LeverBase } from "../kit/slider";
import { Ask } from "../kit/why";
import { poseWarningText } from "../../words/basics/channel";
import { poseFailureText } from "../../words/training/fit";
import { leverName, leverValueText } from "../../words/basics/lever";
import { postureText } from "../../words/basics/posture";
import { lengthText, massText, statureText } from "../../words/basics/quantity";
import { BandCard } from "./band-card";
import { ChannelTable } from "./channel-table";
import { FindCard } from "./find-card";

const LeverCharts = dynamic(() => import("./lever-charts"), { ssr: false, loading: () => <div style={{ height: 150 }} /> });
const PLAY_MS = 3000;
const SHIN: Readonly<Partial<Record<Template["shin"], string>>> = {
  lever: "As set by its own lever.",
  balance: "Follows from balance while the trunk is kept as set.",
};
/** By hand the model moves finer than any kit. */
const FINE: Readonly<Record<LeverUnit, number>> = { m: 0.01, deg: 1, kg: 1, N: nFromKgf(1), fraction: 0.05, s: 5 };
const FINE_STEPS = Object.fromEntries(Object.entries(LEVERS).map(([lever, { unit }]) => [lever, FINE[unit]])) as Record<LeverId, number>;

/** What the page shows: a row of the catalogue, or a study of the model. */
type Shown = Omit<Study, "group" | "plays"> & { group: StudyGroup | "Catalogue"; plays?: Study["plays"] };
const GROUPS = ["Catalogue", ...STUDY_GROUPS] as const;
const SHOWN: readonly Shown[] = [...CATALOGUE.map((variation) => ({ ...variation, group: "Catalogue" as const })), ...STUDIES];

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

function LeverSlider(props: { range: OwnRange; value: number | undefined; units: UnitSystem; onChange: (value: number) => void }) {
  const { range, value, units, onChange } = props;
  const name = leverName(range.lever);
  return (
    <Lever
      minValue={range.min}
      maxValue={range.max}
      step={FINE_STEPS[range.lever]}
      value={value ?? range.start}
      onChange={(next) => onChange(next as number)}
    >
      <Label>{name}</Label>
      <SliderOutput>{value === undefined ? "not measured" : leverValueText(range.lever, value, units)}</SliderOutput>
      <SliderTrack className="track">
        <SliderThumb className="thumb" aria-label={name} />
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
  side: Side;
  units: UnitSystem;
  /** The studio's bands, as they were measured. */
  bands: readonly MeasuredBand[];
  /** What to show first: a row and its setting, as another screen had it. */
  shown: { id: string; setting: Setting } | null;
}

/** The row in hand, its setting, and the body it is tried on. */
function useModel({ measure, posture, side, shown, bands }: ModelScreenProps) {
  const [formId, setFormId] = useState(shown?.id ?? "squat");
  const [all, setAll] = useState<Record<string, Setting>>(shown ? { [shown.id]: shown.setting } : {});
  const [tried, setTried] = useState(measure);
  const form = SHOWN.find(({ id }) => id === formId) ?? SHOWN[0];
  if (!form) throw new RangeError("nothing to show");
  const [bandName, setBandName] = useState(bands[0]?.name ?? null);
  const band = bands.find(({ name }) => name === bandName) ?? null;
  const subject = useMemo(() => ({ body: bodyFromMeasure(tried), posture, leadSide: side, band }), [tried, posture, side, band]);
  const set = all[form.id];
  const setting = useMemo(() => {
    const share = form.levers.some(({ lever }) => lever === "shareFraction")
      ? { shareFraction: leversOf(subject, form).find(({ lever }) => lever === "shareFraction")?.start ?? 0.5 }
      : {};
    return { ...startSetting(subject, form), ...(set ? {} : share), ...set }; // from Fit, a share nobody measured stays open
  }, [subject, form, set]);
  const setLever = (lever: LeverId, value: number): void =>
    setAll((now) => ({ ...now, [form.id]: withLever({ ...setting, ...now[form.id] }, lever, value) }));
  return { form, setting, subject, tried, setTried, setFormId, setLever, bandName, setBandName };
}

/** The body model laid open: any row on this body or another, every channel with unit and trust, and its limits. */
export function ModelScreen(props: ModelScreenProps) {
  const { measure, posture, units, side } = props;
  const { form, setting, subject, tried, setTried, setFormId, setLever, bandName, setBandName } = useModel(props);
  const [isPlaying, setPlaying] = useState(false);
  const [isBodyOpen, setBodyOpen] = useState(false);
  const lever = movedBy(form);
  const ranges = leversOf(subject, form);
  const row = ranges.find((range) => range.lever === lever);
  const [least, most] = [row?.min ?? 0, row?.max ?? 1];
  const within = (value: number): number => Math.min(most, Math.max(least, value));
  const [from, to] = form.plays ? form.plays.map(within) : harderOf(lever) === "less" ? [most, least] : [least, most];
  const movement = { from: from ?? least, to: to ?? most };
  usePlayed(isPlaying, movement, (value) => setLever(lever, value));
  const pose = useMemo(() => poseOf(subject, form, setting), [subject, form, setting]);
  const asked = useMemo(() => ask(subject, form, setting, AT_THE_POSE), [subject, form, setting]);
  const settled = useDeferredValue(setting); // what is solved and charted may lag a drag by a frame
  const isOwnBody = tried === measure;
  const template = templateOf(form);
  const pickGroup = (group: Shown["group"]): void => setFormId(SHOWN.find((each) => each.group === group)?.id ?? "squat");
  return (
    <Page>
      <Columns $template="250px minmax(0, 1fr) 530px">
        <Card aria-label="Template and levers">
          <Stack>
            <SelectField
              label="Kind"
              options={GROUPS.map((group) => ({ id: group, label: group }))}
              value={form.group}
              onChange={pickGroup}
            />
            <SelectField
              label="Movement"
              options={SHOWN.filter(({ group }) => group === form.group).map(({ id, name }) => ({ id, label: name }))}
              value={form.id}
              onChange={setFormId}
            />
            {ranges.map((range) => (
              <LeverSlider
                key={`${form.id}-${range.lever}`}
                range={range}
                value={setting[range.lever]}
                units={units}
                onChange={(value) => setLever(range.lever, value)}
              />
            ))}
            {form.needsBand && <BandCard bands={props.bands} name={bandName} units={units} onPick={setBandName} />}
            <Button onPress={() => setPlaying(!isPlaying)}>{isPlaying ? "Stop" : "Play the movement"}</Button>
          </Stack>
        </Card>
        <Card aria-label="Figure">
          <Title>{form.name}</Title>
          <div style={{ height: 390, overflow: "hidden" }}>
            {pose.ok && asked.ok ? (
              <Figure
                subject={subject}
                form={form}
                name={form.name}
                setting={setting}
                pose={pose}
                demands={asked.demands}
                units={units}
                {...(form.plays ? { plays: form.plays } : {})}
                increments={FINE_STEPS}
                onLever={setLever}
              />
            ) : (
              <Notice style={{ marginTop: 16 }}>
                Not possible: {poseFailureText(pose.ok ? (asked.ok ? "" : asked.reason) : pose.reason)}.
              </Notice>
            )}
          </div>
          <Scrub movement={movement} value={setting[lever] ?? 0} onMove={(value) => setLever(lever, value)} />
          {pose.ok && pose.warnings.length > 0 && <Notice>Mind: {pose.warnings.map(poseWarningText).join("; ")}.</Notice>}
          <p style={{ marginTop: 8 }}>
            <strong>What it cannot say.</strong> {template.cannotSay(parametersOf(form))}
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
            shank {lengthText(subject.body.shankM, units)}, thigh {lengthText(subject.body.thighM, units)}, trunk{" "}
            {lengthText(subject.body.trunkM, units)}
          </Soft>
          {asked.ok && <ChannelTable asked={asked} leadSide={side} massKg={subject.body.massKg} units={units} />}
          <Soft>
            Estimates for comparing set-ups on one person: no limits, and not a diagnosis. Moments above nothing: front of the thigh, back
            of the hip; below: the other side works.
          </Soft>
        </Card>
      </Columns>
      {!isPlaying && <FindCard key={form.id} subject={subject} form={form} setting={settled} units={units} onSet={setLever} />}
      <Card aria-label="What changes with each lever" style={{ marginTop: 14 }}>
        <Title>What changes with each lever</Title>
        <Soft>solid: knee; dashed: hip; dotted: low back; newton metres of one leg, the back whole</Soft>
        {!isPlaying && <LeverCharts subject={subject} form={form} setting={settled} units={units} />}
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
