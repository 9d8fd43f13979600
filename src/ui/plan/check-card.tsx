"use client";
import { variationById } from "../../core/catalogue/catalogue";
import { missingFrom } from "../../core/session/session";
import { TextButton } from "../kit/button";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { neededName, scannedName } from "../../words/training/plan";
import { color } from "../theme/tokens";
import type { PlanState } from "./use-plan";

/** The whole session looked through: what runs against this client with its swap, what is missing, how the legs share it. */
export function CheckCard({ plan, clientId }: { plan: PlanState; clientId: string }) {
  const { draft, scan, change } = plan;
  const missing = missingFrom(draft.items);
  const of = (side: "left" | "right"): number =>
    draft.items.reduce(
      (sum, { dose, sides }) =>
        sum +
        (sides.length === 0
          ? dose.setCount * dose.repetitionsHigh
          : sides.filter((each) => each.side === side).reduce((own, each) => own + each.setCount * each.repetitions, 0)),
      0,
    );
  return (
    <Card aria-label="Whole-session check">
      <Stack $gap={8}>
        <Title>Whole-session check</Title>
        {scan === null && <Soft role="status">Looking it through</Soft>}
        {scan?.findings.map(({ about, itemId, swapTo }) => {
          const item = draft.items.find(({ id }) => id === itemId);
          const name = item ? variationById(item.variationId).name : "";
          const swap = swapTo === null ? null : variationById(swapTo);
          return (
            <p key={`${about} ${itemId}`}>
              <strong style={{ color: color.oxide }}>{scannedName(about)}:</strong> {name}.{" "}
              {swap && item ? (
                <TextButton
                  onPress={() =>
                    change({
                      items: draft.items.map((each) => {
                        if (each !== item) return each;
                        const { isKept: _, ...rest } = item;
                        return { ...rest, id: swap.id, variationId: swap.id, setting: {} };
                      }),
                    })
                  }
                >
                  {swap.name} instead
                </TextButton>
              ) : (
                <Link href={`/clients/${clientId}/fit`}>Look on Fit</Link>
              )}
            </p>
          );
        })}
        {scan && scan.findings.length === 0 && <p>Nothing in it runs against this client.</p>}
        {scan && scan.mostSpineN > 0 && <p>The spine is pressed with {Math.round(scan.mostSpineN / 100) * 100} N at most.</p>}
        {missing.length > 0 ? (
          <p>
            <strong>Missing:</strong> {missing.map(neededName).join(", ")}.
          </p>
        ) : (
          <p>Squat, hinge, thrust and side hip are in it.</p>
        )}
        <p>
          Right to left, repetitions: {of("right")} : {of("left")}
        </p>
      </Stack>
    </Card>
  );
}
