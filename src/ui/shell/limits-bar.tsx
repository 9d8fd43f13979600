"use client";
import styled from "styled-components";
import { type Day, isBinding, type Limit, limitState } from "../../core";
import { limitText } from "../text/limit-text";
import { color, size } from "../theme/tokens";

const Bar = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 6px 18px;
  border-bottom: 1px solid ${color.fogDeep};
  background: ${color.bone};
`;
const Chip = styled.li<{ $clinician: boolean }>`
  padding: 3px 11px;
  border: 1px solid ${({ $clinician }) => ($clinician ? color.oxide : color.fogDeep)};
  border-left-width: ${({ $clinician }) => ($clinician ? "5px" : "1px")};
  border-radius: ${size.radius};
  background: ${color.paper};
`;
const List = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;
const Right = styled.span`
  margin-left: auto;
  color: ${color.inkSoft};
`;

/** What binds this client today, always in view. */
export function LimitsBar({ limits, today, last }: { limits: readonly Limit[]; today: Day; last: string }) {
  const binding = limits.filter((limit) => isBinding(limit, today));
  return (
    <Bar aria-label="Limits in force">
      <span>Limits</span>
      {binding.length === 0 && <span>none in force</span>}
      <List>
        {binding.map((limit) => (
          <Chip key={limit.id} $clinician={limit.owner.kind === "clinician"}>
            {limitState(limit, today) === "ask" ? "Ask: " : ""}
            {limitText(limit, today)}
          </Chip>
        ))}
      </List>
      <Right>{last}</Right>
    </Bar>
  );
}
