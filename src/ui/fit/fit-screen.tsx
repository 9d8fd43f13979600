"use client";
import type { Gate } from "../../core/screen/screen";
import type { UnitSystem } from "../../core/units";
import { useMemo, useState } from "react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { Place } from "../../core/kit/equipment";
import { type Pattern, PATTERNS } from "../../core/catalogue/variation";
import type { DailyTask, FitContext } from "../../core/judge/context";
import { bindingLimits } from "../../core/limits/limit";
import type { Demand, Side } from "../../core/mechanics/channels";
import { cuesFor } from "../../core/judge/cues";
import { parametersOf, templateOf } from "../../core/templates/form";
import { JOINT_OF, type Pose, poseOf } from "../../core/templates/pose";
import { Figure } from "../figure/figure";
import { Pictogram } from "../figure/pictogram";
import { posedOf } from "../figure/row-poses.data";
import { Button, Key } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Ask, ModelLinked, Why } from "../kit/why";
import { useKeys } from "../shell/use-keys";
import { stoppedText } from "../../words/training/decision";
import { fitReasonText } from "../../words/training/fit";
import { settingText } from "../../words/basics/lever";
import { Problem } from "../kit/problem";
import { GateNotice } from "../screen/gate-notice";
import { color, media } from "../theme/tokens";
import { ByHand, dropsHere } from "./by-hand";
import { DoseWords } from "./dose-panel";
import { JointsPanel } from "./joints-panel";
import { LeversPanel } from "./levers-panel";
import { PatternTabs } from "./pattern-tabs";
import { PlacePick } from "./place-pick";
import { PoseNumbers } from "./pose-numbers";
import { StairBar } from "./stair-bar";
import { type Fit, type Plan, rangesOf, useFit } from "./use-fit";
import { useKeep } from "./use-keep";
import { VariationList } from "./variation-list";
import { WaysOff } from "./ways-off";

const FigureCard = styled.section`
  display: flex;
  flex-direction: column;
  height: clamp(420px, calc(100dvh - 320px), 760px); /* what two lines of limits and the stair leave of the screen */
  overflow: hidden;
  border: 1px solid ${color.fogDeep};
  border-radius: 4px;
  background: ${color.bone};
  ${media.upright} {
    height: auto;
    order: -2; /* held upright, the figure and what it asks come before the list */
  }
  .words {
    padding: 10px 16px 0;
  }
  .drawing {
    flex: 1 1 0;
    min-height: 0;
    overflow: hidden;
    ${media.upright} {
      flex: none;
      height: 326px;
    }
    ${media.phone} {
      height: 300px;
    }
  }
`;
const Asked = styled(Stack)`
  ${media.upright} {
    order: -1;
  }
`;

export interface FitScreenProps {
  clientId: string;
  context: FitContext;
  /** Where it is set up: what stands there decides. */
  place: Place;
  plans: readonly Plan[];
  provisional: readonly string[];
  dailyTasks: readonly DailyTask[];
  painLimitScore: number;
  units: UnitSystem;
  /** What stands open and stops all planning: signs, or what cannot be read. */
  openSigns: readonly string[];
  gate: Gate;
}

/** How far the knee stays under the tightest limit on its bend. */
function kneeNote({ limits, today }: FitContext, demands: readonly Demand[]): string | undefined {
  const bends = bindingLimits(limits, today).flatMap(({ rule }) =>
    rule.kind === "most" && rule.channel === "kneeFlexion" ? [rule.most] : [],
  );
  const kneeDeg = Math.max(...demands.filter(({ channel }) => channel === "kneeFlexion").map(({ high }) => high));
  if (bends.length === 0 || !Number.isFinite(kneeDeg)) return undefined;
  const roomDeg = Math.round(Math.min(...bends) - kneeDeg);
  return roomDeg >= 0 ? `${roomDeg}° under the limit` : `${-roomDeg}° past the limit`;
}

function ghostOf({ plans, units }: FitScreenProps, { context, pattern, here }: Fit): { pose: Pose; label: string } | null {
  const plan = plans.findLast((each) => each.pattern === pattern && each.side === context.subject.leadSide);
  if (!plan || (plan.variationId === here.variationId && plan.setting === here.setting)) return null;
  const pose = poseOf(context.subject, variationById(plan.variationId), plan.setting);
  return pose.ok ? { pose, label: `last time, ${settingText(plan.setting, units).split(", ")[0] ?? ""}` } : null;
}

