"use client";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import { color, size } from "../../theme/tokens";

/** A small thing that is on or off. */
export const Chip = styled(ToggleButton)`
  min-height: ${size.target};
  padding: 8px 13px;
  border: 1px solid ${color.fogDeep};
  border-radius: ${size.radius};
  background: ${color.paper};
  cursor: pointer;
  &[data-selected] {
    border: 2px solid ${color.brass};
    background: ${color.brassWash};
    font-weight: 700;
  }
`;
