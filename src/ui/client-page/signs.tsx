"use client";
import { useState } from "react";
import { WARNING_SIGNS } from "../../core/limits/clinician";
import { clientSignText, NOBODY_WATCHES, signAdvice } from "../../words/client/client";
import { Part, Quiet, Stop, Tap } from "./parts";

const FOR_THE_BELLY = "bleeding-or-fluid";

/** What to do about a sign, once it is told. */
export function SignSaid({ signs }: { signs: readonly string[] }) {
  return (
    <Stop role="alert">
      <h2>{signAdvice(signs)}</h2>
      <p>No exercises until a clinician has said it is all right. Your trainer sees this the next time they look, not before.</p>
      <Quiet>{NOBODY_WATCHES}</Quiet>
    </Stop>
  );
}

/** Signs, any number of them, told with one more tap. */
export function SignList(props: { asksBelly: boolean; onTold: (signs: readonly string[]) => void; onNone: () => void }) {
  const [signs, setSigns] = useState<readonly string[]>([]);
  return (
    <Part aria-label="Warning signs">
      <h2>Which of these?</h2>
      {WARNING_SIGNS.filter((sign) => props.asksBelly || sign !== FOR_THE_BELLY).map((sign) => (
        <Tap
          key={sign}
          type="button"
          aria-pressed={signs.includes(sign)}
          $tone={signs.includes(sign) ? "chosen" : "plain"}
          onClick={() => setSigns((now) => (now.includes(sign) ? now.filter((other) => other !== sign) : [...now, sign]))}
        >
          {clientSignText[sign]}
        </Tap>
      ))}
      {signs.length > 0 ? (
        <Tap type="button" $tone="stop" onClick={() => props.onTold(signs)}>
          Tell it: {signs.length === 1 ? "this one" : `these ${signs.length}`}
        </Tap>
      ) : (
        <Tap type="button" onClick={props.onNone}>
          None of them
        </Tap>
      )}
    </Part>
  );
}
