"use client";
import { type ReactNode, useState } from "react";
import styled from "styled-components";
import type { Day } from "../../core/day";
import { WARNING_SIGNS } from "../../core/limits/clinician";
import type { Complaint } from "../../core/limits/complaint";
import type { Limit } from "../../core/limits/limit";
import {
  type Clock,
  type Gate,
  limitIdOf,
  type OwnRule,
  SCREEN_QUESTIONS,
  type ScreenAnswers,
  type ScreenQuestion,
  type Soon,
} from "../../core/screen/screen";
import type { FurtherQuestion } from "../../core/screen/further.data";
import type { Clearance } from "../../core/progress/warning";
import type { UnitSystem } from "../../core/units";
import { TextButton } from "../kit/button";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { dayText } from "../../words/basics/day";
import { limitText, roleName } from "../../words/client/limit";
import { conditionText, gateText, questionText } from "../../words/client/screen";
import { color } from "../theme/tokens";
import { ActivityQuestion, ClearanceQuestion } from "./clearance-question";
import { ConditionsQuestion } from "./conditions-question";
import { warningText } from "../../words/client/warning";
import { answeredText } from "./answered";
import { AidsQuestion, BackQuestion, GoalsQuestion, MedicinesQuestion, PainQuestion, PersonQuestion } from "./further-questions";
import { LettersCard, type LetterShown } from "./letters-card";
import { RuleLine } from "./rule-line";
import { SignsQuestion } from "./signs-question";

const Question = styled(Card)<{ $isOpen: boolean }>`
  border-left: 5px solid ${({ $isOpen }) => ($isOpen ? color.brass : color.fogDeep)};
  scroll-margin-top: 12px;
  h2 {
    font-size: ${({ $isOpen }) => ($isOpen ? "22px" : "17px")};
  }
`;

function soonText(soon: Soon, today: Day, units: UnitSystem): string {
  if (soon.kind === "clearance-old") return `The clearance is ${soon.months} months old: it counts for twelve. Ask again.`;
  const when = soon.days === 0 ? "ends today" : soon.days === 1 ? "ends tomorrow" : `ends in ${soon.days} days`;
  return `${limitText(soon.limit, today, units)}: ${when}. Ask before it does.`;
}

const clockText = (clock: Clock): string =>
  clock.kind === "gestation"
    ? `${conditionText(clock.condition.id)}: week ${clock.at.week}, day ${clock.at.day}, trimester ${clock.at.trimester}, due ${dayText(clock.at.dueDay)}`
    : `${conditionText(clock.condition.id)}: ${clock.weeks} weeks`;

type AnyQuestion = ScreenQuestion | FurtherQuestion;
interface AskedProps {
  question: AnyQuestion;
  open: AnyQuestion | null;
  answers: ScreenAnswers;
  units: UnitSystem;
  onOpen: (question: AnyQuestion) => void;
  children: ReactNode;
}
/** One question: open, or as it was answered. */
function Asked({ question, open, answers, units, onOpen, children }: AskedProps) {
  const isOpen = question === open;
  const answer = answeredText(answers, question, units);
  return (
    <Question id={question} $isOpen={isOpen} aria-label={questionText[question]}>
      <Row style={{ justifyContent: "space-between" }}>
        <Title>{questionText[question]}</Title>
        {!isOpen && (
          <TextButton aria-label={`Answer: ${questionText[question]}`} onPress={() => onOpen(question)}>
            {answer === null ? "answer" : "change"}
          </TextButton>
        )}
      </Row>
      {isOpen ? children : <p>{answer ?? <Soft>Not asked yet</Soft>}</p>}
    </Question>
  );
}

export interface ScreenPageProps {
  clientId: string;
  answers: ScreenAnswers;
  gate: Gate;
  rules: readonly OwnRule[];
  clocks: readonly Clock[];
  limits: readonly Limit[];
  /** Those that follow, asked when there is time. */
  further: readonly FurtherQuestion[];
  letters: readonly LetterShown[];
  /** Signs that stood open once, and who cleared each. */
  cleared: readonly Clearance[];
  /** What is about to run out. */
  soon: readonly Soon[];
  complaints: readonly Complaint[];
  today: Day;
  units: UnitSystem;
}

