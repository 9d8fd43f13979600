"use client";
import styled from "styled-components";
import { color } from "../theme/tokens";
import type { SaveState } from "./use-floor-events";

const Line = styled.span<{ $alarm: boolean }>`
  ${({ $alarm }) => $alarm && `color: ${color.oxide}; font-weight: 700;`}
`;

function words({ waiting, outcome }: SaveState): string {
  switch (outcome) {
    case "not-kept":
      return "This tablet cannot keep entries: write them down";
    case "signed-out":
      return `${waiting} kept on this tablet. Sign in again to send them`;
    case "refused":
      return "Some entries were not accepted by the studio; they are still on this tablet";
    case "no-connection":
      return `No connection. ${waiting} kept on this tablet`;
    case "sending":
      return waiting > 0 ? `Saved on this tablet, sending ${waiting}` : "Saved in the studio";
    case "all-sent":
      return waiting > 0 ? `Saved on this tablet, sending ${waiting}` : "Saved in the studio";
  }
}

/** What is saved where. */
export const SaveLine = ({ saved }: { saved: SaveState }) => (
  <Line role="status" $alarm={["not-kept", "signed-out", "refused"].includes(saved.outcome)}>
    {words(saved)}
  </Line>
);
