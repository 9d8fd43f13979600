"use client";
import { useEffect, useRef } from "react";
import styled from "styled-components";
import { itemNameAmong } from "../../../words/basics/item";
import { color, font, size } from "../../theme/tokens";
import type { FloorItem, FloorSession } from "./floor-session";

const Items = styled.div`
  display: flex;
  gap: 8px;
  overflow-x: auto; /* a long session stays one line: whatever is in hand is scrolled to */
  button {
    flex: none;
  }
`;
const ItemTab = styled.button<{ $isPicked: boolean }>`
  min-height: ${size.target};
  padding: 6px 14px;
  border: 1px solid ${({ $isPicked }) => ($isPicked ? color.marine : color.fogDeep)};
  border-radius: ${size.radius};
  background: ${({ $isPicked }) => ($isPicked ? color.marine : color.paper)};
  color: ${({ $isPicked }) => ($isPicked ? color.paper : color.ink)};
  font: 700 15px ${font.head};
  text-align: left;
  cursor: pointer;
  small {
    display: block;
    font: 400 15px ${font.text};
  }
`;

/** The exercises of a session, side by side in their order, and how far each is. */
export function ItemTabs({ session }: { session: FloorSession }) {
  const strip = useRef<HTMLDivElement>(null);
  const inHand = session.item.itemId;
  useEffect(() => {
    const tab = strip.current?.querySelector<HTMLElement>("[data-picked=true]");
    if (strip.current && tab) strip.current.scrollLeft = tab.offsetLeft - strip.current.offsetLeft - 40;
  }, [inHand]);
  const { state } = session.log;
  const { items } = session;
  if (items.length < 2) return null;
  const nowAt = (itemId: string) => state.moves.findLast((move) => move.itemId === itemId)?.to.variationId;
  const asNow = (item: FloorItem) => ({ variationId: nowAt(item.itemId) ?? item.variationId, side: item.side });
  const nameOf = (item: FloorItem): string => itemNameAmong(asNow(item), items.map(asNow));
  return (
    <Items ref={strip} role="group" aria-label="Exercises">
      {items.map((item, i) => {
        const beside = [...(item.inTurn ? [items[i + 1]] : []), ...(items[i - 1]?.inTurn ? [items[i - 1]] : [])];
        const goesRound = beside.some((other) => other && other.variationId !== item.variationId);
        const done = state.sets.filter(({ itemId }) => itemId === item.itemId).length;
        const isPicked = item.itemId === inHand;
        return (
          <ItemTab
            key={item.itemId}
            data-picked={isPicked}
            type="button"
            $isPicked={isPicked}
            aria-pressed={isPicked}
            disabled={session.tempo.status !== "idle" && !isPicked}
            onClick={() => session.pick(item.itemId)}
          >
            {nameOf(item)}
            <small>
              {state.stoppedItemIds.includes(item.itemId)
                ? "stopped for today"
                : state.skippedItemIds.includes(item.itemId)
                  ? "left out today"
                  : done > item.dose.setCount
                    ? `${done} sets, ${item.dose.setCount} planned`
                    : `${done} of ${item.dose.setCount} ${goesRound ? "rounds" : "sets"}`}
            </small>
          </ItemTab>
        );
      })}
    </Items>
  );
}
