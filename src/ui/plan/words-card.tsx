"use client";
import { useState } from "react";
import { proteinG } from "../../core/dose/load";
import { avoidedWords } from "../../core/session/sheet";
import { TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Notice, Soft, Stack, Title } from "../kit/layout";
import { OwnGoal } from "./own-goal";
import type { PlanState } from "./use-plan";

/** What the trainer adds: the one improvement of the week, and words to the client. Words that judge or promise are pointed out. */
export function WordsCard({ plan, massKg, isPregnant }: { plan: PlanState; massKg: number; isPregnant: boolean }) {
  const { draft, change } = plan;
  const [asksProtein, setAsksProtein] = useState(false);
  const avoided = avoidedWords(draft.note);
  const protein = proteinG(massKg, { pregnancy: isPregnant, kidneyDisease: false });
  return (
    <Card aria-label="In your words">
      <Stack $gap={8}>
        <Title>In your words</Title>
        <TextField
          label="The one improvement this week"
          maxLength={120}
          value={draft.improvement}
          onChange={(improvement) => change({ improvement })}
        />
        <TextField label="To the client, on the sheet" long maxLength={400} value={draft.note} onChange={(note) => change({ note })} />
        <OwnGoal plan={plan} />
        {avoided.length > 0 && (
          <Notice>“{avoided.join("”, “")}”: this judges an exercise or promises what nobody can. Say what to do instead.</Notice>
        )}
        {asksProtein ? (
          <p>
            {protein.ok
              ? `By the trade's rule about ${Math.round(protein.grams)} g a day, for building muscle at a stable weight. With a kidney disease a clinician decides, not this.`
              : "In a pregnancy a clinician decides, not a rule of thumb."}
          </p>
        ) : (
          <Soft>
            <TextButton onPress={() => setAsksProtein(true)}>protein, if the client asks</TextButton>
          </Soft>
        )}
      </Stack>
    </Card>
  );
}
