"use client";
import styled from "styled-components";
import { color, media, size } from "../theme/tokens";

export const Card = styled.section<{ $accent?: "brass" | "oxide" }>`
  padding: 12px 14px;
  border: 1px solid ${({ $accent }) => ($accent === "oxide" ? color.oxide : $accent === "brass" ? color.brassLight : color.fogDeep)};
  ${({ $accent }) => $accent && `border-left: 5px solid ${$accent === "oxide" ? color.oxide : color.brass};`}
  border-radius: ${size.radius};
  background: ${color.paper};
`;

export const Stack = styled.div<{ $gap?: number }>`
  display: flex;
  flex-direction: column;
  gap: ${({ $gap = 12 }) => $gap}px;
`;

export const Row = styled.div<{ $gap?: number }>`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${({ $gap = 10 }) => $gap}px;
`;

export const Page = styled.main`
  max-width: 1280px;
  margin: 0 auto;
  padding: 10px 18px 16px;
`;

export const Columns = styled.div<{ $template: string }>`
  display: grid;
  grid-template-columns: ${({ $template }) => $template};
  gap: 14px;
  align-items: start;
  ${media.upright} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export const Title = styled.h2`
  font-size: 18px;
`;

export const Soft = styled.span`
  color: ${color.inkSoft};
`;

export const Notice = styled.p<{ $tone?: "oxide" | "brass" }>`
  padding: 10px 12px;
  border-left: 4px solid ${({ $tone = "brass" }) => color[$tone]};
  background: ${({ $tone }) => ($tone === "oxide" ? color.oxideWash : color.brassWash)};
`;

/** Links one under another, each a finger's own. */
export const LinkList = styled.ul`
  li {
    padding: 5px 0;
  }
`;
