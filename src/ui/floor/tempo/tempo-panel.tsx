"use client";
import styled from "styled-components";
import type { Dose, TempoPhase } from "../../../core/catalogue/variation";
import { dropCount, HOLD_FROM_S, isTimed, phasesOf, repetitionS } from "../../../core/dose/dose";
import { Button, Key } from "../../kit/button";
import { Row } from "../../kit/layout";
import { itemNameAmong } from "../../../words/basics/item";
import { clockText } from "../../../words/basics/quantity";
import { color, font, media } from "../../theme/tokens";
import type { FloorSession } from "../session/floor-session";
import { useAutoStart } from "../start/use-auto-start";
import { useRestLeftS } from "./use-rest";
import { type Reading, useReading } from "./use-tempo";

const Panel = styled.section`
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) auto;
  gap: 16px;
  align-items: center;
  min-height: 120px;
  padding: 14px 18px;
  border-radius: 4px;
  background: ${color.marine};
  color: ${color.paper};
  ${media.phone} {
    grid-template-columns: 70px minmax(0, 1fr);
  }
`;
const Count = styled.output`
  font: 700 88px/1 ${font.head};
  font-variant-numeric: tabular-nums;
  text-align: center;
`;
const Phase = styled.p`
  margin-bottom: 8px;
  font: 700 22px ${font.head};
`;
const Bars = styled.div`
  display: flex;
  gap: 6px;
`;
const Bar = styled.div<{ $now: boolean }>`
  min-width: 0;
  .line {
    height: 14px;
    background: ${color.marineSoft};
    overflow: hidden;
  }
  .done {
    height: 100%;
    background: ${color.brassLight};
  }
  small {
    font-size: 15px;
    color: ${({ $now }) => ($now ? color.paper : color.fogDeep)};
  }
`;
const PHASES = { lower: "Lower", pause: "Pause", rise: "Rise" } as const;
/** A long pause is a hold; what is one long phase and no pause is work by the clock. */
function phaseName(dose: Dose, phase: TempoPhase): string {
  if (phase === "pause" && dose.tempo.pauseS >= HOLD_FROM_S) return "Hold";
  return (isTimed(dose) && dose.tempo.pauseS === 0) || dose.counts ? "Work" : PHASES[phase];
}

function words(
  { tempo, allSetsDone, isStopped, isSkipped, next, sets, dose }: FloorSession,
  { countInS, moment }: Reading,
  restLeftS: number | null,
  countLeftS: number | null,
): string {
  const setNumber = sets.length + 1;
  if (countInS > 0) return `Set ${setNumber} in ${countInS}`;
  if (tempo.status === "running") return `${phaseName(dose, moment.phase)}, ${moment.leftS}`;
  if (tempo.status === "done") return `${dose.repetitionsHigh === 1 ? "Done" : `${dose.repetitionsHigh} done`}: how was the pain?`;
  if (tempo.status === "stopped") return "Stopped. Tap the pain to save it, or go on.";
  if (isStopped) return "Stopped for today";
  if (isSkipped) return "Left out today";
  if (allSetsDone) return next && restLeftS !== null && restLeftS > 0 ? `All sets done, rest ${clockText(restLeftS)}` : "All sets done";
  if (countLeftS !== null) return `Set ${setNumber} in ${countLeftS}`;
  if (restLeftS !== null && restLeftS > 0) return `Rest ${clockText(restLeftS)}, then set ${setNumber}`;
  const isDrop = sets.length > 0 && sets.length >= dose.setCount - dropCount(dose);
  return `${isDrop ? "At once: set" : "Set"} ${setNumber} of ${dose.setCount}`;
}

/** A phase shorter than this part of a repetition has no room for its name. */
const LEAST_NAMED = 0.12;

/** Repetitions, the phase of the tempo and its length; start and stop. */
export function TempoPanel(props: { session: FloorSession; isAuto: boolean; onToggle: () => void; onLog: () => void }) {
  const { session, isAuto, onToggle, onLog } = props;
  const { tempo, rest, allSetsDone, isHeld, isWaiting, dose } = session;
  const reading = useReading(tempo);
  const restLeftS = useRestLeftS(rest);
  const countLeftS = useAutoStart({ isOn: isAuto, restLeftS, isHeld, count: tempo.count, start: () => tempo.start(0) });
  const { moment } = reading;
  const isRunning = tempo.status === "running" && reading.countInS === 0;
  const parts = phasesOf(dose, session.variation.startsBy);
  const now = parts.findIndex(({ phase }) => phase === moment.phase);
  const fill = (i: number): number => (!isRunning ? 0 : i < now ? 1 : i === now ? moment.phaseFraction : 0);
  return (
    <Panel aria-label="Tempo">
      <Count aria-label={isTimed(dose) ? "Seconds" : "Repetitions"}>
        {tempo.status === "idle" ? 0 : isTimed(dose) ? reading.workedS : reading.repetitions}
      </Count>
      <div>
        <Phase role="status" aria-live={isRunning ? "off" : "polite"}>
          {words(session, reading, restLeftS, countLeftS)}
        </Phase>
        <Bars aria-hidden>
          {parts.map(({ phase, lengthS }, i) =>
            lengthS === 0 ? null : (
              <Bar key={phase} $now={isRunning && i === now} style={{ flex: lengthS / repetitionS(dose) }}>
                <div className="line">
                  <div className="done" style={{ width: `${Math.round(fill(i) * 100)}%` }} />
                </div>
                {lengthS / repetitionS(dose) >= LEAST_NAMED && (
                  <small>
                    {phaseName(dose, phase).toLowerCase()} {lengthS}
                  </small>
                )}
              </Bar>
            ),
          )}
        </Bars>
      </div>
      <Row>
        {isAuto && (countLeftS !== null || (restLeftS !== null && restLeftS > 0)) && !isWaiting && (
          <Button onPress={session.wait}>Wait</Button>
        )}
        {allSetsDone && session.next && <Button onPress={session.goNext}>Next: {itemNameAmong(session.next, session.items)}</Button>}
        {!allSetsDone && tempo.status === "idle" && (
          <Button $tight aria-label={`Set ${session.sets.length + 1} was done without the timer`} onPress={onLog}>
            Done already
          </Button>
        )}
        {!allSetsDone && tempo.status !== "done" && (
          <Button onPress={onToggle}>
            {tempo.status === "running" ? "Stop" : tempo.status === "stopped" ? "Go on" : "Start"} <Key aria-hidden>space</Key>
          </Button>
        )}
      </Row>
    </Panel>
  );
}
