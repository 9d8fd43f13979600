"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { answerMorningAction } from "../../actions/plan";
import { type SwellingAnswer, SwellingField } from "../floor/swelling-field";
import { PainPad } from "../floor/pain-pad";
import { Button } from "../kit/button";
import { CheckField } from "../kit/fields";
import { Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { WARNING_SIGNS } from "../text/decision-text";

/** How the joint answered: pain, swelling, and any warning sign. */
export function MorningForm({ clientId, sessionId, limitScore }: { clientId: string; sessionId: string; limitScore: number }) {
  const [painScore, setPain] = useState<number | null>(null);
  const [swollen, setSwollen] = useState<SwellingAnswer | null>(null);
  const [signs, setSigns] = useState<readonly string[]>([]);
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take(() => answerMorningAction(clientId, { sessionId, painScore, newSwelling: swollen === "yes", warningSigns: [...signs] }));
      }}
    >
      <Stack $gap={16}>
        <div>
          <p style={{ fontWeight: 700, marginBottom: 6 }}>Pain this morning</p>
          <PainPad label="Pain this morning" value={painScore} limitScore={limitScore} onTap={setPain} />
        </div>
        <SwellingField value={swollen} onChange={setSwollen} />
        <div role="group" aria-label="Warning signs">
          <p style={{ fontWeight: 700 }}>Any of these?</p>
          {Object.entries(WARNING_SIGNS)
            .filter(([sign]) => sign !== "on-the-floor")
            .map(([sign, label]) => (
              <div key={sign}>
                <CheckField
                  label={label}
                  isSelected={signs.includes(sign)}
                  onChange={(isOn) => setSigns((now) => (isOn ? [...now, sign] : now.filter((other) => other !== sign)))}
                />
              </div>
            ))}
        </div>
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking || painScore === null || swollen === null}>
          Save the morning
        </Button>
      </Stack>
    </Form>
  );
}
