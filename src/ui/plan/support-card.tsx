"use client";
import { variationById } from "../../core/catalogue/catalogue";
import type { SessionItem } from "../../core/session/session";
import { type LeverId, LEVERS } from "../../core/templates/lever";
import { GRAVITY_MPS2, type UnitSystem } from "../../core/units";
import { FADE_WEEKS, fadePlan } from "../../core/week/forecast";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { handText, percentText } from "../../words/basics/quantity";

/** What hands, pole, rail or strap still carry, and how it is given back week by week; a week that hurt repeats. */
export function SupportCard({
  items,
  massKg,
  painfulWeeks,
  units,
}: {
  items: readonly SessionItem[];
  massKg: number;
  painfulWeeks: readonly number[];
  units: UnitSystem;
}) {
  const bodyN = massKg * GRAVITY_MPS2;
  const held = items.flatMap(({ id, variationId, setting }) =>
    (Object.entries(setting) as [LeverId, number][]).flatMap(([lever, value]) =>
      LEVERS[lever].kind === "support" && LEVERS[lever].unit === "N" && value > 0 ? [{ id, variationId, valueN: value }] : [],
    ),
  );
  if (held.length === 0) return null;
  return (
    <Card aria-label="Support given back">
      <Stack $gap={8}>
        <Title>Support given back</Title>
        {held.map(({ id, variationId, valueN }) => (
          <p key={id}>
            <strong>{variationById(variationId).name}:</strong>{" "}
            {fadePlan(valueN / bodyN, FADE_WEEKS, painfulWeeks)
              .map(({ week, supportFraction, paused }) =>
                supportFraction > 1e-9
                  ? `week ${week} ${handText(supportFraction * bodyN, units)} (${percentText(supportFraction)})${paused ? ", as before: it hurt" : ""}`
                  : `week ${week} none`,
              )
              .join("; ")}
            .
          </p>
        ))}
        <Soft>In per cent of body weight, if mornings stay calm; a week that hurts repeats the share before it.</Soft>
      </Stack>
    </Card>
  );
}
