"use client";
import { useState } from "react";
import { NOBODY_WATCHES } from "../../words/client/client";
import { Body, Phone, Quiet, Tap, Top } from "./parts";

const GUESSED = "This link was tried with the wrong year too often. Ask your trainer for a new one.";
/** The one question before a link that asks it: the year of birth. */
export function YearAsked({ token, studioName }: { token: string; studioName: string }) {
  const [year, setYear] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  const send = async (): Promise<void> => {
    const headers = { "content-type": "application/json" };
    const response = await fetch(`/api/me/${token}/year`, { method: "POST", headers, body: JSON.stringify({ year: Number(year) }) }).catch(
      () => null,
    );
    if (response?.ok) location.reload();
    else if (response?.status === 429) {
      const { code } = (await response.json().catch(() => ({}))) as { code?: string };
      setSaid(code === "years-guessed" ? GUESSED : "Too many tries. Wait a quarter of an hour, or ask your trainer for a new link.");
    } else setSaid(response ? "That is not the year your trainer has." : "There is no connection.");
  };
  return (
    <Phone>
      <Top>
        <p>{studioName}</p>
        <h1>Your page</h1>
      </Top>
      <Body as="form" onSubmit={(event) => (event.preventDefault(), void send())}>
        <label htmlFor="year">
          <strong>The year you were born</strong>
        </label>
        <input
          id="year"
          inputMode="numeric"
          autoComplete="bday-year"
          pattern="[0-9]{4}"
          required
          value={year}
          onChange={(event) => setYear(event.target.value)}
          style={{ minHeight: 56, padding: "8px 14px", fontSize: 24 }}
        />
        {said && <p role="alert">{said}</p>}
        <Tap type="submit" $tone="chosen">
          Go on
        </Tap>
        <Quiet>{NOBODY_WATCHES}</Quiet>
      </Body>
    </Phone>
  );
}