/** The questions before training, one open at a time; what was answered, and what it has changed, stays beside it. */
export function ScreenPage({
  clientId,
  answers,
  gate,
  rules,
  clocks,
  limits,
  further,
  letters,
  cleared,
  soon,
  complaints,
  today,
  units,
}: ScreenPageProps) {
  const [chosen, setChosen] = useState<ScreenQuestion | FurtherQuestion | null>(null);
  const open = chosen ?? SCREEN_QUESTIONS.find((question) => answers[question] === undefined) ?? null;
  const { head, reasons } = gateText(gate);
  const onDone = (): void => setChosen(null);
  const common = { clientId, answers, onDone };
  return (
    <Page>
      <Columns $template="minmax(0, 1fr) 430px">
        <Stack>
          {SCREEN_QUESTIONS.map((question) => (
            <Asked key={question} {...{ question, open, answers, units }} onOpen={setChosen}>
              {question === "signs" && <SignsQuestion {...common} />}
              {question === "conditions" && <ConditionsQuestion {...common} complaints={complaints} />}
              {question === "activity" && <ActivityQuestion {...common} />}
              {question === "clearance" && <ClearanceQuestion {...common} />}
            </Asked>
          ))}
          <Title>When there is time</Title>
          {further.map((question) => (
            <Asked key={question} {...{ question, open, answers, units }} onOpen={setChosen}>
              {question === "goals" && <GoalsQuestion {...common} units={units} />}
              {question === "pain" && <PainQuestion {...common} />}
              {question === "back" && <BackQuestion {...common} />}
              {question === "medicines" && <MedicinesQuestion {...common} />}
              {question === "aids" && <AidsQuestion {...common} />}
              {question === "person" && <PersonQuestion {...common} />}
            </Asked>
          ))}
        </Stack>
        <Stack>
          <Card
            {...(gate.state === "open" ? {} : ({ $accent: gate.state === "missing" ? "brass" : "oxide" } as const))}
            aria-label="Where it stands"
            role="status"
          >
            <Title>{head}</Title>
            <ul>
              {reasons.map((reason) => (
                <li key={reason}>{reason}</li>
              ))}
            </ul>
            {gate.state === "open" && (
              <p>
                Next: <Link href={`/clients/${clientId}/assess?do=calm-seat`}>one calm seat</Link>, and{" "}
                <Link href={`/clients/${clientId}/limits`}>a clinician&apos;s limits</Link> if there are any.
              </p>
            )}
          </Card>
          {cleared.length > 0 && (
            <Card aria-label="Signs that were cleared">
              <Title>Signs that were cleared</Title>
              <ul>
                {cleared.map(({ id, sign, by, role, day, note }) => (
                  <li key={id}>
                    {warningText(sign)}: by {by}, {roleName[role].toLowerCase()}, {dayText(day)}
                    {note && <Soft>. {note}</Soft>}
                  </li>
                ))}
              </ul>
            </Card>
          )}
          {clocks.length + soon.length > 0 && (
            <Card aria-label="Clocks">
              {soon.map((each) => (
                <p key={each.kind === "limit-ends" ? each.limit.id : each.kind}>
                  <strong>{soonText(each, today, units)}</strong>
                </p>
              ))}
              {clocks.map((clock) => (
                <p key={clock.condition.id}>{clockText(clock)}</p>
              ))}
            </Card>
          )}
          <Card aria-label="What follows from it">
            <Title>What follows from it</Title>
            {rules.length === 0 ? (
              <p>
                <Soft>
                  {answers.conditions
                    ? "No rule speaks of what was answered."
                    : "What is closed is not known before the second question is answered."}
                </Soft>
              </p>
            ) : (
              <Stack $gap={10} style={{ marginTop: 8 }}>
                {rules.map((own) => (
                  <RuleLine
                    key={limitIdOf(own)}
                    clientId={clientId}
                    own={own}
                    limit={limits.find(({ id }) => id === limitIdOf(own)) ?? null}
                    today={today}
                    units={units}
                  />
                ))}
              </Stack>
            )}
            <p style={{ marginTop: 10 }}>
              <Link href="/rules">Every rule, with its source</Link>
            </p>
          </Card>
          <LettersCard clientId={clientId} letters={letters} />
          {gate.state === "stop" && WARNING_SIGNS.some((sign) => gate.because.includes(sign)) && (
            <Notice $tone="oxide">
              A warning sign stands open until a clinician has cleared it.{" "}
              <Link href={`/clients/${clientId}/limits`}>Record a clearance</Link>
            </Notice>
          )}
        </Stack>
      </Columns>
    </Page>
  );
}
