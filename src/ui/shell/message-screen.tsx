"use client";
import type { ReactNode } from "react";
import styled from "styled-components";
import { color } from "../theme/tokens";

const Screen = styled.main`
  display: grid;
  gap: 12px;
  place-content: center;
  justify-items: start;
  min-height: 80vh;
  max-width: 560px;
  margin: 0 auto;
  padding: 24px;
  border-left: 5px solid ${color.brassLight};
`;

/** One thing to say, and what can be done about it. */
export const MessageScreen = ({ title, children }: { title: string; children: ReactNode }) => (
  <Screen>
    <h1>{title}</h1>
    {children}
  </Screen>
);
