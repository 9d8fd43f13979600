"use client";
import { useState } from "react";
import { decideHoldsAction } from "../../actions/plan";
import { variationById } from "../../core/catalogue/catalogue";
import type { Complaint } from "../../core/limits/complaint";
import type { Day } from "../../core/day";
import type { MorningClass, MorningTold } from "../../core/progress/morning";
import type { HomeSet, ResponseFact, SessionFact } from "../../core/record/facts/record";
import { capital } from "../../words/basics/words";
import { Button } from "../kit/button";
import { Card, Columns, Page, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { END_NAMES, toldText } from "../../words/training/floor";
import { agoText, longDayText } from "../../words/basics/day";
import { secondsText } from "../../words/basics/quantity";
import { DecisionCard, type DecisionCardProps } from "./decision-card";
import { HomeCard } from "./home-card";
import { MorningForm } from "./morning-form";

export interface WaitingMorning {
  session: SessionFact;
  response: ResponseFact | null;
  items: readonly {
    itemId: string;
    variationId: string;
    name: string;
    isByTime: boolean;
    deciding: Pick<DecisionCardProps, "decision" | "input" | "drawn"> | null;
  }[];
}

const CLASS_TEXT: Record<MorningClass, string> = { calm: "Calm", noticed: "Noticed", flare: "Flare" };

/** How long a set by the clock went; one that was logged without it was whole, or was not. */
const timeText = ({ repetitions, workedS }: Pick<SessionFact["sets"][number], "repetitions" | "workedS">): string =>
  workedS ? secondsText(workedS) : repetitions > 0 ? "the whole time" : "not the whole time";

/** What was said of it; of a client whom nothing hurts no pain was asked, and none is told. */
function answerText({ painScore, usualScore, newSwelling, underRelief }: ResponseFact): string {
  const told = [
    ...(painScore === null ? [] : [`pain ${painScore}, usual ${usualScore}`]),
    newSwelling ? "more swollen than usual" : painScore === null ? "not more swollen than usual" : "",
    underRelief ? "under more pain relief than usual" : "",
  ].filter(Boolean);
  return `${capital(told.join(", "))}.`;
}

function SessionCard({ waiting, today }: { waiting: WaitingMorning; today: Day }) {
  const { session, items } = waiting;
  return (
    <Card aria-label="What was done">
      <Title>
        {session.place === "home" && "At home, "}
        {longDayText(session.day)}, {agoText(session.day, today)}
      </Title>
      {items.map(({ itemId, variationId, name, isByTime }) => {
        const faultName = (id: string): string => variationById(variationId).faults.find((fault) => fault.id === id)?.sign ?? id;
        const sets = session.sets.filter((set) => set.itemId === itemId);
        return (
          <div key={itemId} style={{ marginTop: 8 }}>
            <strong>{name}</strong>
            <ul>
              {sets.map(({ id, repetitions, painScore, leftInTank, faults, endedBy, ...told }, i) => (
                <li key={id}>
                  Set {i + 1}: {isByTime ? timeText({ repetitions, workedS: told.workedS }) : `${repetitions} repetitions`}, pain{" "}
                  {painScore ?? "not said"}
                  {leftInTank === null ? "" : isByTime ? `, could have gone on for ${leftInTank} s` : `, ${leftInTank} left in the tank`}
                  {faults.length > 0 ? `, ${faults.map(faultName).join(", ")}` : ""}
                  {endedBy === "pain-tap" ? "" : `, ended: ${END_NAMES[endedBy].toLowerCase()}`}
                  {toldText(told) && `, ${toldText(told)}`}
                </li>
              ))}
            </ul>
          </div>
        );
      })}
      {session.moves.length > 0 && <p>Changed on the floor.</p>}
      {session.stoppedItemIds.length > 0 && <p>Stopped on the floor.</p>}
    </Card>
  );
}

/** What else the morning told. */
function Told({ told: { stiffMin, sleep, muscles, note, by } }: { told: MorningTold }) {
  const said = [
    ...(by === "client" ? ["told by the client, next to a usual morning"] : []),
    ...(stiffMin === undefined ? [] : [`stiff for ${stiffMin} min`]),
    ...(sleep ? [`slept ${sleep}`] : []),
    ...(muscles ? [muscles === "sore" ? "muscles sore" : "muscles not sore"] : []),
  ];
  if (said.length === 0 && !note) return null;
  return <Soft>{[said.join(", "), note].filter(Boolean).join("; ")}</Soft>;
}

/** Most of a long session holds: one tap for all of it, and what is left is what wants looking at. */
function HoldsCard({ clientId, sessionId, names }: { clientId: string; sessionId: string; names: readonly string[] }) {
  const { take, isTaking, problem } = useStep();
  return (
    <Card aria-label="All that hold">
      <Stack $gap={8}>
        <p>
          <strong>{names.length} hold:</strong> {names.join("; ").toLowerCase()}.
        </p>
        <Problem text={problem} />
        <Button isDisabled={isTaking} onPress={() => take((stepId) => decideHoldsAction(clientId, { sessionId }, stepId))}>
          Hold all {names.length}
        </Button>
      </Stack>
    </Card>
  );
}

/** The morning after: how the joints answered, and what follows for each exercise. */
export function MorningScreen(props: {
  clientId: string;
  complaints: readonly Complaint[];
  /** Told from the client's own page, and not looked at. */
  homeSets: readonly HomeSet[];
  waiting: WaitingMorning | null;
  today: Day;
  limits: DecisionCardProps["limits"];
  units: DecisionCardProps["units"];
}) {
  const { clientId, complaints, waiting, today, limits, units } = props;
  const [isCorrecting, setCorrecting] = useState(false);
  const home = <HomeCard clientId={clientId} sets={props.homeSets} units={units} />;
  if (!waiting)
    return (
      <Page>
        {home}
        <Card style={{ maxWidth: 640, margin: "12px auto" }}>
          <Stack>
            <Title>No morning is waiting</Title>
            <p>Every session so far has been decided.</p>
            <Link href={`/clients/${clientId}/review`}>Look back on Review</Link>
          </Stack>
        </Card>
      </Page>
    );
  const { session, response, items } = waiting;
  const isTooEarly = session.day >= today;
  const isAsked = !response && !isTooEarly; // then the question stands first
  const holding = items.filter(({ deciding }) => deciding?.decision.move === "hold");
  return (
    <Page>
      {home}
      <Columns $template="1fr 1fr" style={{ marginTop: props.homeSets.length > 0 ? 12 : 0 }}>
        <Stack>
          {!isAsked && <SessionCard waiting={waiting} today={today} />}
          <Card aria-label="Morning after">
            <Title>The morning after</Title>
            {response ? (
              <Stack $gap={8} style={{ marginTop: 8 }}>
                <p>
                  <strong>{CLASS_TEXT[response.class]}.</strong> {answerText(response)}
                </p>
                <Told told={response.told ?? {}} />
                <Button onPress={() => setCorrecting(true)}>Correct this answer</Button>
              </Stack>
            ) : isTooEarly ? (
              <p style={{ marginTop: 8 }}>It can be told from tomorrow on.</p>
            ) : (
              <div style={{ marginTop: 12 }}>
                <MorningForm clientId={clientId} sessionId={session.id} complaints={complaints} />
              </div>
            )}
          </Card>
          {isAsked && <SessionCard waiting={waiting} today={today} />}
        </Stack>
        {isTooEarly ? (
          <Soft>The decision follows the morning.</Soft>
        ) : (
          <Stack>
            {holding.length > 1 && <HoldsCard clientId={clientId} sessionId={session.id} names={holding.map(({ name }) => name)} />}
            {items.map(({ itemId, name, deciding }) =>
              deciding ? (
                <DecisionCard
                  key={itemId}
                  clientId={clientId}
                  sessionId={session.id}
                  itemId={itemId}
                  name={name}
                  limits={limits}
                  units={units}
                  {...deciding}
                />
              ) : null,
            )}
          </Stack>
        )}
      </Columns>
      {response && (
        <Ask title="Correct the morning" isOpen={isCorrecting} onClose={() => setCorrecting(false)}>
          <p>The answer before is kept, with who gave it.</p>
          <MorningForm
            clientId={clientId}
            sessionId={session.id}
            complaints={complaints}
            answered={response}
            onDone={() => setCorrecting(false)}
          />
        </Ask>
      )}
    </Page>
  );
}
