"use client";
import { useState } from "react";
import styled from "styled-components";
import { changeVisitsAction } from "../../actions/visits";
import type { Day } from "../../core/day";
import type { MorningClass } from "../../core/progress/morning";
import type { UnitSystem } from "../../core/units";
import { type Visit, withEnd, withLeftOut, withMoved } from "../../core/week/visit";
import { PlaceFigure } from "../figure/place-figure";
import { Soft } from "../kit/layout";
import { Link } from "../kit/link";
import { MoreMenu } from "../kit/menu";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { ageOn, agoText } from "../../words/basics/day";
import { inSentence } from "../../words/basics/words";
import { itemName } from "../../words/basics/item";
import { settingText } from "../../words/basics/lever";
import { color, font, media, size } from "../theme/tokens";
import type { Told, TodayRow } from "./today-rows";
import { MoveForm } from "./visit-form";
import { WhenTold } from "./when-told";

type Tone = "stop" | "look" | "calm" | "plain";
const Line = styled.li<{ $tone: Tone; $isNext: boolean }>`
  display: grid;
  grid-template-columns: 62px 96px minmax(0, 1fr) auto auto;
  gap: 12px;
  align-items: center;
  min-height: 84px;
  padding: 8px 8px 8px 12px;
  border: 1px solid ${({ $isNext }) => ($isNext ? color.marine : color.fogDeep)};
  ${({ $isNext }) => $isNext && `outline: 1px solid ${color.marine};`}
  ${({ $tone }) => ($tone === "stop" || $tone === "look") && `border-left: 6px solid ${$tone === "stop" ? color.oxide : color.brass};`}
  border-radius: ${size.radius};
  background: ${color.paper};
  time {
    font: 700 18px ${font.head};
    font-variant-numeric: tabular-nums;
  }
  .drawn {
    height: 68px;
    overflow: hidden;
  }
  .drawn svg text {
    display: none;
  }
  ${media.phone} {
    grid-template-columns: 62px minmax(0, 1fr) auto;
    .drawn {
      display: none;
    }
    .go {
      grid-column: 2;
    }
  }
`;
const Said = styled.strong<{ $tone: Tone }>`
  color: ${({ $tone }) => ({ stop: color.oxide, look: color.brass, calm: color.moss, plain: color.ink })[$tone]};
`;
const To = styled(Link)<{ $primary: boolean }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-height: ${size.target};
  min-width: 84px;
  padding: 6px 14px;
  border: 1px solid ${color.marine};
  border-radius: ${size.radius};
  background: ${({ $primary }) => ($primary ? color.marine : color.paper)};
  color: ${({ $primary }) => ($primary ? color.paper : color.ink)};
  font-weight: 700;
  text-decoration: none;
