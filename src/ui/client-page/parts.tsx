"use client";
import styled from "styled-components";
import { color, font } from "../theme/tokens";

/** Large, plain parts of a page read at arm's length with glasses: 19 px and more, nothing to tap under 56 px. */
export const Phone = styled.div`
  max-width: 560px;
  min-height: 100vh;
  margin: 0 auto;
  background: ${color.bone};
  font-size: 19px;
  line-height: 1.35;
`;
export const Top = styled.header`
  padding: 14px 18px 16px;
  background: ${color.marine};
  color: ${color.paper};
  h1 {
    font: 700 28px/1.15 ${font.head};
  }
`;
export const Body = styled.main`
  display: grid;
  gap: 18px;
  padding: 18px;
`;
export const Part = styled.section`
  display: grid;
  gap: 10px;
  h2 {
    font: 700 24px/1.2 ${font.head};
  }
`;
export const Tap = styled.button<{ $tone?: "plain" | "chosen" | "stop" }>`
  min-height: 56px;
  padding: 10px 16px;
  border: 2px solid ${({ $tone }) => ($tone === "stop" ? color.oxide : $tone === "chosen" ? color.marine : color.inkSoft)};
  border-radius: 8px;
  background: ${({ $tone }) => ($tone === "chosen" ? color.marine : color.paper)};
  color: ${({ $tone }) => ($tone === "chosen" ? color.paper : $tone === "stop" ? color.oxide : color.ink)};
  font: 700 19px/1.25 ${font.text};
  text-align: left;
  cursor: pointer;
  touch-action: manipulation;
`;
export const LinkTap = styled.button`
  min-height: 48px;
  padding: 8px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 4px;
  cursor: pointer;
`;
export const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
`;
export const Stop = styled.div`
  display: grid;
  gap: 10px;
  padding: 16px;
  border: 3px solid ${color.oxide};
  border-radius: 8px;
  background: ${color.oxideWash};
  h2 {
    font: 700 26px/1.2 ${font.head};
    color: ${color.oxide};
  }
`;
export const Quiet = styled.p`
  color: ${color.inkSoft};
`;
export const Foot = styled.footer`
  display: grid;
  gap: 4px;
  padding: 14px 18px 28px;
  border-top: 2px solid ${color.fogDeep};
`;
