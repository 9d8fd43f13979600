"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import { type Day, dayAfter, mondayOf, weekdayOf } from "../../core/day";
import type { FitContext } from "../../core/judge/context";
import { alternating, blockWeek, BLOCK_WEEKS, type Laid, refusalOn } from "../../core/week/week";
import { Button, TextButton } from "../kit/button";
import { CheckField, TextField } from "../kit/fields";
import { Row, Soft, Title } from "../kit/layout";
import { Ask } from "../kit/why";
import { dayRefusalText, WEEKDAYS } from "../../words/training/plan";
import { color, media } from "../theme/tokens";
import { blockStart, rulesOf } from "../../core/session/plan";
import type { PlanState } from "./use-plan";

const Days = styled.ol`
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
  ${media.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const DayCard = styled.li<{ $on: boolean; $today: boolean }>`
  display: grid;
  align-content: start;
  gap: 2px;
  min-height: 104px;
  padding: 6px 8px;
  border: ${({ $today }) => ($today ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  border-radius: 4px;
  background: ${({ $on }) => ($on ? color.paper : `repeating-linear-gradient(135deg, ${color.bone} 0 8px, ${color.fog} 8px 16px)`)};
  button {
    justify-self: start;
    min-height: 30px;
  }
`;
const shortDay = (day: Day): string => `${WEEKDAYS[weekdayOf(day) - 1]} ${Number(day.slice(8))}`;

/** Two weeks at a glance: sessions, rest, what the client's own life brings; a missed one moves and nothing is doubled. */
export function WeekStrip({
  plan,
  context,
  doneDays,
  retests,
  today,
}: {
  plan: PlanState;
  context: FitContext;
  doneDays: readonly Day[];
  retests: readonly { day: Day; name: string }[];
  today: Day;
}) {
  const { draft, change, move, lay } = plan;
  const [page, setPage] = useState(0);
  const [adding, setAdding] = useState<Day | null>(null);
  const [name, setName] = useState("");
  const [isHeavy, setHeavy] = useState(true);
  const from = dayAfter(mondayOf(today), 7 * page);
  const days = Array.from({ length: 14 }, (_, i) => dayAfter(from, i));
  const first = blockStart(draft);
  const week = first ? blockWeek(first, days[0]! < first ? first : days[0]!) : 1;
  // what may be done every day is, on the days between too
  const daily = draft.items.flatMap(({ variationId }) => {
    const { often, name: rowName, pattern } = variationById(variationId);
    return pattern !== "helper" && (often === "daily" || often === "several-a-day") ? [rowName.toLowerCase()] : [];
  });
  const session = (day: Day): Laid | undefined => draft.laid.find((each) => each.day === day);
  return (
    <section aria-label="Weeks">
      <Row style={{ justifyContent: "space-between", marginBottom: 6 }}>
        <Row>
          <Title>On the days</Title>
          <Soft>
            week {((week - 1) % BLOCK_WEEKS) + 1} of a block of {BLOCK_WEEKS}
          </Soft>
        </Row>
        <Row>
          <Button $tight onPress={() => setPage(page - 1)} aria-label="A week earlier">
            earlier
          </Button>
          <Button $tight onPress={() => setPage(page + 1)} aria-label="A week later">
            later
          </Button>
        </Row>
      </Row>
      <Days>
        {days.map((day) => {
          const isDone = doneDays.includes(day);
          const laid = isDone ? undefined : session(day);
          const loads = draft.loads.filter((load) => load.day === day);
          const refusal = laid
            ? null
            : refusalOn(day, { id: "new", often: draft.often }, draft.laid, rulesOf(draft, context.school, doneDays));
          return (
            <DayCard key={day} $on={laid !== undefined || isDone} $today={day === today}>
              <strong>{shortDay(day)}</strong>
              {isDone ? (
                <span>trained</span>
              ) : laid ? (
                <span>
                  {laid.isLight ? "Light" : draft.alternates ? "Heavy" : "Session"}, {draft.at}
                </span>
              ) : (
                <Soft>rest</Soft>
              )}
              {!laid && !isDone && daily.length > 0 && <Soft>at home: {daily.join(", ")}</Soft>}
              {(draft.setAside ?? [])
                .filter(({ backOn }) => backOn === day)
                .map(({ item }) => (
                  <Soft key={item.id}>try again: {variationById(item.variationId).name.toLowerCase()}</Soft>
                ))}
              {retests
                .filter((retest) => retest.day === day)
                .map((retest) => (
                  <Soft key={retest.name}>again: {retest.name.toLowerCase()}</Soft>
                ))}
              {loads.map((load) => (
                <span key={load.name}>
                  {load.name}
                  <TextButton
                    aria-label={`Take ${load.name} off ${shortDay(day)}`}
                    onPress={() => change({ loads: draft.loads.filter((each) => each !== load) })}
                  >
                    off
                  </TextButton>
                </span>
              ))}
              {laid && day >= today && (
                <TextButton aria-label={`Move the session of ${shortDay(day)}`} onPress={() => move(laid, dayAfter(day, 1))}>
                  cannot that day
                </TextButton>
              )}
              {laid && day < today && (
                <TextButton aria-label={`The session of ${shortDay(day)} was missed`} onPress={() => move(laid, today)}>
                  was missed
                </TextButton>
              )}
              {!laid && !isDone && day >= today && refusal === null && (
                <TextButton
                  aria-label={`Put a session on ${shortDay(day)}`}
                  onPress={() =>
                    change({
                      laid: alternating(
                        [...draft.laid, { id: `${draft.often} ${day} own`, day, often: draft.often }],
                        draft.alternates === true,
                      ),
                    })
                  }
                >
                  put one here
                </TextButton>
              )}
              {refusal !== null && !isDone && day >= today && refusal.code !== "not-a-day-of-the-client" && (
                <Soft>{dayRefusalText(refusal)}</Soft>
              )}
              {day >= today && (
                <TextButton aria-label={`Something else on ${shortDay(day)}`} onPress={() => setAdding(day)}>
                  + own
                </TextButton>
              )}
            </DayCard>
          );
        })}
      </Days>
      <Ask title={adding ? `On ${shortDay(adding)}` : ""} isOpen={adding !== null} onClose={() => setAdding(null)}>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            if (!adding || name.trim() === "") return;
            lay({ loads: [...draft.loads, { day: adding, name: name.trim(), isHeavy }] }, today);
            setAdding(null);
            setName("");
          }}
        >
          <TextField label="A walk, a shift on the feet, a festival" isRequired maxLength={80} value={name} onChange={setName} />
          <CheckField label="It takes the place of a hard session" isSelected={isHeavy} onChange={setHeavy} />
          <Row>
            <Button type="submit" $tone="primary">
              Put it there
            </Button>
            <Button onPress={() => setAdding(null)}>Back</Button>
          </Row>
        </Form>
      </Ask>
    </section>
  );
}
