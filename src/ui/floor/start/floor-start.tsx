"use client";
import { type ReactNode, useEffect, useState } from "react";
import { v4 as newUuid } from "uuid";
import type { Day } from "../../../core/day";
import type { FloorEvent, OpenedItem } from "../../../core/floor/events";
import { lightDose } from "../../../core/session/session";
import { dayNow, useDayNow, useStudioZone } from "../../kit/studio-clock";
import { useOutbox } from "../../outbox/use-outbox";
import { FloorScreen, type FloorScreenProps } from "../session/floor-screen";
import type { FloorPlan } from "../session/floor-session";

const planFrom = ({ sessionId, body }: FloorEvent): FloorPlan | null =>
  body.kind === "session-opened"
    ? {
        sessionId,
        isLight: body.isLight,
        items: body.items.map(({ itemId, place, side, dose, part, inTurn }) => ({
          itemId,
          ...place,
          side,
          dose: body.isLight ? lightDose(dose) : dose,
          part,
          inTurn,
        })),
      }
    : null;

/** Begins a session on this tablet alone; the studio opens the same one once it hears of it. */
export type BeginHere = (items: readonly Omit<OpenedItem, "itemId">[], isLight: boolean) => void;

/**
 * Before a session. Without a connection it can be begun here: the page as it was last seen has all that it takes, and
 * a reload, or the tablet started anew, goes on with it.
 */
export function FloorStart({
  floor,
  asOf,
  children,
}: {
  /** The floor as it will be, without its session. */
  floor: Omit<FloorScreenProps, "plan" | "known">;
  /** The day this page was made by the studio. */
  asOf: Day;
  children: (begin: BeginHere, isOlder: boolean) => ReactNode;
}) {
  const { owner, clientId } = floor;
  const { outbox, state } = useOutbox(owner);
  const [plan, setPlan] = useState<FloorPlan | null>(null);
  const timeZone = useStudioZone();
  const day = useDayNow(asOf);
  useEffect(() => {
    if (!outbox || !state.isReady) return;
    let isCurrent = true;
    void outbox.openedHere(clientId, dayNow(timeZone)).then((event) => isCurrent && event && setPlan(planFrom(event)));
    return () => {
      isCurrent = false;
    };
  }, [outbox, state.isReady, clientId, timeZone]);
  if (plan) return <FloorScreen {...floor} plan={plan} known={[]} />;
  const begin: BeginHere = (items, isLight) => {
    if (!outbox) return;
    const opened = items.map((item) => ({ itemId: newUuid(), ...item }));
    setPlan(planFrom(outbox.append(newUuid(), { kind: "session-opened", clientId, day: dayNow(timeZone), isLight, items: opened })));
  };
  return children(begin, day > asOf);
}
