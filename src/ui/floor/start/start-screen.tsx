"use client";
import type { UnitSystem } from "../../../core/units";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { openSessionAction } from "../../../actions/plan";
import { variationById } from "../../../core/catalogue/catalogue";
import { doseText } from "../../fit/dose-panel";
import { Button } from "../../kit/button";
import { CheckField } from "../../kit/fields";
import { Card, Page, Row, Stack, Title } from "../../kit/layout";
import { Link } from "../../kit/link";
import { Problem } from "../../kit/problem";
import { useStep } from "../../kit/use-step";
import { itemNameAmong } from "../../../words/basics/item";
import { unlikeSetsText, settingText } from "../../../words/basics/lever";
import { BeginWithout } from "./begin-here";
import type { FloorItem } from "../session/floor-session";
import type { BeginHere } from "./floor-start";

/** Before a session: what is planned, what of it is done today, and one tap to begin. */
export function StartScreen({
  clientId,
  plans,
  begin,
  olderThan,
  units,
}: {
  clientId: string;
  plans: readonly (Omit<FloorItem, "itemId" | "part" | "inTurn"> & { prescriptionId: string })[];
  begin: BeginHere;
  olderThan: string | null;
  units: UnitSystem;
}) {
  const router = useRouter();
  const { take, isTaking, problem } = useStep();
  const [left, setLeft] = useState<readonly string[]>([]);
  const prescriptionIds = plans.map(({ prescriptionId }) => prescriptionId).filter((id) => !left.includes(id));
  return (
    <Page>
      <Card style={{ maxWidth: 640, margin: "12px auto" }} aria-label="Today's session">
        <Stack>
          <Title>Today&apos;s session</Title>
          {plans.map((plan) => (
            <div key={plan.prescriptionId}>
              {plans.length > 1 ? (
                <CheckField
                  label={itemNameAmong(plan, plans)}
                  isSelected={!left.includes(plan.prescriptionId)}
                  onChange={(isOn) =>
                    setLeft((now) => (isOn ? now.filter((id) => id !== plan.prescriptionId) : [...now, plan.prescriptionId]))
                  }
                />
              ) : (
                <strong>{itemNameAmong(plan, plans)}</strong>
              )}
              <p>
                {settingText(plan.setting, units)}; {doseText(plan.dose, variationById(plan.variationId).startsBy)}
                {unlikeSetsText(plan.dose, units)}
              </p>
            </div>
          ))}
          <Problem text={problem} />
          <BeginWithout
            begin={begin}
            items={plans
              .filter(({ prescriptionId }) => !left.includes(prescriptionId))
              .map(({ variationId, setting, side, dose }) => ({
                place: { variationId, setting },
                side,
                dose,
                line: null,
                part: null,
                inTurn: false,
              }))}
            isLight={false}
            olderThan={olderThan}
            hasFailed={problem !== null}
          />
          <Row>
            <Button
              $tone="primary"
              isDisabled={isTaking || prescriptionIds.length === 0}
              onPress={() =>
                take(
                  (stepId) => openSessionAction(clientId, { prescriptionIds }, stepId),
                  () => router.refresh(),
                )
              }
            >
              Start the session
            </Button>
            <Link href={`/clients/${clientId}/fit`}>Change it on Fit</Link>
          </Row>
        </Stack>
      </Card>
    </Page>
  );
}
