"use client";
import { useState } from "react";
import { setPrivateLinkAction } from "../../actions/private-link";
import type { Day } from "../../core/day";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { newSecret } from "../kit/secret";
import { useStep } from "../kit/use-step";
import { dayText } from "../../words/basics/day";

/** A private link for the client's own calendar. It is shown once: the studio keeps only what it can be checked by. */
export function CalendarLink({
  clientId,
  studioId,
  since,
  units,
}: {
  clientId: string;
  studioId: string;
  /** Since when there is one. */
  since: Day | null;
  units: UnitSystem;
}) {
  const { take, isTaking, problem } = useStep(units);
  const [link, setLink] = useState<string | null>(null);
  const set = (secret: string | null): void =>
    take(
      (stepId) =>
        setPrivateLinkAction(
          clientId,
          { opens: "calendar", link: secret === null ? null : { secret, untilDay: null, asksYear: false } },
          stepId,
        ),
      () => setLink(secret === null ? null : `${window.location.origin}/api/calendar/${studioId}.${secret}`),
    );
  const hasOne = link !== null || since !== null;
  return (
    <Stack $gap={6}>
      <Problem text={problem} />
      {link !== null && (
        <>
          <TextField
            label="Private calendar link"
            isReadOnly
            value={link}
            onFocus={(event) => (event.target as HTMLInputElement).select()}
          />
          <Soft>Shown this once. Whoever has it can read the days and the exercises, nothing else.</Soft>
        </>
      )}
      {link === null && since !== null && <Soft>A calendar may follow it since {dayText(since)}.</Soft>}
      <Row>
        {link !== null && (
          <Button $tight onPress={() => void navigator.clipboard.writeText(link)}>
            Copy
          </Button>
        )}
        <TextButton isDisabled={isTaking} onPress={() => set(newSecret())}>
          {hasOne ? "make a new link, the old one ends" : "link for a calendar that follows it"}
        </TextButton>
        {hasOne && (
          <TextButton isDisabled={isTaking} onPress={() => set(null)}>
            stop the link
          </TextButton>
        )}
      </Row>
    </Stack>
  );
}