const LEGS: readonly { id: Side; label: string }[] = [
  { id: "left", label: "Left leg" },
  { id: "right", label: "Right leg" },
];

/** The picked variation drawn on this body, with its levers under it. */
function SetUpCard({ fit, ...props }: FitScreenProps & { fit: Fit }) {
  const { units } = props;
  const { context, variation, setting, judgement } = fit;
  const pose = useMemo(() => poseOf(context.subject, variation, setting), [context.subject, variation, setting]);
  const posed = posedOf(variation);
  const cues = cuesFor(context, variation);
  const isEven = templateOf(variation).isEven(parametersOf(variation));
  const note = kneeNote(context, judgement.demands);
  const joint = judgement.tightest ? JOINT_OF[judgement.tightest.channel] : undefined;
  return (
    <FigureCard aria-label="Set-up">
      <div className="words">
        <Row style={{ justifyContent: "space-between" }}>
          <Title>{variation.name}</Title>
          <Row $gap={18}>
            <PoseNumbers context={context} variation={variation} demands={judgement.demands} units={units} />
            <Why title={variation.name} label="set-up and cues" about="Set-up and cues">
              <p>{variation.setUp}</p>
              <ul>
                {cues.map((cue) => (
                  <li key={cue}>{cue}</li>
                ))}
                {variation.cautions.map((caution) => (
                  <li key={caution}>
                    <strong>Mind:</strong> {caution}
                  </li>
                ))}
              </ul>
            </Why>
          </Row>
        </Row>
        <Row style={{ justifyContent: "space-between", alignItems: "flex-start", flexWrap: "nowrap" }}>
          <p>{cues.slice(0, 2).join(". ")}.</p>
          {!isEven && (
            <div style={{ flex: "none" }}>
              <ChoiceField label="Working leg" options={LEGS} value={context.subject.leadSide} onChange={fit.setSide} />
            </div>
          )}
        </Row>
      </div>
      <div className="drawing">
        {pose.ok ? (
          <Figure
            subject={context.subject}
            form={variation}
            name={variation.name}
            setting={setting}
            pose={pose}
            demands={judgement.demands}
            units={units}
            ghost={ghostOf(props, fit)}
            {...(joint ? { joint } : {})}
            {...(note ? { kneeNote: note } : {})}
            increments={context.kit.increments}
            onLever={fit.setLever}
          />
        ) : posed ? (
          <Pictogram posed={posed} label={`How ${variation.name} is done; not to scale`} />
        ) : (
          <Notice style={{ margin: 16 }}>{fitReasonText(judgement.reasons[0], context.limits, units)}</Notice>
        )}
      </div>
      <LeversPanel
        row={variation}
        ranges={rangesOf(fit)}
        setting={setting}
        kit={context.kit}
        side={context.subject.leadSide}
        units={units}
        ceilings={fit.around?.leverCeilings ?? []}
        onLever={fit.setLever}
      />
      <ByHand context={context} variation={variation} setting={setting} units={units} onLever={fit.setLever} />
    </FigureCard>
  );
}

const NOTED = ["ankle-at-its-limit", "back-over-action", "kneecap-past-90", "own-words-limit"];

