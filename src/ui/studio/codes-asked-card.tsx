"use client";
import { askForCodesAction } from "../../actions/team";
import { CheckField } from "../kit/fields";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";

/** Whether everybody in the team signs in with a code: the lead's to ask. */
export function CodesAskedCard({ asksForCodes }: { asksForCodes: boolean }) {
  const { take, problem } = useStep();
  return (
    <Card aria-label="Signing in">
      <Stack>
        <Title>Signing in</Title>
        <CheckField
          label="Everybody signs in with a code as well"
          isSelected={asksForCodes}
          onChange={(to) => take((stepId) => askForCodesAction({ asksForCodes: to }, stepId))}
        />
        <Soft>Whoever has none yet turns theirs on before they see a client. What their tablet keeps waits and is sent then.</Soft>
        <Problem text={problem} />
      </Stack>
    </Card>
  );
}
