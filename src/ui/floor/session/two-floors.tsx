"use client";
import { type ReactNode, useState } from "react";
import styled from "styled-components";
import { Link } from "../../kit/link";
import { color, font } from "../../theme/tokens";
import { BesideContext } from "./beside";

const Tabs = styled.div`
  position: sticky;
  z-index: 5;
  top: 0;
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 1px solid ${color.fogDeep};
  background: ${color.bone};
`;
const Tab = styled.button<{ $isShown: boolean }>`
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-content: center;
  align-items: baseline;
  justify-content: space-between;
  min-height: 52px;
  padding: 8px 16px;
  border: 1px solid ${({ $isShown }) => ($isShown ? color.marine : color.fogDeep)};
  border-radius: 4px;
  background: ${({ $isShown }) => ($isShown ? color.marine : color.paper)};
  color: ${({ $isShown }) => ($isShown ? color.paper : color.ink)};
  font: 700 17px ${font.head};
  text-align: left;
  cursor: pointer;
  small {
    font: 400 15px ${font.text};
    font-variant-numeric: tabular-nums;
  }
`;

interface OneFloor {
  clientId: string;
  name: string;
  floor: ReactNode;
}

/** Two floors at once: one tap to the other, both timers running, their tones apart in pitch and side. */
export function TwoFloors({ floors }: { floors: readonly OneFloor[] }) {
  const [shownAt, setShownAt] = useState(0);
  const [nodes, setNodes] = useState<readonly (HTMLElement | null)[]>([null, null]);
  return (
    <>
      <Tabs role="group" aria-label="Who is in view">
        {floors.map(({ clientId, name }, i) => (
          <Tab key={clientId} type="button" $isShown={i === shownAt} aria-pressed={i === shownAt} onClick={() => setShownAt(i)}>
            {name}
            <small ref={(node) => void setNodes((all) => (node === null || all[i] === node ? all : all.with(i, node)))} />
          </Tab>
        ))}
        <Link href={`/clients/${floors[shownAt]?.clientId ?? ""}/floor`}>this one alone</Link>
      </Tabs>
      {floors.map(({ clientId, floor }, i) => (
        <div key={clientId} hidden={i !== shownAt}>
          <BesideContext.Provider value={{ isShown: i === shownAt, voice: i === 0 ? 0 : 1, statusNode: nodes[i] ?? null }}>
            {floor}
          </BesideContext.Provider>
        </div>
      ))}
    </>
  );
}