/** Fit: which variation, at which set-up, asks what of each joint; changed by one drag or key. */
export function FitScreen(props: FitScreenProps) {
  const { units, painLimitScore, provisional, plans } = props;
  const [firstPattern] = useState<Pattern>(plans.find(({ pattern }) => pattern === "squat")?.pattern ?? plans[0]?.pattern ?? "squat");
  const fit = useFit(props.context, plans, firstPattern);
  const isStopped = props.openSigns.length > 0;
  const keeping = useKeep({ ...props, isStopped }, fit);
  const { context, variation, setting, judgement, around } = fit;
  useKeys({ ",": () => fit.go("ease"), ".": () => fit.go("build"), Enter: keeping.keep });
  const shown = new URLSearchParams({
    show: variation.id,
    ...Object.fromEntries(Object.entries(setting).map(([lever, value]) => [lever, String(value)])),
  });
  const isUnmeasured = context.ceilings.length === 0;
  const said = judgement.state === "open" ? [] : [judgement.reasons[0]];
  const notes = [...said, ...judgement.reasons.filter((reason) => NOTED.includes(reason.code) && !said.includes(reason))];
  const isEven = templateOf(variation).isEven(parametersOf(variation));
  return (
    <ModelLinked href={`/clients/${props.clientId}/model?${shown}`}>
      <Page>
        {isStopped && <Notice $tone="oxide">{stoppedText(props.openSigns)}</Notice>}
        {!isStopped && <GateNotice clientId={props.clientId} gate={props.gate} />}
        {isUnmeasured && (
          <Notice>
            Nothing is measured yet, so nothing is open: measure{" "}
            <Link href={`/clients/${props.clientId}/assess?do=calm-seat`}>one calm seat</Link>, and every figure here becomes a share of
            what this joint can take.
          </Notice>
        )}
        <Columns
          $template="292px minmax(0, 1fr) 330px"
          style={{ marginTop: isStopped || isUnmeasured || props.gate.state !== "open" ? 12 : 0 }}
        >
          <Stack as="section" aria-label="Variations" $gap={4}>
            <PatternTabs pattern={fit.pattern} patterns={PATTERNS} onPick={fit.setPattern} />
            <PlacePick clientId={props.clientId} place={props.place} />
            <VariationList
              candidates={fit.candidates}
              current={{ id: variation.id, judgement, setting }}
              limits={context.limits}
              units={units}
              isFailed={fit.isFailed && fit.candidates === null}
              isStopped={isStopped}
              onPick={fit.pick}
            />
          </Stack>
          <SetUpCard {...props} fit={fit} />
          <Asked>
            <JointsPanel context={context} judgement={judgement} provisional={provisional} units={units} />
            <Card aria-label="Dose">
              <Stack $gap={8}>
                <Title>Dose</Title>
                <DoseWords
                  dose={fit.dose}
                  startsBy={variation.startsBy}
                  legs={isEven ? "Both legs together" : `${context.subject.leadSide === "left" ? "Left" : "Right"} leg`}
                  purposes={fit.doseFor}
                  dropsHere={dropsHere(context, variation, fit.setting)}
                  units={units}
                  onChange={fit.setDose}
                />
                <Problem text={keeping.asked ? null : keeping.problem} />
                <Row $gap={6} style={{ flexWrap: "nowrap" }}>
                  <Button $tight isDisabled={around !== null && !around.ease} onPress={() => fit.go("ease")}>
                    Ease <Key aria-hidden>,</Key>
                  </Button>
                  <Button $tight isDisabled={around !== null && !around.build} onPress={() => fit.go("build")}>
                    Build <Key aria-hidden>.</Key>
                  </Button>
                  <Button $tight $tone="primary" isDisabled={!keeping.canKeep || keeping.isSaving} onPress={keeping.keep}>
                    Keep <Key aria-hidden>↵</Key>
                  </Button>
                </Row>
                {(fit.pattern === "squat" || fit.pattern === "step") && (
                  <div>
                    <WaysOff context={context} here={fit.here} units={units} onTake={fit.goTo} />
                  </div>
                )}
                {fit.isFailed && (
                  <Notice $tone="oxide">Steps and stair could not be worked out on this device. Reload to try again.</Notice>
                )}
                {notes.map((reason, i) => (
                  <Notice key={i} $tone={i === 0 && judgement.state === "closed" ? "oxide" : "brass"}>
                    {fitReasonText(reason, context.limits, units)}
                  </Notice>
                ))}
              </Stack>
            </Card>
          </Asked>
        </Columns>
      </Page>
      <StairBar fit={fit} context={context} dailyTasks={props.dailyTasks} painLimitScore={painLimitScore} units={units} />
      <Ask title="Keep it all the same" isOpen={keeping.asked !== null} onClose={() => keeping.setAsked(null)}>
        <Stack>
          <p>
            {judgement.state !== "open" && `${fitReasonText(judgement.reasons[0], context.limits, units)} `}
            {keeping.asked} It stays with the plan and shows in Review.
          </p>
          <TextField label="Why" long value={keeping.note} onChange={keeping.setNote} />
          {keeping.problem && (
            <Notice $tone="oxide" role="alert">
              {keeping.problem}
            </Notice>
          )}
          <Row>
            <Button onPress={() => keeping.setAsked(null)}>Back</Button>
            <Button $tone="danger" isDisabled={keeping.isSaving || keeping.note.trim() === ""} onPress={keeping.send}>
              Keep it all the same
            </Button>
          </Row>
        </Stack>
      </Ask>
    </ModelLinked>
  );
}
