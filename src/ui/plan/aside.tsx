"use client";
import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import { TextButton } from "../kit/button";
import { Soft } from "../kit/layout";
import { dayText } from "../../words/basics/day";
import type { PlanState } from "./use-plan";

/** What the joint was not ready for, and when it is tried again. */
export function Aside({ plan, today }: { plan: PlanState; today: Day }) {
  const aside = plan.draft.setAside ?? [];
  if (aside.length === 0) return null;
  return (
    <ul aria-label="Set aside" style={{ listStyle: "none", padding: 0 }}>
      {aside.map(({ item, backOn }) => (
        <li key={item.id}>
          <Soft>
            {variationById(item.variationId).name} was set aside: {backOn <= today ? "its week is over" : `again from ${dayText(backOn)}`}
            .{" "}
          </Soft>
          <TextButton onPress={() => plan.bringBack(item)}>{backOn <= today ? "try it again" : "bring it back now"}</TextButton>
        </li>
      ))}
    </ul>
  );
}
