"use client";
import styled from "styled-components";
import type { Dose } from "../../../core/catalogue/variation";
import { isTimed, repetitionS, settingOfSet } from "../../../core/dose/dose";
import { Button } from "../../kit/button";
import { ChoiceField } from "../../kit/fields";
import { Row, Stack } from "../../kit/layout";
import { leverValueText } from "../../../words/basics/lever";
import { capital } from "../../../words/basics/words";
import { rangeText, secondsText } from "../../../words/basics/quantity";
import { color, font } from "../../theme/tokens";
import type { UnitSystem } from "../../../core/units";
import type { FloorSet } from "../../../core/floor/events";
import { END_NAMES, toldText } from "../../../words/training/floor";
import type { FloorSession } from "./floor-session";
import { type Tempo, useReading } from "../tempo/use-tempo";

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    padding: 4px 8px;
    color: ${color.inkSoft};
    text-align: left;
  }
  td {
    height: 46px;
    padding: 2px 8px;
    border-top: 1px solid ${color.fogDeep};
  }
  .figure {
    font: 700 22px ${font.head};
    font-variant-numeric: tabular-nums;
  }
  tr[data-now="true"] {
    background: ${color.brassWash};
  }
`;
const Pick = styled.button`
  min-width: 40px;
  min-height: 40px;
  border: 1px solid ${color.fogDeep};
  border-radius: 4px;
  background: ${color.paper};
  cursor: pointer;
  &[aria-pressed="true"] {
    border: 2px solid ${color.brass};
    background: ${color.brassWash};
    font-weight: 700;
  }
`;
const TANK = [0, 1, 2, 3, 4];
const COULD_GO_ON_S = [0, 5, 10, 15, 20];
/** How a set was: how it ended where nobody tapped a number, what was seen, what was told. */
function formText(set: FloorSet, faultName: (id: string) => string): string {
  const ended = set.endedBy === "pain-tap" ? "" : `ended: ${END_NAMES[set.endedBy].toLowerCase()}`;
  const isClean = ended === "" && set.faults.length === 0 && set.belly !== "ridge";
  return [isClean ? "clean" : ended, ...set.faults.map(faultName), toldText(set)].filter(Boolean).join(", ");
}

function Counting({ tempo, goesByTime }: { tempo: Tempo; goesByTime: boolean }) {
  const { workedS, repetitions } = useReading(tempo);
  return <span className="figure">{goesByTime ? secondsText(workedS) : repetitions}</span>;
}

/** What was done, set by set; any of them is put right in two taps during rest. */
export function SetTable({ session, dose, units }: { session: FloorSession; dose: Dose; units: UnitSystem }) {
  const { sets } = session;
  const isIdle = session.tempo.status === "idle";
  const faultName = (id: string): string => session.variation.faults.find((fault) => fault.id === id)?.sign ?? id;
  const goesByTime = isTimed(dose);
  const rows = Math.max(dose.setCount, sets.length);
  const { lastSet, allSetsDone } = session;
  const tank = goesByTime ? COULD_GO_ON_S : TANK;
  return (
    <Stack>
      <Table aria-label="Sets">
        <thead>
          <tr>
            <th scope="col">Set</th>
            <th scope="col">{goesByTime ? "Time" : dose.counts ? capital(dose.counts) : "Repetitions"}</th>
            <th scope="col">Pain</th>
            <th scope="col">{goesByTime ? "Could go on" : "Left in the tank"}</th>
            <th scope="col">Form</th>
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rows }, (_, i) => {
            const set = sets[i];
            const isNow = i === sets.length && !isIdle;
            const own = set?.setting ?? settingOfSet(dose, session.rung.setting, i);
            return (
              <tr key={i} data-now={isNow}>
                <td>
                  {set && isIdle && sets.length > 1 ? (
                    <Pick
                      type="button"
                      aria-label={`Put set ${i + 1} right`}
                      aria-pressed={set === lastSet}
                      onClick={() => session.chooseSet(set.id)}
                    >
                      {i + 1}
                    </Pick>
                  ) : (
                    i + 1
                  )}
                  {dose.drops && ` with ${leverValueText(dose.drops.lever, own[dose.drops.lever] ?? 0, units)}`}
                </td>
                <td>
                  {set ? (
                    <span className="figure">
                      {goesByTime ? secondsText(set.workedS ?? set.repetitions * repetitionS(dose)) : set.repetitions}
                    </span>
                  ) : isNow ? (
                    <Counting tempo={session.tempo} goesByTime={goesByTime} />
                  ) : null}{" "}
                  {!set &&
                    `${isNow ? "of " : ""}${goesByTime ? secondsText(repetitionS(dose)) : rangeText(dose.repetitionsLow, dose.repetitionsHigh)}`}
                </td>
                <td className="figure">{set ? (set.painScore ?? "?") : ""}</td>
                <td className="figure">{set?.leftInTank == null ? "" : goesByTime ? secondsText(set.leftInTank) : set.leftInTank}</td>
                <td>{set ? formText(set, faultName) : ""}</td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      {isIdle && lastSet && (
        <Row $gap={18} style={{ alignItems: "end" }}>
          <Row $gap={6} role="group" aria-label={`Repetitions of set ${sets.indexOf(lastSet) + 1}`}>
            {goesByTime ? (
              <Button onPress={() => session.correctRepetitions(lastSet.repetitions > 0 ? -1 : 1)}>
                {lastSet.repetitions > 0 ? "Not the whole time" : "The whole time after all"}
              </Button>
            ) : (
              <>
                <Button aria-label="One repetition fewer" onPress={() => session.correctRepetitions(-1)}>
                  −1
                </Button>
                <Button aria-label="One repetition more" onPress={() => session.correctRepetitions(1)}>
                  +1
                </Button>
              </>
            )}
            <Button onPress={session.voidLast}>Take set {sets.indexOf(lastSet) + 1} back</Button>
          </Row>
          {allSetsDone && (
            <ChoiceField
              label={goesByTime ? "The last set could have gone on for" : "Left in the tank after the last set"}
              options={tank.map((left) => ({
                id: String(left),
                label: `${left}${goesByTime ? " s" : ""}${left === tank.at(-1) ? " or more" : ""}`,
              }))}
              value={lastSet.leftInTank === null ? null : String(tank.findLast((left) => left <= (lastSet.leftInTank ?? 0)) ?? 0)}
              onChange={(value) => session.sayTank(Number(value))}
            />
          )}
        </Row>
      )}
    </Stack>
  );
}
