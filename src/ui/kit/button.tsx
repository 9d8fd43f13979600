"use client";
import { Button as AriaButton } from "react-aria-components";
import styled, { css } from "styled-components";
import { color, font, size } from "../theme/tokens";

const TONES = {
  primary: css`
    background: ${color.marine};
    border-color: ${color.marine};
    color: ${color.paper};
  `,
  plain: css`
    background: ${color.paper};
    border-color: ${color.marine};
    color: ${color.ink};
  `,
  danger: css`
    background: ${color.paper};
    border-color: ${color.oxide};
    color: ${color.oxide};
  `,
};

/** A push button. `$tone` says what it is for; danger stops or ends something. Large is one of few, hit without looking. */
export const Button = styled(AriaButton)<{ $tone?: keyof typeof TONES; $tight?: boolean; $large?: boolean }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  min-height: ${({ $large }) => ($large ? "72px" : size.target)};
  padding: 6px ${({ $tight }) => ($tight ? 10 : 14)}px;
  font-size: ${({ $large }) => ($large ? "20px" : "inherit")};
  white-space: nowrap;
  border: 1px solid;
  border-radius: ${size.radius};
  font-family: ${font.text};
  font-weight: 700;
  text-decoration: none;
  cursor: pointer;
  ${({ $tone = "plain" }) => TONES[$tone]}
  &[data-pressed] {
    transform: translateY(1px);
  }
  &[data-disabled] {
    opacity: 0.5;
    cursor: default;
  }
`;

/** A button that reads as a link: opens reasons or a small form. */
export const TextButton = styled(AriaButton)`
  padding: 4px 2px;
  border: 0;
  background: none;
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
  @media (pointer: coarse) {
    margin: -8px -8px;
    padding: 12px 10px; /* a finger's size, in the same place */
  }
`;

export const Key = styled.kbd`
  min-width: 22px;
  padding: 1px 5px;
  border: 1px solid currentColor;
  border-radius: 3px;
  font: 600 12px/1.3 ${font.text};
  text-align: center;
  @media (hover: none) {
    display: none;
  }
  [data-keys-off] & {
    display: none;
  }
  [role="dialog"] && {
    display: inline-block; /* where they are explained they stay */
  }
`;
