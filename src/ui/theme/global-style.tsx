"use client";
import { createGlobalStyle } from "styled-components";
import { color, font, size } from "./tokens";

export const GlobalStyle = createGlobalStyle`
  *, *::before, *::after { box-sizing: border-box; }
  html { -webkit-text-size-adjust: 100%; }
  body { margin: 0; background: ${color.fog}; color: ${color.ink}; font: 400 ${size.text}/1.45 ${font.text}; }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  h1, h2, h3 { font-family: ${font.head}; font-weight: 700; line-height: 1.2; }
  ul, ol { list-style: none; }
  a { color: inherit; }
  button, input, select, textarea { font: inherit; color: inherit; }
  :focus-visible, [data-focus-visible] { outline: 3px solid ${color.brass}; outline-offset: 2px; }
  :focus:not(:focus-visible):not([data-focus-visible]) { outline: none; }
  .tabular { font-variant-numeric: tabular-nums; }
`;
