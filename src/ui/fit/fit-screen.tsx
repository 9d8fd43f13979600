"use client";
import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import styled from "styled-components";
import { keepRungAction } from "../../actions/plan";
import {
  bindingLimits,
  type DailyTask,
  type Day,
  demandOf,
  type FitContext,
  type Limit,
  type StandingPose,
  variationById,
} from "../../core";
import { Figure } from "../figure/figure";
import { Button, Key } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Stack, Title } from "../kit/layout";
import { Ask, ModelLinked, Why } from "../kit/why";
import { useKeys } from "../shell/use-keys";
import { fitReasonText } from "../text/fit-text";
import { lengthText, type UnitSystem } from "../text/quantity-text";
import { problemText } from "../text/problem-text";
import { color, media } from "../theme/tokens";
import { DoseWords } from "./dose-panel";
import { JointsPanel } from "./joints-panel";
import { LeversPanel } from "./levers-panel";
import { PoseNumbers } from "./pose-numbers";
import { StairBar } from "./stair-bar";
import { type Fit, type Plan, useFit } from "./use-fit";
import { VariationList } from "./variation-list";

const FigureCard = styled.section`
  overflow: hidden;
  border: 1px solid ${color.fogDeep};
  border-radius: 4px;
  background: ${color.bone};
  ${media.upright} {
    order: -2; /* held upright, the figure and what it asks come before the list */
  }
  .words {
    padding: 10px 16px 0;
  }
  .drawing {
    overflow: hidden;
    height: 326px;
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
  plan: Plan | null;
  provisional: readonly string[];
  dailyTasks: readonly DailyTask[];
  painLimitScore: number;
  today: Day;
  units: UnitSystem;
  isStopped: boolean;
}

/** How far the knee stays under the tightest limit on its bend. */
function kneeNote(limits: readonly Limit[], pose: StandingPose, today: Day): string | undefined {
  const bends = bindingLimits(limits, today).flatMap(({ rule }) => (rule.kind === "knee-bend" ? [rule.maxDeg] : []));
  if (bends.length === 0) return undefined;
  const roomDeg = Math.round(Math.min(...bends) - pose.kneeFlexionDeg);
  return roomDeg >= 0 ? `${roomDeg}° under the limit` : `${-roomDeg}° past the limit`;
}

function ghostOf({ context, plan, units }: FitScreenProps, fit: Fit): { pose: StandingPose; label: string } | null {
  if (!plan || (plan.variationId === fit.variation.id && plan.setting === fit.setting)) return null;
  const demand = demandOf(context.subject, variationById(plan.variationId), plan.setting);
  if (!demand.ok) return null;
  const { seatHeightM } = plan.setting;
  return { pose: demand.pose, label: seatHeightM === undefined ? "last time" : `last time, ${lengthText(seatHeightM, units)}` };
}

/** Keep: the rung and dose become the plan. A closed one asks why; a limit or a warning sign refuses. */
function useKeep({ clientId, isStopped }: FitScreenProps, fit: Fit) {
  const router = useRouter();
  const [isAsking, setAsking] = useState(false);
  const [note, setNote] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [isSaving, save] = useTransition();
  const send = (): void =>
    save(async () => {
      const { variation, setting, dose } = fit;
      const result = await keepRungAction(clientId, { variationId: variation.id, setting, dose, note });
      if (!result.ok) return setProblem(problemText(result));
      setAsking(false);
      router.push(`/clients/${clientId}/floor`);
    });
  const keep = (): void => {
    setProblem(null);
    if (isStopped || isSaving || !fit.isReady) return;
    if (fit.judgement.state === "closed" && !fit.judgement.blocked) setAsking(true);
    else send();
  };
  return {
    keep,
    send,
    isAsking,
    setAsking,
    note,
    setNote,
    problem,
    isSaving,
    canKeep: fit.isReady && !fit.judgement.blocked && !isStopped,
  };
}

/** Fit: which variation, at which set-up, asks what of each joint; changed by one drag or key. */
export function FitScreen(props: FitScreenProps) {
  const { context, units, today, painLimitScore, provisional } = props;
  const fit = useFit(context, props.plan);
  const keeping = useKeep(props, fit);
  const { variation, setting, judgement, steps } = fit;
  const { pose } = judgement;
  useKeys({ "[": () => fit.go("ease"), "]": () => fit.go("build"), Enter: keeping.keep });
  const note = pose ? kneeNote(context.limits, pose, today) : undefined;
  const shown = new URLSearchParams({
    show: variation.id,
    ...Object.fromEntries(Object.entries(setting).map(([lever, value]) => [lever, String(value)])),
  });
  return (
    <ModelLinked href={`/clients/${props.clientId}/model?${shown}`}>
      <Page>
        {props.isStopped && (
          <Notice $tone="oxide">
            A warning sign stands open. Planning goes on once a clinician&apos;s clearance is recorded under Limits.
          </Notice>
        )}
        {context.ceilings.length === 0 && (
          <Notice>
            No ceiling yet: measure one calm seat under Limits, and every figure here becomes a share of what this joint can take.
          </Notice>
        )}
        <Columns $template="292px minmax(0, 1fr) 330px" style={{ marginTop: props.isStopped || context.ceilings.length === 0 ? 12 : 0 }}>
          <Stack as="section" aria-label="Variations" $gap={4}>
            <VariationList
              candidates={fit.candidates}
              current={{ id: variation.id, judgement, setting }}
              limits={context.limits}
              units={units}
              onPick={fit.pick}
            />
          </Stack>
          <FigureCard aria-label="Set-up">
            <div className="words">
              <Row style={{ justifyContent: "space-between" }}>
                <Title>{variation.name}</Title>
                <Row $gap={18}>
                  {pose && <PoseNumbers context={context} pose={pose} demands={judgement.demands} units={units} />}
                  <Why title={variation.name} label="set-up and cues" about="Set-up and cues">
                    <p>{variation.setUp}</p>
                    <ul>
                      {variation.cues.map((cue) => (
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
              <p>{variation.cues.slice(0, 2).join(". ")}.</p>
            </div>
            <div className="drawing">
              {pose ? (
                <Figure
                  body={context.subject.body}
                  pose={pose}
                  variation={variation}
                  setting={setting}
                  units={units}
                  ghost={ghostOf(props, fit)}
                  {...(judgement.tightest ? { tightest: judgement.tightest.channel } : {})}
                  {...(note ? { kneeNote: note } : {})}
                  increments={context.increments}
                  onLever={fit.setLever}
                />
              ) : (
                <Notice style={{ margin: 16 }}>{fitReasonText(judgement.reasons[0], context.limits)}</Notice>
              )}
            </div>
            <LeversPanel
              variation={variation}
              setting={setting}
              increments={context.increments}
              side={context.subject.leadSide}
              units={units}
              ceilings={fit.leverCeilings}
              onLever={fit.setLever}
            />
          </FigureCard>
          <Asked>
            <JointsPanel context={context} judgement={judgement} provisional={provisional} />
            <Card aria-label="Dose">
              <Stack $gap={8}>
                <Title>Dose</Title>
                <DoseWords dose={fit.dose} onChange={fit.setDose} />
                {keeping.problem && !keeping.isAsking && (
                  <Notice $tone="oxide" role="alert">
                    {keeping.problem}
                  </Notice>
                )}
                <Row $gap={6} style={{ flexWrap: "nowrap" }}>
                  <Button $tight isDisabled={!steps.ease} onPress={() => fit.go("ease")}>
                    Ease <Key aria-hidden>[</Key>
                  </Button>
                  <Button $tight isDisabled={!steps.build} onPress={() => fit.go("build")}>
                    Build <Key aria-hidden>]</Key>
                  </Button>
                  <Button $tight $tone="primary" isDisabled={!keeping.canKeep || keeping.isSaving} onPress={keeping.keep}>
                    Keep <Key aria-hidden>↵</Key>
                  </Button>
                </Row>
                {judgement.state !== "open" && (
                  <Notice $tone={judgement.state === "closed" ? "oxide" : "brass"}>
                    {fitReasonText(judgement.reasons[0], context.limits)}
                  </Notice>
                )}
              </Stack>
            </Card>
          </Asked>
        </Columns>
      </Page>
      <StairBar fit={fit} context={context} dailyTasks={props.dailyTasks} painLimitScore={painLimitScore} units={units} />
      <Ask title="Past a ceiling" isOpen={keeping.isAsking} onClose={() => keeping.setAsking(false)}>
        <Stack>
          <p>{fitReasonText(judgement.reasons[0], context.limits)} You can keep it all the same; say why, and it stays with the plan.</p>
          <TextField label="Why" long value={keeping.note} onChange={keeping.setNote} />
          {keeping.problem && (
            <Notice $tone="oxide" role="alert">
              {keeping.problem}
            </Notice>
          )}
          <Row>
            <Button onPress={() => keeping.setAsking(false)}>Back</Button>
            <Button $tone="danger" isDisabled={keeping.isSaving} onPress={keeping.send}>
              Keep it all the same
            </Button>
          </Row>
        </Stack>
      </Ask>
    </ModelLinked>
  );
}
