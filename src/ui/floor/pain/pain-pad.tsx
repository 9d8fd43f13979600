"use client";
import styled from "styled-components";
import { color, font, size } from "../../theme/tokens";

const Pad = styled.div`
  display: grid;
  grid-template-columns: repeat(11, minmax(0, 1fr));
  gap: 5px;
  @media (max-width: 599px) {
    grid-template-columns: repeat(6, minmax(0, 1fr));
  }
`;
const Score = styled.button<{ $over: boolean; $picked: boolean }>`
  min-height: 52px;
  border: 1px solid ${({ $over, $picked }) => ($picked ? color.marine : $over ? color.oxide : color.fogDeep)};
  border-radius: ${size.radius};
  background: ${({ $picked }) => ($picked ? color.marine : color.paper)};
  color: ${({ $over, $picked }) => ($picked ? color.paper : $over ? color.oxide : color.ink)};
  font: 700 19px ${font.head};
  cursor: pointer;
  touch-action: manipulation;
  &:disabled {
    opacity: 0.45;
    cursor: default;
  }
`;

/** Nought to ten, of pain or of effort. Scores over the agreed number are marked, not hidden. */
export function PainPad(props: {
  label: string;
  of?: "Pain" | "Effort";
  value: number | null;
  limitScore?: number;
  isDisabled?: boolean;
  onTap: (score: number) => void;
}) {
  const { label, of = "Pain", value, limitScore = Infinity, isDisabled = false, onTap } = props;
  return (
    <Pad role="group" aria-label={label}>
      {Array.from({ length: 11 }, (_, score) => (
        <Score
          key={score}
          type="button"
          disabled={isDisabled}
          $over={score > limitScore}
          $picked={value === score}
          aria-pressed={value === score}
          aria-label={`${of} ${score}${score > limitScore ? ", over the agreed number" : ""}`}
          onClick={() => onTap(score)}
        >
          {score}
        </Score>
      ))}
    </Pad>
  );
}
