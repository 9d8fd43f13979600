import { css } from "styled-components";
import { color, size } from "../theme/tokens";

export const popover = css`
  border: 1px solid ${color.marine};
  border-radius: ${size.radius};
  background: ${color.paper};
`;
export const popoverLine = css`
  min-height: ${size.target};
  padding: 10px 12px;
  cursor: pointer;
  &[data-focused] {
    background: ${color.brassWash};
  }
`;