`;

const ANSWERED: Readonly<Record<MorningClass, string>> = { calm: "Calm", noticed: "Noticed", flare: "Flared" };

/** The one thing to know of them now, and how pressing it is. */
function saidOf({ needs, line: { lastResponse, sessionToday } }: TodayRow, today: Day): { tone: Tone; text: string } {
  const [first] = needs;
  if (first?.code === "warning") return { tone: "stop", text: "Closed by a warning sign. Opens with a clinician’s clearance." };
  if (sessionToday === "trained") return { tone: "calm", text: "Trained." };
  if (sessionToday === "under-way") return { tone: "look", text: "On the floor now." };
  if (first?.code === "morning-unknown") return { tone: "look", text: `Morning after ${agoText(first.day, today)} not known.` };
  if (!lastResponse) return { tone: "plain", text: "First session." };
  const when = agoText(lastResponse.day, today);
  const tone = lastResponse.class === "calm" ? "calm" : lastResponse.class === "flare" ? "stop" : "look";
  return { tone, text: `${ANSWERED[lastResponse.class]} ${when === "today" ? "this morning" : when}.` };
}
function trainedText({ itemCount, painScore, isSharp }: NonNullable<Told["trained"]>): string {
  const pain = painScore === null ? "pain not told" : `pain ${painScore}`;
  return `Trained: ${itemCount} ${itemCount === 1 ? "exercise" : "exercises"}, ${pain}, ${isSharp ? "something sharp" : "nothing sharp"}.`;
}
function NextWords({ next, units }: { next: NonNullable<Told["next"]>; units: UnitSystem }) {
  const { place, side, otherCount, minutes } = next;
  const setUp = settingText(place.setting, units);
  return (
    <>
      {itemName({ variationId: place.variationId, side })}
      {setUp && `, ${setUp}`}
      {otherCount > 0 && `, and ${otherCount} more`}.{minutes !== null && ` ${minutes} min.`}
    </>
  );
}

/** One client of today: when, how they stand, what waits on the floor, and one tap to it. */
export function TodayLine(props: {
  row: TodayRow;
  told: Promise<Told | null> | undefined;
  visit: Visit | undefined;
  isNext: boolean;
  today: Day;
  units: UnitSystem;
}) {
  const { row, told, visit, isNext, today, units } = props;
  const { line, coming, needs } = row;
  const [isMoving, setMoving] = useState(false);
  const { take, isTaking, problem } = useStep();
  const { tone, text } = saidOf(row, today);
  const keep = (to: Visit | null): void =>
    take(
      (stepId) => changeVisitsAction(to ? { kept: [to], ended: [] } : { kept: [], ended: [visit?.id] }, stepId),
      () => setMoving(false),
    );
  const isClosed = needs[0]?.code === "warning";
  const isTrained = line.sessionToday === "trained";
  const to = isClosed
    ? { path: "limits", words: "Record" }
    : isTrained
      ? { path: "review", words: "See it" }
      : { path: "floor", words: isNext ? "To the floor" : "Floor" };
  return (
    <Line $tone={tone} $isNext={isNext}>
      <time>{coming?.at ?? "today"}</time>
      <div className="drawn" aria-hidden>
        <WhenTold told={told} meanwhile={null}>
          {({ next, drawn }) =>
            next && drawn && <PlaceFigure subject={drawn.subject} place={next.place} increments={drawn.increments} units={units} />
          }
        </WhenTold>
      </div>
      <div>
        <strong style={{ fontSize: 17 }}>{line.name}</strong>{" "}
        <Soft>
          {ageOn(line.birthYear, today)}, {line.complaints.map(inSentence).join("; ") || "nothing hurts"}
        </Soft>
        <br />
        {isTrained && !isClosed ? (
          <Said $tone={tone}>
            <WhenTold told={told} meanwhile={text}>
              {({ trained }) => trained && trainedText(trained)}
            </WhenTold>
          </Said>
        ) : (
          <>
            <Said $tone={tone}>{text}</Said>{" "}
            {!isClosed && (
              <WhenTold told={told} meanwhile={null}>
                {({ next, isUnread }) =>
                  isUnread ? (
                    <Link href={`/clients/${line.id}/limits`}>Closed until a lead has looked: something on record cannot be read.</Link>
                  ) : next ? (
                    <NextWords next={next} units={units} />
                  ) : (
                    <Link href={`/clients/${line.id}/fit`}>Nothing kept yet: choose on Fit</Link>
                  )
                }
              </WhenTold>
            )}
          </>
        )}
      </div>
      <To className="go" $primary={isNext && !isClosed} href={`/clients/${line.id}/${to.path}`} aria-label={`${to.words}: ${line.name}`}>
        {to.words}
      </To>
      {visit && coming ? (
        <MoreMenu
          label={`Visit of ${line.name}`}
          actions={[
            { name: "Move this one", act: () => setMoving(true) },
            { name: "Leave this one out", act: () => keep(withLeftOut(visit, coming.plannedDay)) },
            ...(visit.everyWeeks === null
              ? []
              : [{ name: "End the series from here", act: () => keep(withEnd(visit, coming.plannedDay)) }]),
          ]}
        />
      ) : (
        <span />
      )}
      {visit && coming && (
        <Ask title={`Move ${line.name}`} isOpen={isMoving} onClose={() => setMoving(false)}>
          <MoveForm
            visit={visit}
            plannedDay={coming.plannedDay}
            from={{ day: coming.day, at: coming.at }}
            onMove={(moved) => keep(withMoved(visit, coming.plannedDay, moved))}
            isTaking={isTaking}
            problem={problem}
          />
        </Ask>
      )}
    </Line>
  );
}
