"use client";
import { Slider } from "react-aria-components";
import styled from "styled-components";
import { color, media } from "../theme/tokens";

/** The bare lever: a track and a poise on it. Where it stands and how large its value is, each screen says itself. */
export const LeverBase = styled(Slider)`
  display: grid;
  output {
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  .track {
    position: relative;
    height: 30px;
    ${media.upright} {
      height: 44px;
    }
  }
  .track::before {
    content: "";
    position: absolute;
    inset: calc(50% - 2px) 0;
    background: ${color.fogDeep};
    border-radius: 2px;
  }
  .thumb {
    top: 50%;
    width: 22px;
    height: 22px;
    border-radius: 3px;
    background: ${color.marine};
  }
`;
