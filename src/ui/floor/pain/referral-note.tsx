"use client";
import { useState } from "react";
import styled from "styled-components";
import { redFlags } from "../../../core/floor/referral";
import type { UnitSystem } from "../../../core/units";
import { Button } from "../../kit/button";
import { Row, Stack } from "../../kit/layout";
import { saveFile } from "../../kit/save-file";
import { useStudioZone } from "../../kit/studio-clock";
import { referralText } from "../../../words/client/referral";
import { color } from "../../theme/tokens";
import type { FloorSession } from "../session/floor-session";

export interface NoteOf {
  name: string;
  ageYears: number;
}
const Paper = styled.pre`
  padding: 14px;
  border: 1px solid ${color.fogDeep};
  background: ${color.bone};
  font: inherit;
  white-space: pre-wrap;
`;

/** What a clinician needs of what just happened, made by one tap and ready to hand over; made anew from the log, so that it never differs from it. */
export function ReferralNote({ session, of, units }: { session: FloorSession; of: NoteOf; units: UnitSystem }) {
  const [isOpen, setOpen] = useState(false);
  const [said, setSaid] = useState("");
  const timeZone = useStudioZone();
  const flags = redFlags(session.log.state, (itemId) => session.items.find((item) => item.itemId === itemId) ?? null);
  if (flags.length === 0) return null;
  const words = referralText(flags, { ...of, timeZone }, units);
  if (!isOpen) return <Button onPress={() => setOpen(true)}>Note for the clinician</Button>;
  return (
    <Stack $gap={8}>
      <Paper aria-label="Note for the clinician">{words}</Paper>
      <Row $gap={8}>
        <Button
          onPress={() =>
            navigator.clipboard.writeText(words).then(
              () => setSaid("Copied."),
              () => setSaid("This tablet does not let it be copied: save it instead."),
            )
          }
        >
          Copy
        </Button>
        <Button onPress={() => saveFile("note-for-the-clinician.txt", "text/plain", words)}>Save as a file</Button>
        <span role="status">{said}</span>
      </Row>
    </Stack>
  );
}
