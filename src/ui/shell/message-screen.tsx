"use client";
import type { ReactNode } from "react";
import styled from "styled-components";
import { color } from "../theme/tokens";

const Screen = styled.main`
  display: grid;
  place-content: center;
  min-height: 80vh;
  padding: 18px;
  & > div {
    display: grid;
    gap: 12px;
    justify-items: start;
    max-width: 560px;
    padding: 6px 22px;
    border-left: 5px solid ${color.brassLight};
  }
`;

/** One thing to say, and what can be done about it. */
export const MessageScreen = ({ title, children }: { title: string; children: ReactNode }) => (
  <Screen>
    <div>
      <h1>{title}</h1>
      {children}
    </div>
  </Screen>
);
