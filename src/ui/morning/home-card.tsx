"use client";
import { lookAtHomeAction } from "../../actions/private-link";
import { variationById } from "../../core/catalogue/catalogue";
import type { HomeSet } from "../../core/record/facts/record";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { dayText } from "../../words/basics/day";
import { settingText } from "../../words/basics/lever";

/** Sets told from the client's own page: seen by the trainer they count like the studio's, until then for nothing. */
export function HomeCard({ clientId, sets, units }: { clientId: string; sets: readonly HomeSet[]; units: UnitSystem }) {
  const { take, isTaking, problem } = useStep();
  if (sets.length === 0) return null;
  const days = [...new Set(sets.map(({ day }) => day))];
  return (
    <Card aria-label="Done at home" $accent="brass">
      <Stack>
        <Row style={{ justifyContent: "space-between" }}>
          <Title>Done at home, not looked at yet</Title>
          <Button
            $tone="primary"
            isDisabled={isTaking}
            onPress={() => take((stepId) => lookAtHomeAction(clientId, { entryIds: sets.map(({ id }) => id) }, stepId))}
          >
            I have looked: count them
          </Button>
        </Row>
        {days.map((day) => (
          <div key={day}>
            <strong>{dayText(day)}</strong>
            <ul>
              {sets
                .filter((set) => set.day === day)
                .map(({ id, place, side, repetitions, workedS, painScore, isSharp }) => (
                  <li key={id}>
                    {variationById(place.variationId).name}
                    {side ? `, ${side}` : ""}: {workedS === null ? `${repetitions} repetitions` : `${workedS} s`},{" "}
                    {painScore === null ? "pain not told" : `pain ${painScore}`}
                    {isSharp && <strong>, sharp or spreading</strong>} <Soft>{settingText(place.setting, units)}</Soft>
                  </li>
                ))}
            </ul>
          </div>
        ))}
        <Soft>Nobody saw the form. With repetitions and pain they pass the same gate as in the studio, each on its own line of work.</Soft>
        <Problem text={problem} />
      </Stack>
    </Card>
  );
}
