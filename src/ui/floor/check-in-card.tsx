"use client";
import { useState } from "react";
import type { CheckInChoice } from "../../core/floor/events";
import { checkInAdvice, type CheckInReason } from "../../core/progress/check-in";
import { unreachable } from "../../core/reasons";
import { Button } from "../kit/button";
import { Card, Row, Stack, Title } from "../kit/layout";
import { type SwellingAnswer, SwellingField } from "./swelling-field";
import { PainPad } from "./pain-pad";

const CHOICES = { "as-planned": "As planned", "ease-all": "Ease all", stop: "Stop for today" } as const satisfies Record<
  CheckInChoice,
  string
>;

function reasonText(reason: CheckInReason): string {
  switch (reason.code) {
    case "swollen":
      return "More swollen than usual: swelling outranks pain, so ease.";
    case "pain-over-number":
      return `Pain ${reason.painScore} is over the agreed ${reason.limitScore}: ease.`;
    case "pain-above-usual":
      return `Pain ${reason.painScore} is well above the usual ${reason.usualScore}: ease.`;
    case "as-usual":
      return "As usual: go as planned.";
    default:
      return unreachable(reason);
  }
}

/** Three taps: pain now, swelling, and what to do today. */
export function CheckInCard(props: {
  usualScore: number;
  limitScore: number;
  missingMorning: boolean;
  onDone: (painScore: number, newSwelling: boolean, choice: CheckInChoice) => void;
}) {
  const { usualScore, limitScore, missingMorning, onDone } = props;
  const [painScore, setPain] = useState<number | null>(null);
  const [swollen, setSwollen] = useState<SwellingAnswer | null>(null);
  const advice =
    painScore === null || swollen === null ? null : checkInAdvice({ painScore, newSwelling: swollen === "yes" }, usualScore, limitScore);
  return (
    <Card aria-label="Check-in">
      <Stack $gap={18}>
        <Title>Check-in</Title>
        {missingMorning && <p>The last morning after is not known. Without it nothing builds; it can be told under Morning.</p>}
        <div>
          <p style={{ fontWeight: 700, marginBottom: 6 }}>Pain now, at rest</p>
          <PainPad label="Pain now" value={painScore} limitScore={limitScore} onTap={setPain} />
        </div>
        <SwellingField value={swollen} onChange={setSwollen} />
        {advice && (
          <Stack role="status">
            <p>{reasonText(advice.reason)}</p>
            <Row>
              {(Object.keys(CHOICES) as CheckInChoice[]).map((choice) => (
                <Button
                  key={choice}
                  $tone={choice === advice.value ? "primary" : choice === "stop" ? "danger" : "plain"}
                  onPress={() => onDone(painScore ?? NaN, swollen === "yes", choice)}
                >
                  {CHOICES[choice]}
                </Button>
              ))}
            </Row>
          </Stack>
        )}
      </Stack>
    </Card>
  );
}
