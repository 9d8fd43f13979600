"use client";
import { useMemo, useState } from "react";
import { variationById } from "../../../core/catalogue/catalogue";
import type { CheckInChoice } from "../../../core/floor/events";
import type { Away } from "../../../core/progress/away";
import { checkInAdvice, type CheckInReason } from "../../../core/progress/check-in";
import { unreachable } from "../../../core/reasons";
import { Button } from "../../kit/button";
import { CheckField, TextField } from "../../kit/fields";
import { Card, Notice, Row, Stack, Title } from "../../kit/layout";
import { NumberField } from "../../kit/number-field";
import { type SwellingAnswer, SwellingField } from "./swelling-field";
import { PainPad } from "../pain/pain-pad";
import { itemsS, tooLong } from "../session/session-length";
import type { CheckedIn, FloorItem } from "../session/floor-session";

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
  /** Yesterday's or the last session ended a set with sharp pain. */
  lastSharp: string;
  items: readonly FloorItem[];
  hadInjection: boolean;
  /** How long nothing was trained. */
  away: Away | null;
  onDone: (told: CheckedIn) => void;
}) {
  const { usualScore, limitScore, missingMorning, lastSharp, items, away, hadInjection, onDone } = props;
  const wholeMin = Math.ceil(itemsS(items) / 60);
  const [minutes, setMinutes] = useState(wholeMin);
  const [underRelief, setUnderRelief] = useState(hadInjection);
  const leftOut = useMemo(() => tooLong(items, minutes), [items, minutes]);
  const [satLong, setSatLong] = useState(false);
  const [asksWhy, setAsksWhy] = useState(false);
  const [reason, setReason] = useState("");
  const [painScore, setPain] = useState<number | null>(null);
  const [swollen, setSwollen] = useState<SwellingAnswer | null>(null);
  const advice =
    painScore === null || swollen === null ? null : checkInAdvice({ painScore, newSwelling: swollen === "yes" }, usualScore, limitScore);
  const done = (choice: CheckInChoice): void =>
    onDone({
      painScore: painScore ?? NaN,
      newSwelling: swollen === "yes",
      underRelief,
      satLong,
      reason: choice === "as-planned" && advice?.value !== "as-planned" ? reason.trim() : "",
      choice,
      away,
      leftOut: leftOut.map(({ itemId }) => itemId),
    });
  return (
    <Card aria-label="Check-in">
      <Stack $gap={18}>
        <Title>Check-in</Title>
        {lastSharp !== "" && <Notice $tone="oxide">Last time a set of {lastSharp} ended with sharp pain.</Notice>}
        {away && (
          <Notice>
            {away.days} days without training:{" "}
            {away.step === "set-fewer"
              ? "one set fewer of everything today."
              : "everything one step easier today, and the calm pose is measured again."}
          </Notice>
        )}
        {missingMorning && <p>The last morning after is not known. Without it nothing builds; it can be told under Morning.</p>}
        <div>
          <p style={{ fontWeight: 700, marginBottom: 6 }}>Pain now, at rest</p>
          <PainPad label="Pain now" value={painScore} limitScore={limitScore} onTap={setPain} />
        </div>
        <SwellingField value={swollen} onChange={setSwollen} />
        <CheckField
          label="More pain relief than usual today, or an injection within two weeks"
          isSelected={underRelief}
          onChange={setUnderRelief}
        />
        <CheckField label="Sat for hours before: a shift at a desk, a long drive" isSelected={satLong} onChange={setSatLong} />
        {satLong && <p>Stiff joints first: a longer warm-up, and range before load.</p>}
        {items.length > 1 && (
          <div>
            <NumberField
              label="Minutes there are"
              minValue={5}
              maxValue={180}
              step={5}
              value={minutes}
              onChange={(value) => Number.isFinite(value) && setMinutes(value)}
            />
            <p>
              It takes about {wholeMin}.
              {leftOut.length > 0 &&
                ` Left out for want of time: ${[...new Set(leftOut.map(({ variationId }) => variationById(variationId).name.toLowerCase()))].join(", ")}.`}
            </p>
          </div>
        )}
        {advice && (
          <Stack role="status">
            <p>{reasonText(advice.reason)}</p>
            <Row>
              {(Object.keys(CHOICES) as CheckInChoice[]).map((choice) => (
                <Button
                  key={choice}
                  $tone={choice === advice.value ? "primary" : choice === "stop" ? "danger" : "plain"}
                  onPress={() => (choice === "as-planned" && advice.value !== "as-planned" ? setAsksWhy(true) : done(choice))}
                >
                  {CHOICES[choice]}
                </Button>
              ))}
            </Row>
            {asksWhy && advice.value !== "as-planned" && (
              <Row $gap={8} style={{ alignItems: "end" }}>
                <TextField label="As planned, against the rule: why?" maxLength={400} value={reason} onChange={setReason} autoFocus />
                <Button isDisabled={reason.trim() === ""} onPress={() => done("as-planned")}>
                  As planned, for this reason
                </Button>
              </Row>
            )}
          </Stack>
        )}
      </Stack>
    </Card>
  );
}
