"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { openProgrammeAction } from "../../../actions/plan";
import { variationById } from "../../../core/catalogue/catalogue";
import type { ProgrammeItem } from "../../../core/record/programme/programme";
import { lightDose } from "../../../core/session/session";
import type { UnitSystem } from "../../../core/units";
import { doseText } from "../../fit/dose-panel";
import { Button } from "../../kit/button";
import { CheckField } from "../../kit/fields";
import { Card, Page, Row, Soft, Stack, Title } from "../../kit/layout";
import { Link } from "../../kit/link";
import { Problem } from "../../kit/problem";
import { useStep } from "../../kit/use-step";
import { settingText } from "../../../words/basics/lever";
import { BeginWithout } from "./begin-here";
import type { BeginHere } from "./floor-start";

/** Before a session of the programme: its exercises in their order, each side by its own log, and one tap to begin. */
export function StartProgramme({
  clientId,
  items,
  isLight,
  isLaidToday,
  begin,
  olderThan,
  units,
}: {
  clientId: string;
  items: readonly ProgrammeItem[];
  isLight: boolean;
  /** The programme has a session today; else it is one more. */
  isLaidToday: boolean;
  begin: BeginHere;
  olderThan: string | null;
  units: UnitSystem;
}) {
  const router = useRouter();
  const { take, isTaking, problem } = useStep();
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  const lines = [...new Set(items.map(({ line }) => line))];
  return (
    <Page>
      <Card style={{ maxWidth: 720, margin: "12px auto" }} aria-label="Today's session">
        <Stack>
          <Title>Today&apos;s session{isLight ? ", a light day" : ""}</Title>
          {!isLaidToday && <Soft>Nothing is laid on today: this is one more, and the rest days count from it.</Soft>}
          {lines.map((line) => {
            const own = items.filter((item) => item.line === line);
            const [first] = own;
            if (!first) return null;
            return (
              <div key={line}>
                <CheckField
                  label={variationById(first.place.variationId).name}
                  isSelected={!leftOut.includes(line)}
                  onChange={(isOn) => setLeftOut((now) => (isOn ? now.filter((id) => id !== line) : [...now, line]))}
                />
                {own.map(({ side, place, dose }) => (
                  <p key={side}>
                    {own.length > 1 && `${side}: `}
                    {[
                      settingText(place.setting, units),
                      doseText(isLight ? lightDose(dose) : dose, variationById(place.variationId).startsBy),
                    ]
                      .filter(Boolean)
                      .join("; ")}
                  </p>
                ))}
                {own.at(-1)?.inTurn && <Soft>in turn with the next</Soft>}
              </div>
            );
          })}
          <Problem text={problem} />
          <BeginWithout
            begin={begin}
            items={items.filter(({ line }) => !leftOut.includes(line)).map(({ line: _, ownLine, ...item }) => ({ ...item, line: ownLine }))}
            isLight={isLight}
            olderThan={olderThan}
            hasFailed={problem !== null}
          />
          <Row>
            <Button
              $tone="primary"
              isDisabled={isTaking || leftOut.length === lines.length}
              onPress={() =>
                take(
                  (stepId) => openProgrammeAction(clientId, { leftOut: [...leftOut] }, stepId),
                  () => router.refresh(),
                )
              }
            >
              Start the session
            </Button>
            <Link href={`/clients/${clientId}/plan`}>Change it on Plan</Link>
          </Row>
        </Stack>
      </Card>
    </Page>
  );
}
