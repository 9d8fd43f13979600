"use client";
import { usePathname } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import type { EventRefusal, FloorEvent } from "../../core/floor/events";
import { Button, TextButton } from "../kit/button";
import { When } from "../kit/studio-clock";
import { saveFile } from "../kit/save-file";
import { Row, Stack } from "../kit/layout";
import { Ask } from "../kit/why";
import { color } from "../theme/tokens";
import type { Owner } from "../../outbox/floor/event-store";
import { type FloorOutboxState, useOutbox } from "./use-outbox";

const Bar = styled.div<{ $alarm: boolean }>`
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 40px;
  padding: 0 18px;
  border-bottom: 1px solid ${color.fogDeep};
  background: ${({ $alarm }) => ($alarm ? color.oxideWash : color.paper)};
  color: ${({ $alarm }) => ($alarm ? color.oxide : color.inkSoft)};
  font-weight: ${({ $alarm }) => ($alarm ? 700 : 400)};
`;

export const entriesText = (count: number): string => (count === 1 ? "1 entry" : `${count} entries`);

/** Where everything tapped is now: in the studio, on this tablet, or on this open page alone. */
function words({ waiting, atRisk, canKeep, outcome, refused }: FloorOutboxState): string {
  if (atRisk > 0 && !canKeep)
    return `${entriesText(atRisk)} only on this open page: the tablet cannot keep them. Leave it open until they are in the studio.`;
  if (!canKeep) return "This tablet cannot keep entries. What you tap is safe once it is in the studio; keep this page open until then.";
  if (waiting === 0) return refused.length > 0 ? "Everything else is saved in the studio" : "Saved in the studio";
  if (outcome === "signed-out") return `${waiting} kept on this tablet. Sign in again to send them.`;
  if (outcome === "no-connection") return `No connection. ${waiting} kept on this tablet`;
  return `Saved on this tablet, sending ${waiting}`;
}

const WHY: Record<EventRefusal, string> = {
  "bad-input": "the studio could not read it",
  "unknown-session": "its session is not in this studio",
  "unknown-item": "its exercise is not in that session",
  "id-elsewhere": "the same entry is in another session",
};
const WHAT: Record<FloorEvent["body"]["kind"], string> = {
  "checked-in": "Check-in",
  "set-ended": "Set",
  "set-corrected": "Correction of a set",
  "set-voided": "Set taken back",
  eased: "Change of an exercise",
  "ease-undone": "Change undone",
  "session-opened": "A session begun without a connection",
  "went-on": "Gone on after a set",
  "item-added": "An exercise added",
  "items-ordered": "Another order",
  compared: "Comparison of two cues",
  "warning-sign": "Warning sign",
  "item-stopped": "Exercise stopped",
  "session-ended": "End of session",
  "item-skipped": "An exercise left out today",
  "item-resumed": "An exercise taken up again",
  "effort-told": "Effort of the session",
  "session-continued": "Session continued",
};

/** A file of what was refused, so that nothing depends on this tablet alone. */
const saveAsFile = (refused: FloorOutboxState["refused"]): void =>
  saveFile("ponderis-entries-not-taken.json", "application/json", JSON.stringify(refused, null, 2));

function Refused({ refused, onAgain }: { refused: FloorOutboxState["refused"]; onAgain: () => void }) {
  return (
    <Stack>
      <p>The studio did not take these. They stay on this tablet until it does. Nothing else is held up by them.</p>
      <ul>
        {refused.map(({ event, refusal }) => (
          <li key={event.id}>
            {WHAT[event.body.kind]}, <When at={event.occurredAt} />: {refusal ? WHY[refusal] : ""}
          </li>
        ))}
      </ul>
      <Row>
        <Button $tone="primary" onPress={onAgain}>
          Send again
        </Button>
        <Button onPress={() => saveAsFile(refused)}>Save as a file</Button>
      </Row>
    </Stack>
  );
}

/** One line, on the floor always and elsewhere while there is something to say: what waits, what was refused, where it is. */
export function OutboxBar({ owner }: { owner: Owner }) {
  const isFloor = usePathname().endsWith("/floor");
  const { outbox, state } = useOutbox(owner);
  const [isOpen, setOpen] = useState(false);
  const { refused, waiting, canKeep, isReady } = state;
  if (!isReady && !isFloor) return null;
  if (!isFloor && waiting === 0 && refused.length === 0 && canKeep) return null;
  const isAlarm = !canKeep || refused.length > 0 || state.outcome === "signed-out";
  return (
    <Bar $alarm={isAlarm}>
      <span role="status">{isReady ? words(state) : "Reading what this tablet holds"}</span>
      {refused.length > 0 && (
        <>
          <span>{entriesText(refused.length)} not taken by the studio, kept on this tablet</span>
          <TextButton onPress={() => setOpen(true)}>Look</TextButton>
        </>
      )}
      <Ask title="Not taken by the studio" isOpen={isOpen} onClose={() => setOpen(false)}>
        <Refused
          refused={refused}
          onAgain={() => {
            void outbox?.sendRefusedAgain();
            setOpen(false);
          }}
        />
      </Ask>
    </Bar>
  );
}
