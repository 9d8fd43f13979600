"use client";
import NextLink, { useLinkStatus } from "next/link";
import type { ComponentProps } from "react";
import styled, { keyframes } from "styled-components";
import { color } from "../theme/tokens";

const appear = keyframes`
  to {
    opacity: 1;
  }
`;
const Line = styled.span`
  position: fixed;
  inset: 0 0 auto;
  z-index: 20;
  height: 4px;
  background: ${color.brassLight};
  opacity: 0;
  animation: ${appear} 0s 150ms forwards; /* most pages are there before it */
`;
/** A line along the top while a link is followed and its page is not there yet. */
const Underway = () => (useLinkStatus().pending ? <Line aria-hidden /> : null);

/**
 * A link that asks the studio for nothing until it is followed: what a list shows is not thereby looked at, and the cores
 * are left to the page in hand.
 */
export const Link = ({ children, ...props }: ComponentProps<typeof NextLink>) => (
  <NextLink prefetch={false} {...props}>
    {children}
    <Underway />
  </NextLink>
);
