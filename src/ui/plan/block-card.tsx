"use client";
import { variationById } from "../../core/catalogue/catalogue";
import { type Day, dayAfter } from "../../core/day";
import type { FitContext } from "../../core/judge/context";
import { blockEnd } from "../../core/session/block";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { dayText } from "../../words/basics/day";
import { settingText } from "../../words/basics/lever";
import type { PlanState } from "./use-plan";

/** What a block changed in one pattern: where it began and where it stands. */
export interface Grown {
  name: string;
  words: string;
}

/** The last week of a block: what it came to, whose turn is next, and the block after it. */
export function BlockCard({
  plan,
  context,
  grown,
  retests,
  today,
  units,
}: {
  plan: PlanState;
  context: FitContext;
  grown: readonly Grown[];
  retests: readonly { day: Day; name: string }[];
  today: Day;
  units: UnitSystem;
}) {
  const { draft, lay } = plan;
  const end = blockEnd(context, draft, today);
  if (!end) return null;
  const due = retests.filter(({ day }) => day <= dayAfter(end.endsOn, 7));
  const turned = new Map(end.turns.flatMap(({ item, to }) => (to ? [[item.id, to] as const] : [])));
  return (
    <Card aria-label="End of the block" $accent="brass">
      <Stack $gap={8}>
        <Title>{end.isOver ? "The block is over" : `The block ends ${dayText(end.endsOn)}`}</Title>
        {grown.map(({ name, words }) => (
          <p key={name}>
            <strong>{name}:</strong> {words}
          </p>
        ))}
        {grown.length === 0 && <Soft>Nothing was built in it: look for the cause before more of the same.</Soft>}
        {end.turns.map(({ item, to }) => (
          <p key={item.id}>
            {variationById(item.variationId).name} has had its six weeks:{" "}
            {to ? (
              <>
                next is {variationById(to.variationId).name.toLowerCase()}, {settingText(to.setting, units)}.
              </>
            ) : (
              "the next variant is not open yet, so it stays."
            )}
          </p>
        ))}
        {due.length > 0 && <p>Measure again first: {due.map(({ name }) => name.toLowerCase()).join(", ")}.</p>}
        <Button onPress={() => lay({ items: draft.items.map((item) => turned.get(item.id) ?? item), blockFrom: today }, today)}>
          Begin the next block today
        </Button>
        <Soft>Rest days hold across the blocks; nothing is kept before you keep the plan.</Soft>
      </Stack>
    </Card>
  );
}
