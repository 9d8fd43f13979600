"use client";
import type { UnitSystem } from "../../core/units";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { DailyTask, FitContext } from "../../core/judge/context";
import type { Route } from "../../core/progressions/stair";
import { InlineSelect } from "../kit/fields";
import { Soft, Title } from "../kit/layout";
import { channelName, jointText } from "../../words/basics/channel";
import { changeText } from "../../words/basics/lever";
import { percentText } from "../../words/basics/quantity";
import { color, media } from "../theme/tokens";
import { Stair } from "./stair";
import type { Fit } from "./use-fit";
import { useGoal } from "./use-goal";

const Bar = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 296px;
  gap: 22px;
  padding: 6px 18px 8px;
  border-top: 1px solid ${color.fogDeep};
  background: ${color.bone};
  position: sticky;
  bottom: 0;
  ${media.upright} {
    position: static;
    grid-template-columns: minmax(0, 1fr);
  }
`;

function NextUp({ fit, units, painLimitScore }: { fit: Fit; units: UnitSystem; painLimitScore: number }) {
  const step = fit.around?.build;
  if (!fit.around) return <p role="status">Working out the next step</p>;
  if (!step?.change) return <p>Nothing harder is left in this variation.</p>;
  return (
    <>
      <p>
        {changeText(step.change, variationById(step.variationId).name, units)}.
        {step.riserFraction !== null &&
          step.channel !== null &&
          ` The ${jointText(step.channel, "both")} is asked ${percentText(step.riserFraction)} more.`}
        {step.size === "too-big" && " A big jump: nothing smaller is on hand, and it is not taken by itself."}
        {step.size === "small" && " A small step."}
        {step.judgement.state === "closed" && " Closed today."}
        {step.judgement.state === "try" && " Only as a try, one light set."}
      </p>
      <Soft>
        After two sessions: every set clean with {fit.dose.repetitionsHigh}, 2 to spare in the last, pain {painLimitScore} or less, and calm
        mornings.
      </Soft>
    </>
  );
}

/** A stair to a goal in words: how many changes, how even, and what of it waits. */
function WayThere({ route }: { route: Route }) {
  const steps = route.treads.slice(1);
  const even = steps.flatMap(({ riserFraction, size }) => (riserFraction !== null && size === "even" ? [riserFraction] : []));
  const past = steps.filter(({ judgement }) => judgement.state === "closed").length;
  const big = steps.filter(({ size }) => size === "too-big").length;
  return (
    <>
      <p>
        {steps.length} changes
        {even.length > 0 && `, each asking ${percentText(Math.min(...even))} to ${percentText(Math.max(...even))} more`}
        {route.channel !== null && ` of the ${channelName(route.channel).toLowerCase()}`}
        {big > 0 && `; ${big} a big jump, nothing between is on hand`}.{!route.reachesGoal && " It does not get all the way."}
      </p>
      <Soft>
        {past > 0 ? `${past} are closed today: they open as ceilings rise and limits end. ≈ is about the same.` : "≈ is about the same."}
      </Soft>
    </>
  );
}

/** The foot of Fit: the stair from here, to the next treads or to a goal, and what comes next in words. */
export function StairBar(props: {
  fit: Fit;
  context: FitContext;
  dailyTasks: readonly DailyTask[];
  painLimitScore: number;
  units: UnitSystem;
}) {
  const { fit, context, dailyTasks, painLimitScore, units } = props;
  const goal = useGoal(context, dailyTasks, fit.here, units);
  const stair = fit.around?.stair;
  return (
    <Bar>
      <Stair
        treads={goal.route?.treads ?? stair?.treads ?? []}
        current={goal.route ? 0 : (stair?.current ?? 0)}
        day={goal.day}
        units={units}
        onPick={fit.goTo}
      >
        <InlineSelect label="towards" options={goal.options} value={goal.goalId} onChange={goal.setGoalId} />
      </Stair>
      {goal.route ? (
        <section aria-label="The way there">
          <Title>The way there</Title>
          <WayThere route={goal.route} />
        </section>
      ) : (
        <section aria-label="Next step up">
          <Title>Next step up</Title>
          <NextUp fit={fit} units={units} painLimitScore={painLimitScore} />
        </section>
      )}
    </Bar>
  );
}
